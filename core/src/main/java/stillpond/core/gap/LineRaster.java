package stillpond.core.gap;

import java.util.List;
import java.util.function.IntConsumer;

/** The pixels of a line, each sharing an edge with the next, so that nothing 4-connected or 8-connected slips through. */
final class LineRaster {

    private LineRaster() {}

    /** Calls back with {@code y * width + x} for each pixel of the page along the line, in order; parts beside the page are left out. */
    static void forEach(List<Point> line, int width, int height, IntConsumer pixel) {
        int before = -1;
        for (int i = 1; i < line.size(); i++) {
            Point from = line.get(i - 1);
            Point to = line.get(i);
            int x = (int) Math.floor(from.x());
            int y = (int) Math.floor(from.y());
            int xEnd = (int) Math.floor(to.x());
            int yEnd = (int) Math.floor(to.y());
            double dx = to.x() - from.x();
            double dy = to.y() - from.y();
            while (true) {
                int here = x >= 0 && y >= 0 && x < width && y < height ? y * width + x : -1;
                if (here >= 0 && here != before) {
                    pixel.accept(here);
                    before = here;
                }
                if (x == xEnd && y == yEnd) {
                    break;
                }
                // To the side on which the line leaves this pixel first.
                double acrossX = dx == 0 ? Double.POSITIVE_INFINITY : ((dx > 0 ? x + 1 : x) - from.x()) / dx;
                double acrossY = dy == 0 ? Double.POSITIVE_INFINITY : ((dy > 0 ? y + 1 : y) - from.y()) / dy;
                if (x != xEnd && (acrossX <= acrossY || y == yEnd)) {
                    x += dx > 0 ? 1 : -1;
                } else {
                    y += dy > 0 ? 1 : -1;
                }
            }
        }
    }
}
