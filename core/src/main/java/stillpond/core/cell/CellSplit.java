package stillpond.core.cell;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import stillpond.core.ink.InkPlane;

/**
 * Splits cells along a line drawn by hand. Only pixels in the boxes of the cells that it crosses are looked at. The largest part of a cell keeps its number, the
 * others are numbered on after the last cell; no other cell changes.
 *
 * @param map the cells afterwards
 * @param split the cells that were split, and the parts that each has now, itself among them
 */
public record CellSplit(CellMap map, List<Parts> split) {

    /** A cell that was split. */
    public record Parts(int cell, List<Integer> parts) {
        public Parts {
            parts = List.copyOf(parts);
        }
    }

    public CellSplit {
        split = List.copyOf(split);
    }

    /** @param wall pixels of the line, each sharing an edge with the next; those in ink do no harm */
    public static CellSplit along(CellMap map, InkPlane ink, int[] wall) {
        int[] numbers = map.plane().numbers().clone();
        Set<Integer> crossed = new TreeSet<>();
        BitSet isWall = new BitSet();
        for (int pixel : wall) {
            if (!ink.isInk(pixel)) {
                crossed.add(numbers[pixel]);
                isWall.set(pixel);
            }
        }
        List<Parts> split = new ArrayList<>();
        int next = map.cells().size();
        for (int cell : crossed) {
            List<Integer> parts = new CellSplitter(map, ink, isWall, numbers, cell).splitFrom(next);
            if (parts.size() > 1) {
                split.add(new Parts(cell, parts));
                next += parts.size() - 1;
            }
        }
        return new CellSplit(measured(map, ink, isWall, numbers, split, next), split);
    }

    private static CellMap measured(
            CellMap before, InkPlane ink, BitSet isWall, int[] numbers, List<Parts> split, int count) {
        CellPlane plane = new CellPlane(before.plane().widthPx(), before.plane().heightPx(), numbers);
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
