package stillpond.core.blockin;

import java.util.List;
import stillpond.core.cell.Box;
import stillpond.core.gap.Point;
import stillpond.core.shape.Length;

/** Ink along the borders of shapes. A shape hides the ink of those behind it; its own lies half on it and half beside it. */
final class EdgeInk {

    private static final int FULL = 255;
    private static final double THINNEST = 1 / 3.0;

    private EdgeInk() {}

    /**
     * Lays the outline of one shape over a box.
     *
     * @param numbers the cells of the box, this shape painted already
     * @param density of the ink in the box, which it changes
     * @param strokes whose ink it is, which it changes
     */
    static void lay(Shape shape, List<List<Point>> polygons, Box box, int[] numbers, byte[] density, char[] strokes) {
        for (int i = 0; i < numbers.length; i++) {
            if (numbers[i] == shape.number()) {
                density[i] = 0;
            }
        }
        if (shape.edge().isDrawn()) {
            polygons.forEach(polygon -> draw(shape, polygon, box, density, strokes));
        }
    }

    private static void draw(Shape shape, List<Point> polygon, Box box, byte[] density, char[] strokes) {
        double length = 0;
        for (int i = 0; i < polygon.size(); i++) {
            length += away(polygon.get(i), polygon.get((i + 1) % polygon.size()));
        }
        double done = 0;
        for (int i = 0; i < polygon.size(); i++) {
            Point a = polygon.get(i);
            Point b = polygon.get((i + 1) % polygon.size());
            double step = away(a, b);
            draw(
                    shape,
                    a,
                    b,
                    radius(shape.edge(), done / length),
                    radius(shape.edge(), (done + step) / length),
                    box,
                    density,
                    strokes);
            done += step;
        }
    }

    /** @param share of the way around */
    private static double radius(Edge edge, double share) {
        double part = edge.isTapered() ? THINNEST + (1 - THINNEST) * Math.sin(Math.PI * share) : 1;
        return edge.widthPx() / 2 * part;
    }

    private static double away(Point a, Point b) {
        return Length.of(a.x() - b.x(), a.y() - b.y());
    }

    private static void draw(
            Shape shape, Point a, Point b, double from, double to, Box box, byte[] density, char[] strokes) {
        double reach = Math.max(from, to) + 1;
        int left = (int) Math.max(box.xStart(), Math.floor(Math.min(a.x(), b.x()) - reach));
        int right = (int) Math.min(box.xEndExclusive(), Math.ceil(Math.max(a.x(), b.x()) + reach));
        int top = (int) Math.max(box.yStart(), Math.floor(Math.min(a.y(), b.y()) - reach));
        int bottom = (int) Math.min(box.yEndExclusive(), Math.ceil(Math.max(a.y(), b.y()) + reach));
        double dx = b.x() - a.x();
        double dy = b.y() - a.y();
        double square = Math.max(1e-12, dx * dx + dy * dy);
        for (int y = top; y < bottom; y++) {
            for (int x = left; x < right; x++) {
                double along = ((x + 0.5 - a.x()) * dx + (y + 0.5 - a.y()) * dy) / square;
                double share = Math.max(0, Math.min(1, along));
                double away = Length.of(a.x() + share * dx - x - 0.5, a.y() + share * dy - y - 0.5);
                double cover = Math.min(1, from + share * (to - from) - away + 0.5);
                int i = (y - box.yStart()) * box.widthPx() + x - box.xStart();
                int covered = (int) Math.round(FULL * Math.max(0, cover));
                if (covered > (density[i] & 0xff)) {
                    density[i] = (byte) covered;
                }
                if (cover > -1) {
                    strokes[i] = (char) shape.number();
                }
            }
        }
    }
}
