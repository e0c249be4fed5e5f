package stillpond.core.blockin;

import java.util.List;
import java.util.Optional;
import stillpond.core.gap.Point;
import stillpond.core.shape.Length;

/** Places on lines near to others. Lines are straight pieces from point to point. */
final class Near {

    private Near() {}

    /** The place on a line that is nearest to another. */
    static Optional<Point> to(Point at, List<Point> line) {
        Point best = null;
        double nearest = Double.POSITIVE_INFINITY;
        for (int i = 0; i + 1 < line.size(); i++) {
            Point a = line.get(i);
            Point b = line.get(i + 1);
            double dx = b.x() - a.x();
            double dy = b.y() - a.y();
            double square = dx * dx + dy * dy;
            double along = square == 0 ? 0 : ((at.x() - a.x()) * dx + (at.y() - a.y()) * dy) / square;
            double share = Math.max(0, Math.min(1, along));
            Point place = new Point(a.x() + share * dx, a.y() + share * dy);
            double away = Length.of(place.x() - at.x(), place.y() - at.y());
            if (away < nearest) {
                nearest = away;
                best = place;
            }
        }
        return Optional.ofNullable(best);
    }

    /** Where a line is met first from a place in a direction of length 1. */
    static Optional<Point> ahead(Point from, double dx, double dy, List<Point> line) {
        double nearest = Double.POSITIVE_INFINITY;
        for (int i = 0; i + 1 < line.size(); i++) {
            Point a = line.get(i);
            double ex = line.get(i + 1).x() - a.x();
            double ey = line.get(i + 1).y() - a.y();
            double across = dx * ey - dy * ex;
            double on = ((a.x() - from.x()) * dy - (a.y() - from.y()) * dx) / across;
            double away = ((a.x() - from.x()) * ey - (a.y() - from.y()) * ex) / across;
            if (across != 0 && on >= 0 && on <= 1 && away > Vertices.SAME_PX) {
                nearest = Math.min(nearest, away);
            }
        }
        return nearest == Double.POSITIVE_INFINITY
                ? Optional.empty()
                : Optional.of(new Point(from.x() + nearest * dx, from.y() + nearest * dy));
    }
}
