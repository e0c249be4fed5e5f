package stillpond.core.cell;

/**
 * Second phase of the exact Euclidean distance transform of Meijster, Roerdink and Hesselink (2000): along one row, the lower envelope
 * of the parabolas that stand on the column distances.
 *
 * <p>A row can be done in stretches: between two sites that lie in the row itself no site further out can be nearer, so the
 * stretch with its two ends is all that matters. Of two equally near sites the one further left is taken.
 *
 * <p>Reused from row to row; not for use by several threads.
 */
final class RowEnvelope {

    private final int[] site;
    private final int[] validFrom;
    private final long[] height;
    private int top;

    /** @param columns how many columns a stretch may have at the most */
    RowEnvelope(int columns) {
        site = new int[columns];
        validFrom = new int[columns];
        height = new long[columns];
    }

    /** Starts a stretch whose first column is {@code xStart}. */
    void begin() {
        top = -1;
    }

    /** Adds the next site from left to right: it lies {@code columnDistance} pixels above or below column {@code x}. */
    void add(int x, int columnDistance, int xStart, int xEndExclusive) {
        long squared = (long) columnDistance * columnDistance;
        while (top >= 0 && squaredAt(validFrom[top]) > squared + square(validFrom[top] - x)) {
            top--;
        }
        int from = top < 0 ? xStart : 1 + lastColumnOfTop(x, squared);
        if (from < xEndExclusive) {
            top++;
            site[top] = x;
            height[top] = squared;
            validFrom[top] = from;
        }
    }

    /**
     * The column of the site nearest to column {@code x}. Columns must be asked for from right to left, and after the first answer nothing
     * may be added.
     */
    int nearest(int x) {
        while (validFrom[top] > x) {
            top--;
        }
        return site[top];
    }

    /** The squared distance from column {@code x} to the site that {@link #nearest} has just named. */
    long squaredAt(int x) {
        return height[top] + square(x - site[top]);
    }

    /** The last column where the topmost site is at least as near as a new one. */
    private int lastColumnOfTop(int x, long squared) {
        long difference = square(x) - square(site[top]) + squared - height[top];
        int doubled = 2 * (x - site[top]);
        // A division of half the width takes a fraction of the time, and nearly always suffices.
        return difference == (int) difference
                ? Math.floorDiv((int) difference, doubled)
                : (int) Math.floorDiv(difference, (long) doubled);
    }

    private static long square(long value) {
        return value * value;
    }
}
