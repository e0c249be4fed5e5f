package stillpond.core.cut;

/** A direction on the page, of length 1. */
record Heading(double x, double y) {

    /** @param from another place than {@code to} */
    static Heading between(Spot from, Spot to) {
        double length = from.distance(to);
        return new Heading((to.xMm() - from.xMm()) / length, (to.yMm() - from.yMm()) / length);
    }

    /** To the left hand of who goes this way. */
    Heading left() {
        return new Heading(y, -x);
    }

    /** The turn to another heading, clockwise, in radians from -π to π. */
    double turnTo(Heading other) {
        return Math.atan2(x * other.y - y * other.x, x * other.x + y * other.y);
    }

    Heading turned(double clockwise) {
        double cos = Math.cos(clockwise);
        double sin = Math.sin(clockwise);
        return new Heading(x * cos - y * sin, x * sin + y * cos);
    }
}
