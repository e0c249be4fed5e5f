package stillpond.core.cell;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;

/** Counts the pixel edges between neighbours in one pass over the plane. */
final class BorderCounter {

    private static final int ROWS_A_STRIP = 128;

    private final PairCounts edges = new PairCounts();

    private BorderCounter() {}

    static List<Border> count(CellPlane plane) {
        int strips = (plane.heightPx() + ROWS_A_STRIP - 1) / ROWS_A_STRIP;
        BorderCounter whole = new BorderCounter();
        IntStream.range(0, strips)
                .parallel()
                .mapToObj(strip -> ofStrip(plane, strip * ROWS_A_STRIP))
                .forEachOrdered(part -> part.edges.forEach(whole.edges::add));
        return whole.borders();
    }

    private static BorderCounter ofStrip(CellPlane plane, int yStart) {
        BorderCounter counter = new BorderCounter();
        int width = plane.widthPx();
        int[] numbers = plane.numbers();
        int yEnd = Math.min(plane.heightPx(), yStart + ROWS_A_STRIP);
        for (int y = yStart; y < yEnd; y++) {
            boolean lastRow = y == plane.heightPx() - 1;
            int last = y * width + width - 1;
            for (int i = y * width; i <= last; i++) {
                int cell = numbers[i];
                if (i < last && numbers[i + 1] != cell) {
                    counter.countEdge(cell, numbers[i + 1]);
                }
                if (!lastRow && numbers[i + width] != cell) {
                    counter.countEdge(cell, numbers[i + width]);
                }
            }
        }
        return counter;
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
