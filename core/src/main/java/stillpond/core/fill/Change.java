package stillpond.core.fill;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import stillpond.core.refusal.Refusal;

/** What one act did to the fills of a layer: each cell and each stroke at most once. */
public record Change(List<Swap> swaps) {

    public Change {
        swaps = List.copyOf(swaps);
        Set<Integer> places = new HashSet<>();
        for (Swap swap : swaps) {
            if (!places.add(swap.place())) {
                throw new Refusal("Place " + swap.place() + " stands twice in one change.");
            }
        }
    }

    /** The change that takes this one back. */
    public Change inverse() {
        return new Change(swaps.stream().map(Swap::inverse).toList());
    }

    public boolean isEmpty() {
        return swaps.isEmpty();
    }
}
