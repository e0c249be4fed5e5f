package stillpond.core.gap;

/** A place on a page, or a direction, in pixels; pixel (0, 0) has its middle at (0.5, 0.5). */
public record Point(double x, double y) {

    Point plus(Point other) {
        return new Point(x + other.x, y + other.y);
    }

    Point minus(Point other) {
        return new Point(x - other.x, y - other.y);
    }

    Point times(double factor) {
        return new Point(x * factor, y * factor);
    }

    double dot(Point other) {
        return x * other.x + y * other.y;
    }

    double cross(Point other) {
        return x * other.y - y * other.x;
    }

    double length() {
        return Math.hypot(x, y);
    }

    /** In the unit of the points. */
    public double distanceTo(Point other) {
        return Math.hypot(x - other.x, y - other.y);
    }

    /** Of length 1; (0, 0) stays as it is. */
    Point unit() {
        double length = length();
        return length == 0 ? this : times(1 / length);
    }

    Point turned(double radians) {
        double cos = Math.cos(radians);
        double sin = Math.sin(radians);
        return new Point(x * cos - y * sin, x * sin + y * cos);
    }
}
