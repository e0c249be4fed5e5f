package stillpond.core.ink;

import java.util.Arrays;
import java.util.stream.IntStream;

/**
 * How wide the strokes of a drawing are: the unit in which gaps are measured.
 *
 * <p>Where a row meets a stroke, the stroke's run along the row (h) and along the column through the middle of that run (v) give its width hv / sqrt(h² + v²),
 * exact for a straight stroke at any slant. The median over a few hundred rows is taken; tapered tips and filled blacks are too few to move it.
 */
public final class StrokeWidth {

    private static final int ROWS = 400;

    private StrokeWidth() {}

    /** In pixels, at least 1; 1 if there is no ink. */
    public static double of(InkPlane ink) {
        int step = Math.max(1, ink.heightPx() / ROWS);
        double[] widths = IntStream.iterate(0, y -> y < ink.heightPx(), y -> y + step)
                .parallel()
                .mapToObj(y -> widthsAlong(ink, y))
                .flatMapToDouble(Arrays::stream)
                .sorted()
                .toArray();
        return widths.length == 0 ? 1 : Math.max(1, widths[widths.length / 2]);
    }

    private static double[] widthsAlong(InkPlane ink, int y) {
        double[] widths = new double[ink.widthPx() / 2 + 1];
        int count = 0;
        int row = y * ink.widthPx();
        for (int x = 0; x < ink.widthPx(); x++) {
            if (ink.isInk(row + x)) {
                int start = x;
                while (x < ink.widthPx() && ink.isInk(row + x)) {
                    x++;
                }
                widths[count++] = width(x - start, columnRun(ink, (start + x - 1) / 2, y));
            }
        }
        return Arrays.copyOf(widths, count);
    }

    private static double width(double h, double v) {
        return h * v / Math.hypot(h, v);
    }

    private static int columnRun(InkPlane ink, int x, int y) {
        int top = y;
        while (top > 0 && ink.isInk((top - 1) * ink.widthPx() + x)) {
            top--;
        }
        int bottom = y;
        while (bottom < ink.heightPx() - 1 && ink.isInk((bottom + 1) * ink.widthPx() + x)) {
            bottom++;
        }
        return bottom - top + 1;
    }
}
