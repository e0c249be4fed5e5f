package stillpond.core.gap;

import java.util.List;
import java.util.OptionalInt;
import java.util.stream.IntStream;

/** Which openings somebody means who clicks, draws or brushes over a sheet with the dam tool; openings are named by their index. */
public final class DamStroke {

    /** Openings weaker than this are crossed without being meant. */
    private static final double LEAST_STRENGTH = 0.03;

    /** A brush reaches as far as a reach so many times as wide or as narrow. */
    private static final double WIDER = 3;

    private static final double NARROWER = 2;

    private DamStroke() {}

    /** The nearest to a place; empty if none is within a distance, in pixels of the page. */
    public static OptionalInt nearest(List<Opening> openings, Point at, double within) {
        int nearest = -1;
        double least = within;
        for (int i = 0; i < openings.size(); i++) {
            double away = distance(at, openings.get(i).line());
            if (openings.get(i).strength() >= LEAST_STRENGTH && away < least) {
                nearest = i;
                least = away;
            }
        }
        return nearest < 0 ? OptionalInt.empty() : OptionalInt.of(nearest);
    }

    /** Those whose lines a line crosses. */
    public static List<Integer> crossed(List<Opening> openings, List<Point> way) {
        return IntStream.range(0, openings.size())
                .filter(i -> openings.get(i).strength() >= LEAST_STRENGTH)
                .filter(i -> crosses(way, openings.get(i).line()))
                .boxed()
                .toList();
    }

    /**
     * Those under a broad brush that reach might have decided otherwise: what a wider reach would dam, or, if dams are lifted, what a narrower one would leave open.
     *
     * @param radius of the brush, in pixels of the page
     * @param reach the present one, 0 to 1
     */
    public static List<Integer> brushed(
            List<Opening> openings, List<Point> way, double radius, double reach, boolean isLifting) {
        return IntStream.range(0, openings.size())
                .filter(i -> {
                    double strength = openings.get(i).strength();
                    return isLifting ? strength < Math.min(1, NARROWER * reach) : strength >= reach / WIDER;
                })
                .filter(i -> {
                    Point middle = openings.get(i).middle();
                    return way.stream().anyMatch(at -> at.distanceTo(middle) < radius);
                })
                .boxed()
                .toList();
    }

    private static boolean crosses(List<Point> way, List<Point> line) {
        for (int i = 1; i < way.size(); i++) {
            for (int j = 1; j < line.size(); j++) {
                if (cross(way.get(i - 1), way.get(i), line.get(j - 1), line.get(j))) {
                    return true;
                }
            }
        }
        return false;
    }

    private static boolean cross(Point a, Point b, Point c, Point d) {
        return side(a, b, c) != side(a, b, d) && side(c, d, a) != side(c, d, b);
    }

    private static double side(Point p, Point q, Point r) {
        return Math.signum((q.x() - p.x()) * (r.y() - p.y()) - (q.y() - p.y()) * (r.x() - p.x()));
    }

    private static double distance(Point at, List<Point> line) {
        double least = at.distanceTo(line.get(0));
        for (int i = 1; i < line.size(); i++) {
            least = Math.min(least, distance(at, line.get(i - 1), line.get(i)));
        }
        return least;
    }

    private static double distance(Point at, Point from, Point to) {
        Point way = to.minus(from);
        double length = way.x() * way.x() + way.y() * way.y();
        double along = length == 0 ? 0 : ((at.x() - from.x()) * way.x() + (at.y() - from.y()) * way.y()) / length;
        return at.distanceTo(from.plus(way.times(Math.min(1, Math.max(0, along)))));
    }
}
