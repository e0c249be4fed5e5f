package stillpond.core.cell;

import java.util.ArrayList;
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
