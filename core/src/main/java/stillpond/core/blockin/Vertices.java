package stillpond.core.blockin;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import stillpond.core.gap.Point;
import stillpond.core.shape.Length;

/** Places where curves meet, to a tenth of a pixel: what is nearer to one than {@link #SAME_PX} is that one. */
final class Vertices {

    /** Rounding moves a point by up to 0.07 pixels; twice that, and it is the same all the same. */
    static final double SAME_PX = 0.15;

    private final List<Point> all = new ArrayList<>();
    private final Map<Long, List<Integer>> byPixel = new HashMap<>();

    int at(double x, double y) {
        int px = (int) Math.floor(x);
        int py = (int) Math.floor(y);
        int best = -1;
        double nearest = SAME_PX;
        for (int dy = -1; dy <= 1; dy++) {
            for (int dx = -1; dx <= 1; dx++) {
                for (int each : byPixel.getOrDefault(key(px + dx, py + dy), List.of())) {
                    double away = Length.of(all.get(each).x() - x, all.get(each).y() - y);
                    if (away < nearest) {
                        nearest = away;
                        best = each;
                    }
                }
            }
        }
        if (best < 0) {
            best = all.size();
            Point point = new Point(tenths(x), tenths(y));
            all.add(point);
            byPixel.computeIfAbsent(
                            key((int) Math.floor(point.x()), (int) Math.floor(point.y())), any -> new ArrayList<>())
                    .add(best);
        }
        return best;
    }

    Point get(int vertex) {
        return all.get(vertex);
    }

    int count() {
        return all.size();
    }

    static double tenths(double value) {
        return Math.floor(value * 10 + 0.5) / 10;
    }

    private static long key(int x, int y) {
        return (long) y << 32 ^ x & 0xffffffffL;
    }
}
