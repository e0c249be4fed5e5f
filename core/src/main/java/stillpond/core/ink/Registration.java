package stillpond.core.ink;

import java.util.Comparator;
import java.util.stream.IntStream;

/**
 * Finds how two pictures of one page lie to each other when they differ in size and by a small shift, as two scans of it do. Turned pages are not
 * recognised.
 *
 * <p>Both are brought to the same small grid; the shift at which their inks agree best (smallest sum of absolute differences) is found there and made
 * finer level by level, as in any image pyramid.
 */
public final class Registration {

    /** Long side of the coarsest grid. Its search reaches {@link #COARSE_REACH} of its pixels, about 4 % of the page. */
    private static final int COARSE_SIDE = 160;

    private static final int COARSE_REACH = 7;
    private static final int LEVELS = 4;

    private Registration() {}

    /** Where the pixels of {@code here} lie in {@code there}. */
    public static Placing place(InkPlane here, InkPlane there) {
        double xScale = there.widthPx() / (double) here.widthPx();
        double yScale = there.heightPx() / (double) here.heightPx();
        double dx = 0;
        double dy = 0;
        int longSide = Math.max(there.widthPx(), there.heightPx());
        for (int level = 0; level < LEVELS; level++) {
            int side = Math.min(longSide, COARSE_SIDE << level);
            double step = longSide / (double) side;
            Shift best = search(
                    InkGrid.of(here, side),
                    InkGrid.of(there, side),
                    (int) Math.round(dx / step),
                    (int) Math.round(dy / step),
                    level == 0 ? COARSE_REACH : 2);
            dx = best.x() * step;
            dy = best.y() * step;
        }
        return new Placing(xScale, yScale, dx, dy);
    }

    private static Shift search(InkGrid here, InkGrid there, int aroundX, int aroundY, int reach) {
        int side = 2 * reach + 1;
        return IntStream.range(0, side * side)
                .parallel()
                .mapToObj(i -> here.against(there, aroundX + i % side - reach, aroundY + i / side - reach))
                .min(Shift.BEST_FIRST)
                .orElseThrow();
    }

    /** A shift and how badly the inks agree under it. */
    private record Shift(int x, int y, double difference) {

        /** Of equal ones the smallest shift, so that two prints of one file lie on each other. */
        static final Comparator<Shift> BEST_FIRST = Comparator.comparingDouble(Shift::difference)
                .thenComparingInt(shift -> shift.x * shift.x + shift.y * shift.y)
                .thenComparingInt(Shift::x)
                .thenComparingInt(Shift::y);
    }

    /** Mean densities on a small grid. */
    private record InkGrid(int width, int height, float[] mean) {

        static InkGrid of(InkPlane ink, int longSide) {
            double step = Math.max(ink.widthPx(), ink.heightPx()) / (double) longSide;
            int width = Math.max(1, (int) Math.round(ink.widthPx() / step));
            int height = Math.max(1, (int) Math.round(ink.heightPx() / step));
            float[] mean = new float[width * height];
            IntStream.range(0, height).parallel().forEach(y -> {
                for (int x = 0; x < width; x++) {
                    mean[y * width + x] = mean(ink, x, y, width, height);
                }
            });
            return new InkGrid(width, height, mean);
        }

        private static float mean(InkPlane ink, int x, int y, int width, int height) {
            int xStart = (int) ((long) x * ink.widthPx() / width);
            int xEnd = Math.max(xStart + 1, (int) ((long) (x + 1) * ink.widthPx() / width));
            int yStart = (int) ((long) y * ink.heightPx() / height);
            int yEnd = Math.max(yStart + 1, (int) ((long) (y + 1) * ink.heightPx() / height));
            long sum = 0;
            for (int row = yStart; row < yEnd; row++) {
                for (int column = xStart; column < xEnd; column++) {
                    sum += ink.density()[row * ink.widthPx() + column] & 0xff;
                }
            }
            return (float) sum / ((xEnd - xStart) * (yEnd - yStart));
        }

        /** Mean difference where both have pixels. */
        Shift against(InkGrid there, int dx, int dy) {
            double sum = 0;
            long count = 0;
            for (int y = Math.max(0, -dy); y < Math.min(height, there.height - dy); y++) {
                for (int x = Math.max(0, -dx); x < Math.min(width, there.width - dx); x++) {
                    sum += Math.abs(mean[y * width + x] - there.mean[(y + dy) * there.width + x + dx]);
                    count++;
                }
            }
            return new Shift(dx, dy, count == 0 ? Double.MAX_VALUE : sum / count);
        }
    }
}
