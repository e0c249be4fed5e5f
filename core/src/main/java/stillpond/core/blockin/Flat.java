package stillpond.core.blockin;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import stillpond.core.gap.Point;
import stillpond.core.shadow.Outline;
import stillpond.core.shape.Cubic;

/** Curves as straight pieces. A curve gives the same points whichever way it is run through, so two shapes that share one share every point of it. */
final class Flat {

    /** A curve drawn as straight pieces is off by so much at the most, in pixels. */
    private static final double FLATNESS_PX = 0.05;
    /** What rounding to tenths makes of handles that lie on the straight line. */
    private static final double STRAIGHT_PX = 0.15;

    private static final int MOST_STEPS = 200;

    private Flat() {}

    /** From its start to before its end. */
    static List<Point> of(Cubic curve) {
        boolean isForward = curve.x0() < curve.x3() || curve.x0() == curve.x3() && curve.y0() <= curve.y3();
        Cubic from = isForward ? curve : curve.reversed();
        int steps = curve.isStraight(STRAIGHT_PX) ? 1 : from.steps(FLATNESS_PX, MOST_STEPS);
        Point[] points = new Point[steps + 1];
        for (int step = 1; step < steps; step++) {
            double share = step / (double) steps;
            points[step] = new Point(from.x(share), from.y(share));
        }
        points[0] = new Point(from.x0(), from.y0());
        points[steps] = new Point(from.x3(), from.y3());
        List<Point> line = Arrays.asList(points);
        if (!isForward) {
            Collections.reverse(line);
        }
        return line.subList(0, steps);
    }

    /** All around. */
    static List<Point> polygon(Outline outline) {
        return ring(outline.curves());
    }

    static List<Point> ring(List<Cubic> curves) {
        List<Point> points = new ArrayList<>();
        curves.forEach(curve -> points.addAll(of(curve)));
        return points;
    }

    /** How often a polygon runs around a place. */
    static int winding(List<Point> polygon, double x, double y) {
        int winding = 0;
        Point a = polygon.get(polygon.size() - 1);
        for (Point b : polygon) {
            boolean isCrossed = a.y() > y != b.y() > y;
            if (isCrossed && x < Rows.crossing(a, b, y)) {
                winding += b.y() > a.y() ? 1 : -1;
            }
            a = b;
        }
        return winding;
    }

    /** Twice the area that it runs around, in square pixels; above 0 if it runs clockwise as one sees it. */
    static double doubleArea(List<Point> polygon) {
        double area = 0;
        Point a = polygon.get(polygon.size() - 1);
        for (Point b : polygon) {
            area += a.x() * b.y() - b.x() * a.y();
            a = b;
        }
        return area;
    }
}
