package stillpond.core.gap;

import java.util.function.IntUnaryOperator;

/**
 * The middle lines of a page's ink, cut where they cross. They lie on the page as closures are searched on it, on which strokes are as wide whatever the resolution.
 *
 * @param widthPx of that page, as {@code heightPx}
 * @param ink whether each of its pixels is ink, row by row
 * @param nearestInk the pixel of ink nearest to each pixel; negative if there is no ink
 * @param lines the number of the line that each pixel is on, from 0; {@link #NONE} for most
 * @param count how many lines there are
 */
public record MiddleLines(
        int widthPx, int heightPx, boolean[] ink, IntUnaryOperator nearestInk, int[] lines, int count) {

    /** No line. */
    public static final int NONE = -1;

    public static MiddleLines of(ThinnedInk thinned) {
        SearchPage search = thinned.page();
        int[] lines = thinned.skeleton().lines();
        int count = 0;
        for (int line : lines) {
            count = Math.max(count, line + 1);
        }
        return new MiddleLines(search.width(), search.height(), search.ink(), search::nearestInk, lines, count);
    }
}
