package stillpond.core.fill;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.UUID;
import stillpond.core.refusal.Refusal;

/** The fills of a layer's cells at one moment; a cell that is not in it wears {@link Fill#NONE}. */
public final class Fills {

    private final Map<Integer, Fill> fillOfCell;

    private Fills(Map<Integer, Fill> fillOfCell) {
        this.fillOfCell = fillOfCell;
    }

    public static Fills none() {
        return new Fills(Map.of());
    }

    public static Fills of(Map<Integer, Fill> fillOfCell) {
        Map<Integer, Fill> filled = new HashMap<>(fillOfCell);
        filled.values().removeIf(Fill.NONE::equals);
        return new Fills(filled);
    }

    public Fill of(int cell) {
        return fillOfCell.getOrDefault(cell, Fill.NONE);
    }

    /** How many cells wear a fill. */
    public int filledCells() {
        return fillOfCell.size();
    }

    /** The cells that wear a fill. */
    public Set<Integer> filled() {
        return Set.copyOf(fillOfCell.keySet());
    }

    /** The change that lays one fill on some cells; cells that wear it already are left out. */
    public Change laying(Fill fill, List<Integer> cells) {
        Map<Integer, Fill> laid = new LinkedHashMap<>();
        cells.forEach(cell -> laid.put(cell, fill));
        return laying(laid);
    }

    /** The change that lays on each cell a fill of its own; cells that wear theirs already are left out. */
    public Change laying(Map<Integer, Fill> fillByCell) {
        List<Swap> swaps = new ArrayList<>();
        fillByCell.forEach((cell, fill) -> {
            if (!of(cell).equals(fill)) {
                swaps.add(new Swap(cell, of(cell), fill));
            }
        });
        return new Change(swaps);
    }

    /** The change that lets whatever wears one of some swatches, in a flat fill or in any other, wear another. */
    public Change replacing(Set<UUID> swatches, UUID by) {
        Map<Integer, Fill> replaced = new TreeMap<>();
        fillOfCell.forEach((cell, fill) -> {
            if (fill.swatches().stream().anyMatch(swatches::contains)) {
                replaced.put(cell, fill.wearing(each -> swatches.contains(each) ? by : each));
            }
        });
        return laying(replaced);
    }

    /** The change that makes these fills wear what others wear. */
    public Change becoming(Fills others) {
        Set<Integer> cells = new TreeSet<>(fillOfCell.keySet());
        cells.addAll(others.fillOfCell.keySet());
        return new Change(cells.stream()
                .filter(cell -> !of(cell).equals(others.of(cell)))
                .map(cell -> new Swap(cell, of(cell), others.of(cell)))
                .toList());
    }

    /**
     * The change that takes another one back. A cell that no longer wears what that change gave it was changed since, by
     * somebody else, and is left alone.
     */
    public Change takingBack(Change change) {
        return new Change(change.inverse().swaps().stream()
                .filter(swap -> of(swap.cell()).equals(swap.before()))
                .toList());
    }

    /**
     * The fills after a change.
     *
     * @throws Refusal if a cell does not wear what the change says it wore before
     */
    public Fills after(Change change) {
        Map<Integer, Fill> changed = new HashMap<>(fillOfCell);
        for (Swap swap : change.swaps()) {
            if (!of(swap.cell()).equals(swap.before())) {
                throw new Refusal("Cell " + swap.cell() + " wears "
                        + of(swap.cell()).text() + ", not " + swap.before().text() + ".");
            }
            changed.put(swap.cell(), swap.after());
        }
        return of(changed);
    }
}
