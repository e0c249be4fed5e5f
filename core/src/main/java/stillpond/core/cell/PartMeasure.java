package stillpond.core.cell;

import java.util.function.IntPredicate;

/** Measures one cell within a box that is known to hold it. */
final class PartMeasure {

    private PartMeasure() {}

    /** @param isBound asked with the index of a pixel of the page: ink, or a wall */
    static Cell of(int number, CellPlane plane, Box box, IntPredicate isBound) {
        int width = plane.widthPx();
        int[] numbers = plane.numbers();
        int area = 0;
        int xStart = Integer.MAX_VALUE;
        int yStart = Integer.MAX_VALUE;
        int xLast = -1;
        int yLast = -1;
        int boxWidth = box.widthPx();
        DistanceField toBound = DistanceField.to(boxWidth, box.heightPx(), i -> {
            int pixel = (box.yStart() + i / boxWidth) * width + box.xStart() + i % boxWidth;
            return numbers[pixel] != number || isBound.test(pixel);
        });
        int deepest = -1;
        double depth = -1;
        for (int i = 0; i < boxWidth * box.heightPx(); i++) {
            int x = box.xStart() + i % boxWidth;
            int y = box.yStart() + i / boxWidth;
            if (numbers[y * width + x] == number) {
                area++;
                xStart = Math.min(xStart, x);
                yStart = Math.min(yStart, y);
                xLast = Math.max(xLast, x);
                yLast = Math.max(yLast, y);
                double toFrame = Math.min(Math.min(x + 1, width - x), Math.min(y + 1, plane.heightPx() - y));
                double here = Math.min(toFrame, toBound.distancePx(i));
                if (here > depth) {
                    depth = here;
                    deepest = y * width + x;
                }
            }
        }
        return new Cell(
                number, area, new Box(xStart, yStart, xLast + 1, yLast + 1), deepest % width, deepest / width, depth);
    }
}
