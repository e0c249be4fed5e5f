package stillpond.core.carry;

import stillpond.core.gap.Point;
import stillpond.core.shadow.Form;

/**
 * A similarity that lays one drawing over another, where y runs downwards: {@code x' = a x - b y + tx}, {@code y' = b x + a y + ty}, after x was negated if it is mirrored.
 */
public record Pose(double a, double b, double tx, double ty, boolean isMirrored) {

    /** The pose that brings two points onto two others. */
    static Pose of(double[] from1, double[] from2, double[] to1, double[] to2, boolean isMirrored) {
        double side = isMirrored ? -1 : 1;
        double fx = side * (from2[0] - from1[0]);
        double fy = from2[1] - from1[1];
        double gx = to2[0] - to1[0];
        double gy = to2[1] - to1[1];
        double square = fx * fx + fy * fy;
        double a = (fx * gx + fy * gy) / square;
        double b = (fx * gy - fy * gx) / square;
        double x = side * from1[0];
        return new Pose(a, b, to1[0] - a * x + b * from1[1], to1[1] - b * x - a * from1[1], isMirrored);
    }

    /** As shapes are laid. */
    public Form.Placed placed() {
        return new Form.Placed(
                point -> new Point(x(point.x(), point.y()), y(point.x(), point.y())),
                scale(),
                Math.toDegrees(turn()),
                isMirrored);
    }

    /** The same between two pages, of which the drawings are so much smaller. */
    Pose onPages(double fromPixelPx, double toPixelPx) {
        double larger = toPixelPx / fromPixelPx;
        return new Pose(a * larger, b * larger, tx * toPixelPx, ty * toPixelPx, isMirrored);
    }

    double x(double x, double y) {
        return a * (isMirrored ? -x : x) - b * y + tx;
    }

    double y(double x, double y) {
        return b * (isMirrored ? -x : x) + a * y + ty;
    }

    double scale() {
        return Math.hypot(a, b);
    }

    /** Radians, positive from x to y. */
    double turn() {
        return Math.atan2(b, a);
    }

    /** The same turn and size, shifted so that a point comes elsewhere. */
    Pose through(double fromX, double fromY, double toX, double toY) {
        return new Pose(a, b, tx + toX - x(fromX, fromY), ty + toY - y(fromX, fromY), isMirrored);
    }
}
