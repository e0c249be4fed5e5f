package stillpond.core.fill;

import stillpond.core.cell.Box;
import stillpond.core.ink.Placing;
import stillpond.core.refusal.Refusal;

/**
 * A line on the sheet along which a gradient runs or by which a pattern is laid, in pixels of the layer; its ends may lie beside the sheet.
 *
 * <p>Whole pixels, so that one fill has one text wherever it was written.
 */
public record Span(int x1, int y1, int x2, int y2) {

    private static final int FURTHEST_PX = 1_000_000;
    private static final int LEAST_REPEAT_PX = 24;
    private static final double REPEAT_OF_BOX = 0.3;

    public Span {
        if (x1 == x2 && y1 == y2) {
            throw new Refusal("The span of a fill is at least a pixel long.");
        }
        for (int each : new int[] {x1, y1, x2, y2}) {
            if (Math.abs(each) > FURTHEST_PX) {
                throw new Refusal("The span of a fill lies too far from the sheet.");
            }
        }
    }

    /** Of a fill that lies nowhere yet: it is laid where it is needed; see {@link Fill#placedIn}. */
    public static final Span NOWHERE = new Span(0, 0, 1, 0);

    /** From the top of a box to its bottom. */
    public static Span downThrough(Box box) {
        int middle = middle(box.xStart(), box.xEndExclusive());
        return new Span(middle, box.yStart(), middle, box.yEndExclusive());
    }

    /** From the middle of a box to its right side. */
    public static Span outOf(Box box) {
        int across = middle(box.yStart(), box.yEndExclusive());
        return new Span(middle(box.xStart(), box.xEndExclusive()), across, box.xEndExclusive(), across);
    }

    /** One repeat of a pattern at the corner of a box, of a size that shows several in it. */
    public static Span repeatedIn(Box box) {
        long side = Math.round(REPEAT_OF_BOX * Math.min(box.widthPx(), box.heightPx()));
        int px = (int) Math.max(LEAST_REPEAT_PX, side);
        return new Span(box.xStart(), box.yStart(), box.xStart() + px, box.yStart());
    }

    /** From a place on, so long and turned so far. @param degrees clockwise from the right */
    public static Span from(int x, int y, double lengthPx, double degrees) {
        double turn = Math.toRadians(degrees);
        int nextX = (int) Math.floor(x + lengthPx * Math.cos(turn) + 0.5);
        int nextY = (int) Math.floor(y + lengthPx * Math.sin(turn) + 0.5);
        return new Span(x, y, nextX == x && nextY == y ? x + 1 : nextX, nextY);
    }

    /** How far it is turned clockwise from the right, in whole degrees over -180 and up to 180. */
    public int degrees() {
        int degrees = (int) Math.floor(Math.toDegrees(Math.atan2((double) y2 - y1, (double) x2 - x1)) + 0.5);
        return degrees == -180 ? 180 : degrees;
    }

    private static int middle(int start, int end) {
        return Math.floorDiv(start + end + 1, 2);
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
