package stillpond.core.cell;

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
