package stillpond.core.cell;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import stillpond.core.ink.InkPlane;

/**
 * Splits cells along lines drawn by hand. Only the smaller parts and what lies around them are looked at, and pixels are changed in place: a page of 35 megapixels is not
 * copied for a line. The largest part of a cell keeps its number, the others are numbered on after the last cell; no other cell changes.
 *
 * @param map the cells afterwards, on the plane of the map before, which is no longer to be used
 * @param split the cells that were split, and the parts that each has now, itself first
 * @param former what stood in the plane before: put back in this order, the plane is as it was
 * @param cut the pixels of the lines, and of crumbs that they cut off a cell, too small to be a part of it: cells that touch there lie on different sides
 */
public record CellSplit(CellMap map, List<Parts> split, List<PlanePatch> former, BitSet cut) {

    /** A cell that was split. */
    public record Parts(int cell, List<Integer> parts) {
        public Parts {
            parts = List.copyOf(parts);
        }
    }

    public CellSplit {
        split = List.copyOf(split);
        former = List.copyOf(former);
    }

    /** @param wall pixels of lines, each pixel sharing an edge with the next of its line; those in ink do no harm */
    public static CellSplit along(CellMap map, InkPlane ink, int[] wall) {
        int[] numbers = map.plane().numbers();
        BitSet isWall = new BitSet();
        Map<Integer, List<Integer>> wallOfCell = new TreeMap<>();
        for (int pixel : wall) {
            if (!ink.isInk(pixel)) {
                isWall.set(pixel);
                wallOfCell
                        .computeIfAbsent(numbers[pixel], cell -> new ArrayList<>())
                        .add(pixel);
            }
        }
        Splitting splitting = new Splitting(map, ink, isWall);
        wallOfCell.forEach(splitting::split);
        return splitting.done();
    }

    /** Goes from cell to cell, and keeps measures and borders up to date. */
    private static final class Splitting {

        private final CellMap before;
        private final InkPlane ink;
        private final BitSet isWall;
        private final BitSet cut;
        private final List<Cell> cells;
        private final BorderChanges borders;
        private final List<Parts> split = new ArrayList<>();
        private final List<PlanePatch> former = new ArrayList<>();

        Splitting(CellMap before, InkPlane ink, BitSet isWall) {
            this.before = before;
            this.ink = ink;
            this.isWall = isWall;
            this.cut = (BitSet) isWall.clone();
            this.cells = new ArrayList<>(before.cells());
            this.borders = new BorderChanges(before.plane());
        }

        void split(int number, List<Integer> wall) {
            Cell cell = cells.get(number);
            Optional<CellSplitter.Split> done =
                    new CellSplitter(before.plane(), ink, isWall, cell, cut).splitFrom(cells.size(), wall);
            if (done.isPresent()) {
                PlanePatch patch = done.get().former();
                split.add(new Parts(number, done.get().parts()));
                former.add(patch);
                borders.add(patch);
                measure(cell, done.get(), wall);
            }
        }

        private void measure(Cell cell, CellSplitter.Split done, List<Integer> wall) {
            int area = cell.areaPx();
            for (int i = 1; i < done.parts().size(); i++) {
                int partArea = done.areas()[i - 1];
                cells.add(measured(done.parts().get(i), partArea, done.former().box()));
                area -= partArea;
            }
            cells.set(
                    cell.number(),
                    isStillDeepest(cell, wall) ? kept(cell, area) : measured(cell.number(), area, cell.box()));
        }

        private Cell measured(int number, int area, Box within) {
            Box box = within.shrunkTo(before.plane(), number);
            DeepestPlace deepest =
                    DeepestPlace.of(number, before.plane(), box, pixel -> ink.isInk(pixel) || isWall.get(pixel));
            return new Cell(number, area, box, deepest.x(), deepest.y(), deepest.depthPx());
        }

        /** What is left of a cell is nowhere deeper than it was, so its deepest place stays if the wall keeps away from it. */
        private boolean isStillDeepest(Cell cell, List<Integer> wall) {
            CellPlane plane = before.plane();
            boolean keepsAway = wall.stream().allMatch(pixel -> {
                double dx = pixel % plane.widthPx() - cell.deepestX();
                double dy = pixel / plane.widthPx() - cell.deepestY();
                return dx * dx + dy * dy >= cell.depthPx() * cell.depthPx();
            });
            return keepsAway && plane.numberAt(cell.deepestX(), cell.deepestY()) == cell.number();
        }

        private Cell kept(Cell cell, int area) {
            Box box = cell.box().shrunkTo(before.plane(), cell.number());
            return new Cell(cell.number(), area, box, cell.deepestX(), cell.deepestY(), cell.depthPx());
        }

        CellSplit done() {
            if (split.isEmpty()) {
                return new CellSplit(before, split, former, cut);
            }
            Collections.reverse(former);
            return new CellSplit(
                    new CellMap(before.plane(), cells, borders.appliedTo(before.borders())), split, former, cut);
        }
    }
}
