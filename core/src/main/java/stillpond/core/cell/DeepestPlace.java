package stillpond.core.cell;

import java.util.function.IntPredicate;
import java.util.stream.IntStream;

/** The pixel of one cell that is furthest from all that bounds it, the first one of several, and how far that is. */
record DeepestPlace(int x, int y, double depthPx) {

    /**
     * @param box known to hold the cell
     * @param isBound asked with the index of a pixel of the page: ink, or a wall
     */
    static DeepestPlace of(int number, CellPlane plane, Box box, IntPredicate isBound) {
        int width = box.widthPx();
        int height = box.heightPx();
        int[] free = new int[width * height];
        IntStream.range(0, height).parallel().forEach(y -> {
            int page = (box.yStart() + y) * plane.widthPx() + box.xStart();
            for (int i = y * width, end = i + width; i < end; i++, page++) {
                free[i] = plane.numbers()[page] == number && !isBound.test(page) ? 0 : -1;
            }
        });
        CellMeasures measures = new CellMeasures(width, height, 1);
        measures.findDeepestPoints(free);
        int at = measures.deepestOf(0);
        return new DeepestPlace(box.xStart() + at % width, box.yStart() + at / width, measures.depthOf(0));
    }
}
