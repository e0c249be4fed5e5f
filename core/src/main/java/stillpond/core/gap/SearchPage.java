package stillpond.core.gap;

import java.util.Arrays;
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
            for (int x = 0, i = y * width; x < width; x++, i++) {
                int site = toInk.nearest(i);
                int dy = site / width - y;
                int dx = site - site / width * width - x;
                distance[i] =
                        site < 0 ? Float.POSITIVE_INFINITY : (float) Math.sqrt((double) dx * dx + (double) dy * dy);
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
        int[] columns = bounds(page.widthPx(), width);
        int[] rows = bounds(page.heightPx(), height);
        byte[] density = page.density();
        IntStream.range(0, height).parallel().forEach(y -> {
            int yStart = rows[y];
            int yEnd = Math.max(yStart + 1, rows[y + 1]);
            for (int x = 0; x < width; x++) {
                int xStart = columns[x];
                int xEnd = Math.max(xStart + 1, columns[x + 1]);
                long sum = 0;
                for (int row = yStart; row < yEnd; row++) {
                    int end = row * page.widthPx() + xEnd;
                    for (int i = row * page.widthPx() + xStart; i < end; i++) {
                        sum += density[i] & 0xff;
                    }
                }
                ink[y * width + x] = sum >= least * (xEnd - xStart) * (yEnd - yStart);
            }
        });
        return ink;
    }

    /** Where each pixel of a side begins when it is made smaller; one more for where the last one ends. */
    private static int[] bounds(int from, int to) {
        int[] bounds = new int[to + 1];
        Arrays.setAll(bounds, i -> (int) ((long) i * from / to));
        return bounds;
    }

    /** By bilinear interpolation. */
    private static boolean[] enlarged(InkPlane page, int width, int height) {
        boolean[] ink = new boolean[width * height];
        Between[] columns = betweens(page.widthPx(), width);
        Between[] rows = betweens(page.heightPx(), height);
        byte[] density = page.density();
        IntStream.range(0, height).parallel().forEach(y -> {
            int above = rows[y].first * page.widthPx();
            int below = rows[y].second * page.widthPx();
            double down = rows[y].part;
            for (int x = 0; x < width; x++) {
                Between column = columns[x];
                double part = column.part;
                double top = (density[above + column.first] & 0xff) * (1 - part)
                        + (density[above + column.second] & 0xff) * part;
                double bottom = (density[below + column.first] & 0xff) * (1 - part)
                        + (density[below + column.second] & 0xff) * part;
                ink[y * width + x] = top * (1 - down) + bottom * down >= page.threshold();
            }
        });
        return ink;
    }

    /** Which two pixels of a side lie around the middle of one when it is made larger, and how far it is from the first to the second. */
    private record Between(int first, int second, double part) {}

    private static Between[] betweens(int from, int to) {
        Between[] betweens = new Between[to];
        for (int i = 0; i < to; i++) {
            double place = (i + 0.5) * from / to - 0.5;
            int first = Math.max(0, Math.min(from - 1, (int) Math.floor(place)));
            betweens[i] = new Between(first, Math.min(from - 1, first + 1), Math.max(0, place - first));
        }
        return betweens;
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

    /** At a place; negative beside the page. */
    double distanceToInk(double x, double y) {
        return x >= 0 && y >= 0 && x < width && y < height ? distance[(int) y * width + (int) x] : -1;
    }

    /** The way from a place to the edge of the page. */
    double distanceToFrame(Point p) {
        return Math.min(Math.min(p.x(), width - p.x()), Math.min(p.y(), height - p.y()));
    }
}
