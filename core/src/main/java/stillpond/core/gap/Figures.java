package stillpond.core.gap;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import stillpond.core.cell.Border;
import stillpond.core.cell.Box;
import stillpond.core.cell.Cell;
import stillpond.core.cell.CellMap;

/**
 * Tells the figures of a page from what lies outside. Outside is every region that reaches the edge of the page, through reach and dams as they are; a figure is what hangs
 * together of the rest, so figures that touch only across the outside are told apart.
 */
public final class Figures {

    private Figures() {}

    /** The cells of each figure, in rising order; the largest figure first. */
    public static List<List<Integer>> of(CellMap map, Regions regions) {
        BitSet outside = outside(map, regions);
        DisjointSets figures = new DisjointSets(map.cells().size());
        for (Border border : map.borders()) {
            boolean bothInside = !outside.get(regions.of(border.first())) && !outside.get(regions.of(border.second()));
            if (bothInside) {
                figures.join(border.first(), border.second());
            }
        }
        Map<Integer, List<Integer>> cells = new TreeMap<>();
        for (int cell = 0; cell < map.cells().size(); cell++) {
            if (!outside.get(regions.of(cell))) {
                cells.computeIfAbsent(figures.find(cell), any -> new ArrayList<>())
                        .add(cell);
            }
        }
        List<List<Integer>> found = new ArrayList<>(cells.values());
        found.sort(Comparator.comparingLong((List<Integer> figure) -> -area(map, figure)));
        return Collections.unmodifiableList(found);
    }

    /** The regions that reach the edge of the page. */
    private static BitSet outside(CellMap map, Regions regions) {
        BitSet outside = new BitSet();
        int width = map.plane().widthPx();
        int height = map.plane().heightPx();
        for (Cell cell : map.cells()) {
            Box box = cell.box();
            boolean isAtEdge = box.xStart() == 0
                    || box.yStart() == 0
                    || box.xEndExclusive() == width
                    || box.yEndExclusive() == height;
            if (isAtEdge) {
                outside.set(regions.of(cell.number()));
            }
        }
        return outside;
    }

    private static long area(CellMap map, List<Integer> figure) {
        return figure.stream().mapToLong(cell -> map.cells().get(cell).areaPx()).sum();
    }
}
