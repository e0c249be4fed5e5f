package stillpond.core.gap;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import stillpond.core.refusal.Refusal;

/** What one act did to the dams of a layer: each opening at most once, and perhaps the reach. */
public record DamChange(List<Swap> swaps, Optional<ReachSwap> reach) {

    public static final DamChange NONE = new DamChange(List.of(), Optional.empty());

    /** @param opening index of the opening in its layer, from 0 */
    public record Swap(int opening, DamState before, DamState after) {
        Swap inverse() {
            return new Swap(opening, after, before);
        }
    }

    /** Levels, 0 to 1. */
    public record ReachSwap(double before, double after) {}

    public DamChange {
        swaps = List.copyOf(swaps);
        Set<Integer> openings = new HashSet<>();
        for (Swap swap : swaps) {
            if (!openings.add(swap.opening())) {
                throw new Refusal("Opening " + swap.opening() + " stands twice in one change.");
            }
        }
    }

    /** The change that takes this one back. */
    public DamChange inverse() {
        return new DamChange(
                swaps.stream().map(Swap::inverse).toList(),
                reach.map(swap -> new ReachSwap(swap.after(), swap.before())));
    }

    public boolean isEmpty() {
        return swaps.isEmpty() && reach.isEmpty();
    }
}
