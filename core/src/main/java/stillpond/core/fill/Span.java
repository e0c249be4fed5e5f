package stillpond.core.fill;

import stillpond.core.ink.Placing;

/**
 * A line on the sheet along which a gradient runs or by which a pattern is laid, in pixels of the layer; its ends may lie beside the sheet.
 *
 * <p>Whole pixels, so that one fill has one text wherever it was written.
 */
public record Span(int x1, int y1, int x2, int y2) {

    private static final int FURTHEST_PX = 1_000_000;

    public Span {
        if (x1 == x2 && y1 == y2) {
            throw new IllegalArgumentException("The span of a fill is at least a pixel long.");
        }
        for (int each : new int[] {x1, y1, x2, y2}) {
            if (Math.abs(each) > FURTHEST_PX) {
                throw new IllegalArgumentException("The span of a fill lies too far from the sheet.");
            }
        }
    }

    public double lengthPx() {
        return Math.hypot((double) x2 - x1, (double) y2 - y1);
    }

    /** The same place of the page in another drawing of it. */
    Span seenFrom(Placing there) {
        int nextX = here(x2, there.xScale(), there.dxPx());
        int firstX = here(x1, there.xScale(), there.dxPx());
        int firstY = here(y1, there.yScale(), there.dyPx());
        int nextY = here(y2, there.yScale(), there.dyPx());
        boolean shrunk = firstX == nextX && firstY == nextY;
        return new Span(firstX, firstY, shrunk ? nextX + 1 : nextX, nextY);
    }

    private static int here(int there, double scale, double shift) {
        return (int) Math.round((there - shift) / scale);
    }
}
