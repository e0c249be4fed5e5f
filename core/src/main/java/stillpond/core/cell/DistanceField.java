package stillpond.core.cell;

import java.util.Arrays;
import java.util.function.IntPredicate;
import java.util.stream.IntStream;
import stillpond.core.cell.ColumnDistance.Sites;

/**
 * For every pixel of a plane the nearest of some sites, exactly (Meijster, Roerdink and Hesselink, 2000). Of equally near ones always the same is
 * named.
 */
public final class DistanceField {

    private static final int NO_SITE = -1;

    private final int widthPx;
    private final int[] nearest;

    private DistanceField(int widthPx, int[] nearest) {
        this.widthPx = widthPx;
        this.nearest = nearest;
    }

    /** @param isSite asked with {@code y * widthPx + x} */
    public static DistanceField to(int widthPx, int heightPx, IntPredicate isSite) {
        int[] numbers = new int[widthPx * heightPx];
        IntStream.range(0, heightPx).parallel().forEach(y -> {
            for (int i = y * widthPx, end = i + widthPx; i < end; i++) {
                numbers[i] = isSite.test(i) ? 0 : NO_SITE;
            }
        });
        char[] columnDistance = ColumnDistance.of(widthPx, heightPx, numbers, Sites.CELLS);
        ThreadLocal<RowEnvelope> envelopes = ThreadLocal.withInitial(() -> new RowEnvelope(widthPx));
        IntStream.range(0, heightPx)
                .parallel()
                .forEach(y -> nearestInRow(y, widthPx, columnDistance, envelopes.get(), numbers));
        return new DistanceField(widthPx, numbers);
    }

    private static void nearestInRow(int y, int width, char[] columnDistance, RowEnvelope envelope, int[] nearest) {
        int row = y * width;
        int x = 0;
        while (x < width) {
            if (columnDistance[row + x] == 0) {
                nearest[row + x] = row + x;
                x++;
                continue;
            }
            int start = x;
            while (x < width && columnDistance[row + x] != 0) {
                x++;
            }
            nearestInStretch(y, width, start, x, columnDistance, envelope, nearest);
        }
    }

    /** Between two sites of the row itself, or its ends. */
    private static void nearestInStretch(
            int y, int width, int start, int end, char[] columnDistance, RowEnvelope envelope, int[] nearest) {
        int row = y * width;
        int first = Math.max(0, start - 1);
        int last = Math.min(width, end + 1);
        boolean none = true;
        envelope.begin();
        for (int x = first; x < last; x++) {
            if (columnDistance[row + x] != ColumnDistance.NONE) {
                envelope.add(x, columnDistance[row + x], first, last);
                none = false;
            }
        }
        if (none) {
            Arrays.fill(nearest, row + start, row + end, NO_SITE);
            return;
        }
        for (int x = last - 1; x >= first; x--) {
            int column = envelope.nearest(x);
            if (x >= start && x < end) {
                nearest[row + x] = ColumnDistance.siteIndex(columnDistance, width, column, y);
            }
        }
    }

    /** Where the site nearest to a pixel lies; negative if there is no site at all. */
    public int nearest(int index) {
        return nearest[index];
    }

    /** Distance in pixels to the middle of the nearest site; infinite if there is none. */
    public double distancePx(int index) {
        int site = nearest[index];
        if (site < 0) {
            return Double.POSITIVE_INFINITY;
        }
        long dx = site % widthPx - index % widthPx;
        long dy = site / widthPx - index / widthPx;
        return Math.sqrt(dx * dx + dy * dy);
    }
}
