package stillpond.core.gap;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import stillpond.core.cell.Border;
import stillpond.core.cell.Cell;
import stillpond.core.cell.CellGraph;
import stillpond.core.cell.CellSplit;
import stillpond.core.cell.PlanePatch;

/**
 * What a line drawn by hand has changed, for whoever has cells and openings as they were before.
 *
 * @param boxes what stands in the plane now
 * @param split the cells that were split, and the parts that each has now
 * @param cells all parts, by number
 * @param borders of all parts
 * @param openings new ones, and those that are others now, by index
 * @param dam indices of the dam's own
 */
public record DamPatch(
        List<PlanePatch> boxes,
        List<CellSplit.Parts> split,
        Map<Integer, Cell> cells,
        List<Border> borders,
        Map<Integer, Opening> openings,
        Set<Integer> dam) {

    public DamPatch {
        boxes = List.copyOf(boxes);
        split = List.copyOf(split);
        cells = Map.copyOf(cells);
        borders = List.copyOf(borders);
        openings = Map.copyOf(openings);
        dam = Set.copyOf(dam);
    }

    /** The cells as they are now. */
    public CellGraph after(CellGraph before) {
        List<Border> now = new ArrayList<>(borders);
        before.borders().stream()
                .filter(border -> !cells.containsKey(border.first()) && !cells.containsKey(border.second()))
                .forEach(now::add);
        now.sort(Comparator.comparingInt(Border::first).thenComparingInt(Border::second));
        return new CellGraph(before.widthPx(), before.heightPx(), put(cells, before.cells()), now);
    }

    /** The openings as they are now. */
    public OpeningList after(OpeningList before) {
        return new OpeningList(put(openings, before.all()), before.strokePx());
    }

    private static <T> List<T> put(Map<Integer, T> changed, List<T> before) {
        List<T> now = new ArrayList<>(before);
        changed.entrySet().stream().sorted(Map.Entry.comparingByKey()).forEach(each -> {
            if (each.getKey() < now.size()) {
                now.set(each.getKey(), each.getValue());
            } else {
                now.add(each.getValue());
            }
        });
        return now;
    }
}
