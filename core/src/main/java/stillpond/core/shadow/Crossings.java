package stillpond.core.shadow;

import java.util.List;
import stillpond.core.gap.Point;

/** Tells whether a closed polygon crosses itself. */
final class Crossings {

    /** Of longer polygons every second, third ... corner is looked at. */
    private static final int MOST_CORNERS = 3000;

    private Crossings() {}

    static boolean of(List<Point> polygon) {
        int step = (polygon.size() + MOST_CORNERS - 1) / MOST_CORNERS;
        int count = polygon.size() / step;
        for (int i = 0; i < count; i++) {
            for (int k = i + 2; k < count; k++) {
                boolean areNeighbours = i == 0 && k == count - 1;
                if (!areNeighbours
                        && cross(
                                polygon.get(i * step),
                                polygon.get((i + 1) * step % polygon.size()),
                                polygon.get(k * step),
                                polygon.get((k + 1) % count * step))) {
                    return true;
                }
            }
        }
        return false;
    }

    private static boolean cross(Point a, Point b, Point c, Point d) {
        boolean isApart = Math.max(a.x(), b.x()) < Math.min(c.x(), d.x())
                || Math.max(c.x(), d.x()) < Math.min(a.x(), b.x())
                || Math.max(a.y(), b.y()) < Math.min(c.y(), d.y())
                || Math.max(c.y(), d.y()) < Math.min(a.y(), b.y());
        return !isApart && side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0;
    }

    private static double side(Point a, Point b, Point p) {
        return Math.signum((b.x() - a.x()) * (p.y() - a.y()) - (b.y() - a.y()) * (p.x() - a.x()));
    }
}
