package stillpond.core.gap;

import java.util.stream.IntStream;
import stillpond.core.cell.DistanceField;
import stillpond.core.ink.InkPlane;
import stillpond.core.ink.StrokeWidth;

/**
 * The page as closures are searched on it: brought to a size at which strokes are about {@link #STROKE_PX} wide, so that scans of one drawing at any resolution
 * look alike and the search costs alike.
 */
final class SearchPage {

    /** Wide enough for smooth tangents, narrow enough for a page of print size; experiments between 5 and 10 made no difference to the regions. */
    private static final double STROKE_PX = 7;

    /** Lines much thinner than the others must not vanish when the page is made small. */
    private static final double THIN_LINE_SHARE = 0.36;

    private static final double MAX_ENLARGEMENT = 3;

    /** Bounds time and memory on pages whose strokes are hairs. */
    private static final double MAX_PIXELS = 9e6;

    private final int width;
    private final int height;
    private final double scale;
    private final double strokePx;
    private final boolean[] ink;
    private final DistanceField toInk;
    private final float[] distance;

    private SearchPage(int width, int height, double scale, double strokePx, boolean[] ink) {
        this.width = width;
        this.height = height;
        this.scale = scale;
        this.strokePx = strokePx;
        this.ink = ink;
        this.toInk = DistanceField.to(width, height, i -> ink[i]);
        this.distance = new float[ink.length];
        IntStream.range(0, height).parallel().forEach(y -> {
            for (int i = y * width, end = i + width; i < end; i++) {
                distance[i] = (float) toInk.distancePx(i);
            }
        });
    }

    static SearchPage of(InkPlane page) {
        double stroke = StrokeWidth.of(page);
        double most = Math.sqrt(MAX_PIXELS / ((double) page.widthPx() * page.heightPx()));
        double wanted = Math.min(Math.min(MAX_ENLARGEMENT, most), STROKE_PX / stroke);
        int width = Math.max(1, (int) Math.round(page.widthPx() * wanted));
        int height = Math.max(1, (int) Math.round(page.heightPx() * wanted));
        double scale = width / (double) page.widthPx();
        boolean[] ink = scale < 1 ? shrunk(page, width, height) : enlarged(page, width, height);
        return new SearchPage(width, height, scale, stroke * scale, ink);
    }

    private static boolean[] shrunk(InkPlane page, int width, int height) {
        boolean[] ink = new boolean[width * height];
        double least = page.threshold() * 2 * THIN_LINE_SHARE;
        IntStream.range(0, height).parallel().forEach(y -> {
            int yStart = (int) ((long) y * page.heightPx() / height);
            int yEnd = Math.max(yStart + 1, (int) ((long) (y + 1) * page.heightPx() / height));
            for (int x = 0; x < width; x++) {
                int xStart = (int) ((long) x * page.widthPx() / width);
                int xEnd = Math.max(xStart + 1, (int) ((long) (x + 1) * page.widthPx() / width));
                long sum = 0;
                for (int row = yStart; row < yEnd; row++) {
                    for (int i = row * page.widthPx() + xStart; i < row * page.widthPx() + xEnd; i++) {
                        sum += page.density()[i] & 0xff;
                    }
                }
                ink[y * width + x] = sum >= least * (xEnd - xStart) * (yEnd - yStart);
            }
        });
        return ink;
    }

    private static boolean[] enlarged(InkPlane page, int width, int height) {
        boolean[] ink = new boolean[width * height];
        IntStream.range(0, height).parallel().forEach(y -> {
            double v = (y + 0.5) * page.heightPx() / height - 0.5;
            for (int x = 0; x < width; x++) {
                double u = (x + 0.5) * page.widthPx() / width - 0.5;
                ink[y * width + x] = interpolated(page, u, v) >= page.threshold();
            }
        });
        return ink;
    }

    private static double interpolated(InkPlane page, double u, double v) {
        int x = Math.max(0, Math.min(page.widthPx() - 1, (int) Math.floor(u)));
        int y = Math.max(0, Math.min(page.heightPx() - 1, (int) Math.floor(v)));
        int right = Math.min(page.widthPx() - 1, x + 1);
        int below = Math.min(page.heightPx() - 1, y + 1);
        double part = Math.max(0, u - x);
        double above = density(page, x, y) * (1 - part) + density(page, right, y) * part;
        double under = density(page, x, below) * (1 - part) + density(page, right, below) * part;
        double down = Math.max(0, v - y);
        return above * (1 - down) + under * down;
    }

    private static int density(InkPlane page, int x, int y) {
        return page.density()[y * page.widthPx() + x] & 0xff;
    }

    int width() {
        return width;
    }

    int height() {
        return height;
    }

    /** Pixels here for one pixel of the page. */
    double scale() {
        return scale;
    }

    /** How wide strokes are here. */
    double strokePx() {
        return strokePx;
    }

    boolean[] ink() {
        return ink;
    }

    boolean inside(Point p) {
        return p.x() >= 0 && p.y() >= 0 && p.x() < width && p.y() < height;
    }

    /** False beside the page. */
    boolean isInk(Point p) {
        return inside(p) && ink[index(p)];
    }

    /** The pixel that holds a place; the nearest one for a place beside the page. */
    int index(Point p) {
        int x = Math.max(0, Math.min(width - 1, (int) Math.floor(p.x())));
        int y = Math.max(0, Math.min(height - 1, (int) Math.floor(p.y())));
        return y * width + x;
    }

    Point middleOf(int index) {
        return new Point(index % width + 0.5, index / width + 0.5);
    }

    /** The ink pixel nearest to a pixel; negative if there is no ink. */
    int nearestInk(int index) {
        return toInk.nearest(index);
    }

    double distanceToInk(int index) {
        return distance[index];
    }

    /** The way from a place to the edge of the page. */
    double distanceToFrame(Point p) {
        return Math.min(Math.min(p.x(), width - p.x()), Math.min(p.y(), height - p.y()));
    }
}
