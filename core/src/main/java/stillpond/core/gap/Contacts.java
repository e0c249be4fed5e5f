package stillpond.core.gap;

import java.util.ArrayList;
import java.util.List;
import java.util.function.IntPredicate;
import stillpond.core.cell.CellPlane;
import stillpond.core.cell.PairCounts;

/** Which cells meet along a line, on paper. */
final class Contacts {

    /** Fewer edges are a chance touch where lines cross. */
    private static final int LEAST_EDGES = 2;

    private Contacts() {}

    /**
     * Pairs of different cells, the lower first, that share edges of pixels on the line or next to it; the most edges first.
     *
     * @param isBeside pixels that nothing meets at, such as those of ink
     */
    static List<int[]> along(List<Point> line, CellPlane plane, IntPredicate isBeside) {
        return along(line, plane, isBeside, LEAST_EDGES);
    }

    /** Likewise, with chance touches too: those of an opening as short as they. */
    static List<int[]> touchesAlong(List<Point> line, CellPlane plane, IntPredicate isBeside) {
        return along(line, plane, isBeside, 1);
    }

    private static List<int[]> along(List<Point> line, CellPlane plane, IntPredicate isBeside, int leastEdges) {
        PairCounts edges = new PairCounts();
        int width = plane.widthPx();
        int height = plane.heightPx();
        LineRaster.forEach(line, width, height, pixel -> {
            int x = pixel % width;
            int y = pixel / width;
            for (int ny = Math.max(0, y - 1); ny <= Math.min(height - 1, y + 1); ny++) {
                for (int nx = Math.max(0, x - 1); nx <= Math.min(width - 1, x + 1); nx++) {
                    int here = ny * width + nx;
                    if (nx < width - 1) {
                        count(edges, plane, isBeside, here, here + 1);
                    }
                    if (ny < height - 1) {
                        count(edges, plane, isBeside, here, here + width);
                    }
                }
            }
        });
        List<long[]> counted = new ArrayList<>();
        edges.forEach((first, second, count) -> counted.add(new long[] {first, second, count}));
        counted.removeIf(each -> each[2] < leastEdges);
        counted.sort((a, b) -> a[2] != b[2]
                ? Long.compare(b[2], a[2])
                : a[0] != b[0] ? Long.compare(a[0], b[0]) : Long.compare(a[1], b[1]));
        return counted.stream()
                .map(each -> new int[] {(int) each[0], (int) each[1]})
                .toList();
    }

    private static void count(PairCounts edges, CellPlane plane, IntPredicate isBeside, int here, int there) {
        int a = plane.numbers()[here];
        int b = plane.numbers()[there];
        if (a != b && !isBeside.test(here) && !isBeside.test(there)) {
            edges.add(Math.min(a, b), Math.max(a, b), 1);
        }
    }
}
