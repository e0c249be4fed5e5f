package stillpond.core.shadow;

/** A cubic Bézier curve. */
record Cubic(double x0, double y0, double x1, double y1, double x2, double y2, double x3, double y3) {

    /** The curve in two parts. */
    record Halves(Cubic first, Cubic second) {}

    double x(double share) {
        return at(x0, x1, x2, x3, share);
    }

    double y(double share) {
        return at(y0, y1, y2, y3, share);
    }

    private static double at(double a, double b, double c, double d, double t) {
        double s = 1 - t;
        return s * s * s * a + 3 * s * s * t * b + 3 * s * t * t * c + t * t * t * d;
    }

    /** Cut in two (de Casteljau). */
    Halves at(double t) {
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
    int steps(double tolerancePx, int most) {
        double first = Length.of(x0 - 2 * x1 + x2, y0 - 2 * y1 + y2);
        double second = Length.of(x1 - 2 * x2 + x3, y1 - 2 * y2 + y3);
        double steps = Math.ceil(Math.sqrt(0.75 * Math.max(first, second) / tolerancePx));
        return (int) Math.max(1, Math.min(most, steps));
    }
}
