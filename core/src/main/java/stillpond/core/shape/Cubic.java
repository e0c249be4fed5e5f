package stillpond.core.shape;

/** A cubic Bézier curve. */
public record Cubic(double x0, double y0, double x1, double y1, double x2, double y2, double x3, double y3) {

    /** The curve in two parts. */
    public record Halves(Cubic first, Cubic second) {}

    public double x(double share) {
        return at(x0, x1, x2, x3, share);
    }

    public double y(double share) {
        return at(y0, y1, y2, y3, share);
    }

    /** A straight line as a curve, with its handles at thirds. */
    public static Cubic straight(double fromX, double fromY, double toX, double toY) {
        return new Cubic(
                fromX,
                fromY,
                mix(fromX, toX, 1 / 3.0),
                mix(fromY, toY, 1 / 3.0),
                mix(fromX, toX, 2 / 3.0),
                mix(fromY, toY, 2 / 3.0),
                toX,
                toY);
    }

    /** From its end to its start. */
    public Cubic reversed() {
        return new Cubic(x3, y3, x2, y2, x1, y1, x0, y0);
    }

    /** Whether its handles lie on the straight line between its ends, but for a tolerance. */
    public boolean isStraight(double tolerance) {
        double length = Length.of(x3 - x0, y3 - y0);
        return length > 0 && aside(x1, y1) <= tolerance * length && aside(x2, y2) <= tolerance * length;
    }

    /** How far a point is from the line through its ends, times their distance. */
    private double aside(double x, double y) {
        return Math.abs((x3 - x0) * (y - y0) - (y3 - y0) * (x - x0));
    }

    private static double at(double a, double b, double c, double d, double t) {
        double s = 1 - t;
        return s * s * s * a + 3 * s * s * t * b + 3 * s * t * t * c + t * t * t * d;
    }

    /** Cut in two (de Casteljau). */
    public Halves at(double t) {
        double ax = mix(x0, x1, t);
        double ay = mix(y0, y1, t);
        double bx = mix(x1, x2, t);
        double by = mix(y1, y2, t);
        double cx = mix(x2, x3, t);
        double cy = mix(y2, y3, t);
        double dx = mix(ax, bx, t);
        double dy = mix(ay, by, t);
        double ex = mix(bx, cx, t);
        double ey = mix(by, cy, t);
        double fx = mix(dx, ex, t);
        double fy = mix(dy, ey, t);
        return new Halves(new Cubic(x0, y0, ax, ay, dx, dy, fx, fy), new Cubic(fx, fy, ex, ey, cx, cy, x3, y3));
    }

    private static double mix(double from, double to, double share) {
        return from + share * (to - from);
    }

    /** Into how many straight pieces of equal parameters it must be cut to be off by less than a tolerance (G. Wang, 1984: from its second differences). */
    public int steps(double tolerancePx, int most) {
        double first = Length.of(x0 - 2 * x1 + x2, y0 - 2 * y1 + y2);
        double second = Length.of(x1 - 2 * x2 + x3, y1 - 2 * y2 + y3);
        double steps = Math.ceil(Math.sqrt(0.75 * Math.max(first, second) / tolerancePx));
        return (int) Math.max(1, Math.min(most, steps));
    }
}
