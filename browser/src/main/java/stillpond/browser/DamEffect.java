package stillpond.browser;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.teavm.jso.JSExport;
import org.teavm.jso.JSProperty;
import stillpond.core.gap.DamChange;
import stillpond.core.gap.DamState;

/**
 * What a change of dams does: for each opening its state before and after, by name; and reach, which is below 0 both before and after if it stays.
 */
public record DamEffect(
        @JSExport @JSProperty("openings") int[] openings,
        @JSExport @JSProperty("before") String[] before,
        @JSExport @JSProperty("after") String[] after,
        @JSExport @JSProperty("reachBefore") double reachBefore,
        @JSExport @JSProperty("reachAfter") double reachAfter) {

    /** Reach stays. */
    private static final double STAYS = -1;

    static DamEffect of(DamChange change) {
        List<DamChange.Swap> swaps = change.swaps();
        return new DamEffect(
                swaps.stream().mapToInt(DamChange.Swap::opening).toArray(),
                swaps.stream().map(swap -> swap.before().name()).toArray(String[]::new),
                swaps.stream().map(swap -> swap.after().name()).toArray(String[]::new),
                change.reach().map(DamChange.ReachSwap::before).orElse(STAYS),
                change.reach().map(DamChange.ReachSwap::after).orElse(STAYS));
    }

    static DamChange change(int[] openings, String[] before, String[] after, double reachBefore, double reachAfter) {
        List<DamChange.Swap> swaps = new ArrayList<>(openings.length);
        for (int i = 0; i < openings.length; i++) {
            swaps.add(new DamChange.Swap(openings[i], DamState.valueOf(before[i]), DamState.valueOf(after[i])));
        }
        return new DamChange(
                swaps,
                reachAfter < 0 ? Optional.empty() : Optional.of(new DamChange.ReachSwap(reachBefore, reachAfter)));
    }
}
