package stillpond.core.ink;

/**
 * Where the pixels of one drawing lie in another picture of the same page: {@code xThere = x * xScale + dxPx}, and likewise for y.
 */
public record Placing(double xScale, double yScale, double dxPx, double dyPx) {

    public static final Placing SAME = new Placing(1, 1, 0, 0);

    public int xThere(int x) {
        return (int) Math.floor((x + 0.5) * xScale + dxPx);
    }

    public int yThere(int y) {
        return (int) Math.floor((y + 0.5) * yScale + dyPx);
    }

    /** The pixel here that lies at a pixel there. */
    public int xHere(int xThere) {
        return (int) Math.floor((xThere + 0.5 - dxPx) / xScale);
    }

    public int yHere(int yThere) {
        return (int) Math.floor((yThere + 0.5 - dyPx) / yScale);
    }
}
