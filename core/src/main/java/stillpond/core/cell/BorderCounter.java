package stillpond.core.cell;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.List;

/** Counts the pixel edges between neighbours in one pass over the plane. */
final class BorderCounter {

    private final PairCounts edges = new PairCounts();

    private BorderCounter() {}

    static List<Border> count(CellPlane plane) {
        BorderCounter counter = new BorderCounter();
        int width = plane.widthPx();
        int[] numbers = plane.numbers();
        for (int y = 0, i = 0; y < plane.heightPx(); y++) {
            boolean lastRow = y == plane.heightPx() - 1;
            for (int x = 0; x < width; x++, i++) {
                int cell = numbers[i];
                if (x < width - 1 && numbers[i + 1] != cell) {
                    counter.countEdge(cell, numbers[i + 1]);
                }
                if (!lastRow && numbers[i + width] != cell) {
                    counter.countEdge(cell, numbers[i + width]);
                }
            }
        }
        return counter.borders();
    }

    /** Counts again after some cells were split: only their own borders can have changed, and those lie in a box. */
    static List<Border> recount(List<Border> before, CellPlane plane, Box box, BitSet changed) {
        BorderCounter counter = new BorderCounter();
        int width = plane.widthPx();
        int[] numbers = plane.numbers();
        int xEnd = Math.min(width, box.xEndExclusive() + 1);
        int yEnd = Math.min(plane.heightPx(), box.yEndExclusive() + 1);
        for (int y = Math.max(0, box.yStart() - 1); y < yEnd; y++) {
            for (int x = Math.max(0, box.xStart() - 1); x < xEnd; x++) {
                int i = y * width + x;
                if (x + 1 < xEnd) {
                    counter.countChanged(numbers[i], numbers[i + 1], changed);
                }
                if (y + 1 < yEnd) {
                    counter.countChanged(numbers[i], numbers[i + width], changed);
                }
            }
        }
        for (Border border : before) {
            if (!changed.get(border.first()) && !changed.get(border.second())) {
                counter.edges.add(border.first(), border.second(), border.lengthPx());
            }
        }
        return counter.borders();
    }

    private void countChanged(int a, int b, BitSet changed) {
        if (a != b && (changed.get(a) || changed.get(b))) {
            countEdge(a, b);
        }
    }

    private void countEdge(int a, int b) {
        edges.add(Math.min(a, b), Math.max(a, b), 1);
    }

    private List<Border> borders() {
        List<Border> borders = new ArrayList<>(edges.size());
        edges.forEach((first, second, length) -> borders.add(new Border(first, second, (int) length)));
        borders.sort(Comparator.comparingInt(Border::first).thenComparingInt(Border::second));
        return borders;
    }
}
