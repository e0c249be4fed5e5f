package stillpond.core.cell;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import stillpond.core.ink.InkPlane;

/**
 * Splits cells along a line drawn by hand. Only pixels in the boxes of the cells that it crosses are looked at, and they are changed in place: a page of 35 megapixels
 * is not copied for a line. The largest part of a cell keeps its number, the others are numbered on after the last cell; no other cell changes.
 *
 * @param map the cells afterwards, on the plane of the map before, which is no longer to be used
 * @param split the cells that were split, and the parts that each has now, itself among them
 * @param former what stood in the plane before, to put it back; one patch for each cell that was split
 */
public record CellSplit(CellMap map, List<Parts> split, List<PlanePatch> former) {

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

    /** @param wall pixels of the line, each sharing an edge with the next; those in ink do no harm */
    public static CellSplit along(CellMap map, InkPlane ink, int[] wall) {
        int[] numbers = map.plane().numbers();
        Set<Integer> crossed = new TreeSet<>();
        BitSet isWall = new BitSet();
        for (int pixel : wall) {
            if (!ink.isInk(pixel)) {
                crossed.add(numbers[pixel]);
                isWall.set(pixel);
            }
        }
        List<Parts> split = new ArrayList<>();
        List<PlanePatch> former = new ArrayList<>();
        int next = map.cells().size();
        for (int cell : crossed) {
            PlanePatch before = PlanePatch.of(map.plane(), map.cells().get(cell).box());
            List<Integer> parts = new CellSplitter(map, ink, isWall, numbers, cell).splitFrom(next);
            if (parts.size() > 1) {
                former.add(before);
                split.add(new Parts(cell, parts));
                next += parts.size() - 1;
            }
        }
        return new CellSplit(measured(map, ink, isWall, split, next), split, former);
    }

    private static CellMap measured(CellMap before, InkPlane ink, BitSet isWall, List<Parts> split, int count) {
        CellPlane plane = before.plane();
        Cell[] cells = Arrays.copyOf(before.cells().toArray(Cell[]::new), count);
        BitSet changed = new BitSet();
        Box around = null;
        for (Parts parts : split) {
            Box box = before.cells().get(parts.cell()).box();
            around = around == null ? box : around.with(box);
            for (int part : parts.parts()) {
                cells[part] = PartMeasure.of(part, plane, box, i -> ink.isInk(i) || isWall.get(i));
                changed.set(part);
            }
        }
        if (around == null) {
            return before;
        }
        return new CellMap(plane, List.of(cells), BorderCounter.recount(before.borders(), plane, around, changed));
    }
}
