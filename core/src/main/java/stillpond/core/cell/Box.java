package stillpond.core.cell;

/** A box of pixels; ends are exclusive. */
public record Box(int xStart, int yStart, int xEndExclusive, int yEndExclusive) {

    public int widthPx() {
        return xEndExclusive - xStart;
    }

    public int heightPx() {
        return yEndExclusive - yStart;
    }
}
