package stillpond.core.cell;

/** A box of pixels; ends are exclusive. */
public record Box(int xStart, int yStart, int xEndExclusive, int yEndExclusive) {

    /** The smallest box around this one and another. */
    public Box with(Box other) {
        return new Box(
                Math.min(xStart, other.xStart),
                Math.min(yStart, other.yStart),
                Math.max(xEndExclusive, other.xEndExclusive),
                Math.max(yEndExclusive, other.yEndExclusive));
    }

    /** What lies in this one and in another: empty if they do not meet. */
    public Box common(Box other) {
        return new Box(
                Math.max(xStart, other.xStart),
                Math.max(yStart, other.yStart),
                Math.min(xEndExclusive, other.xEndExclusive),
                Math.min(yEndExclusive, other.yEndExclusive));
    }

    /** Not after {@code is}: boxes are written as JSON, in which that would be another member. */
    public boolean hasPixels() {
        return widthPx() > 0 && heightPx() > 0;
    }

    /** The smallest box around a cell that lies within this one; costs as much as sides are drawn in. */
    Box shrunkTo(CellPlane plane, int cell) {
        int left = xStart;
        int top = yStart;
        int right = xEndExclusive;
        int bottom = yEndExclusive;
        while (top < bottom && !isInRow(plane, cell, top, left, right)) {
            top++;
        }
        while (bottom > top && !isInRow(plane, cell, bottom - 1, left, right)) {
            bottom--;
        }
        int first = right;
        int last = left - 1;
        for (int y = top; y < bottom; y++) {
            int x = left;
            while (x < first && plane.numberAt(x, y) != cell) {
                x++;
            }
            first = x;
            x = right - 1;
            while (x > last && plane.numberAt(x, y) != cell) {
                x--;
            }
            last = x;
        }
        return new Box(first, top, last + 1, bottom);
    }

    private static boolean isInRow(CellPlane plane, int cell, int y, int xStart, int xEnd) {
        for (int x = xStart; x < xEnd; x++) {
            if (plane.numberAt(x, y) == cell) {
                return true;
            }
        }
        return false;
    }

    /** Whether it reaches the edge of a sheet. */
    public boolean reachesEdgeOf(int widthPx, int heightPx) {
        return xStart == 0 || yStart == 0 || xEndExclusive == widthPx || yEndExclusive == heightPx;
    }

    public int widthPx() {
        return xEndExclusive - xStart;
    }

    public int heightPx() {
        return yEndExclusive - yStart;
    }
}
