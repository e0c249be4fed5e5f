package stillpond.app.history;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import stillpond.core.gap.DamChange;
import stillpond.core.gap.DamState;

/** A change of dams as three arrays. */
record DamArrays(int[] openings, String[] before, String[] after) {

    /** Stands for the reach in the array of openings. */
    private static final int REACH = -1;

    static DamArrays of(DamChange change) {
        List<Integer> openings = new ArrayList<>();
        List<String> before = new ArrayList<>();
        List<String> after = new ArrayList<>();
        for (DamChange.Swap swap : change.swaps()) {
            openings.add(swap.opening());
            before.add(swap.before().name());
            after.add(swap.after().name());
        }
        change.reach().ifPresent(swap -> {
            openings.add(REACH);
            before.add(String.valueOf(swap.before()));
            after.add(String.valueOf(swap.after()));
        });
        return new DamArrays(
                openings.stream().mapToInt(Integer::intValue).toArray(),
                before.toArray(String[]::new),
                after.toArray(String[]::new));
    }

    DamChange asChange() {
        List<DamChange.Swap> swaps = new ArrayList<>();
        Optional<DamChange.ReachSwap> reach = Optional.empty();
        for (int i = 0; i < openings.length; i++) {
            if (openings[i] == REACH) {
                reach = Optional.of(
                        new DamChange.ReachSwap(Double.parseDouble(before[i]), Double.parseDouble(after[i])));
            } else {
                swaps.add(new DamChange.Swap(openings[i], DamState.valueOf(before[i]), DamState.valueOf(after[i])));
            }
        }
        return new DamChange(swaps, reach);
    }
}
