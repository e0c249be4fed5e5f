package stillpond.core.cell;

import java.util.stream.IntStream;

/** A box of pixels; ends are exclusive. */
public record Box(int xStart, int yStart, int xEndExclusive, int yEndExclusive) {

    /** The smallest box around this one and another. */
    Box with(Box other) {
        return new Box(
                Math.min(xStart, other.xStart),
                Math.min(yStart, other.yStart),
                Math.max(xEndExclusive, other.xEndExclusive),
                Math.max(yEndExclusive, other.yEndExclusive));
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
        while (left < right && !isInColumn(plane, cell, left, top, bottom)) {
            left++;
        }
        while (right > left && !isInColumn(plane, cell, right - 1, top, bottom)) {
            right--;
        }
        return new Box(left, top, right, bottom);
    }

    private static boolean isInRow(CellPlane plane, int cell, int y, int xStart, int xEnd) {
        return IntStream.range(xStart, xEnd).anyMatch(x -> plane.numberAt(x, y) == cell);
    }

    private static boolean isInColumn(CellPlane plane, int cell, int x, int yStart, int yEnd) {
        return IntStream.range(yStart, yEnd).anyMatch(y -> plane.numberAt(x, y) == cell);
    }

    /** Whether it reaches the edge of a sheet. */
    public boolean reachesEdgeOf(CellPlane plane) {
        return xStart == 0 || yStart == 0 || xEndExclusive == plane.widthPx() || yEndExclusive == plane.heightPx();
    }

    public int widthPx() {
        return xEndExclusive - xStart;
    }

    public int heightPx() {
        return yEndExclusive - yStart;
    }
}
