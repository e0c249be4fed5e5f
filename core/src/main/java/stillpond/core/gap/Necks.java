package stillpond.core.gap;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

/**
 * Closures where paper is narrow between two bulges of ink, with or without stroke ends: the saddles of the distance to ink.
 *
 * <p>Paper is flooded from its widest places down. Where two floods meet, or one meets itself around some ink, paper is narrower than before and behind: there
 * an empty circle touches ink on two sides, and the line between the two is the closure (the saddles of the distance transform, as watershed
 * segmentation uses them: L. Vincent and P. Soille, IEEE Trans. PAMI 13, 1991).
 */
final class Necks {

    /** In stroke widths. */
    private static final double MAX_LENGTH = 16;

    /** The circle must be so much narrower than those before and behind it. */
    private static final double MAX_PINCH = 0.86;

    /** The two points of ink lie on opposite sides of the circle: their distance in radii. */
    private static final double MIN_OPPOSITE = 1.55;

    /** How finely distances are told apart while flooding. */
    private static final int LEVELS_A_PIXEL = 4;

    /** In pixels of the search page. */
    private static final double CLIMB_STEP = 1.5;

    /** How much a climb is drawn back to where it set out for. */
    private static final double PULL = 0.4;

    private static final double[] TURN_COS = IntStream.rangeClosed(-2, 2)
            .mapToDouble(turn -> Math.cos(turn * Math.PI / 6))
            .toArray();
    private static final double[] TURN_SIN = IntStream.rangeClosed(-2, 2)
            .mapToDouble(turn -> Math.sin(turn * Math.PI / 6))
            .toArray();

    private final SearchPage page;
    private final int width;
    private final int height;
    private final boolean[] flooded;

    /** Floods rise on every second pixel of every second row: a neck is far wider than that, and it costs a quarter. */
    private static final int STEP = 2;

    private Necks(SearchPage page) {
        this.page = page;
        this.width = (page.width() + STEP - 1) / STEP;
        this.height = (page.height() + STEP - 1) / STEP;
        this.flooded = new boolean[width * height];
    }

    static List<Closure> find(SearchPage page) {
        return new Necks(page).flood();
    }

    private List<Closure> flood() {
        List<Closure> closures = new ArrayList<>();
        for (int pixel : widestFirst()) {
            int floods = flood(pixel);
            if (floods > 1 && page.distanceToInk(onPage(pixel)) <= MAX_LENGTH / 2 * page.strokePx()) {
                Closure closure = neck(onPage(pixel));
                if (closure != null) {
                    closures.add(closure);
                }
            }
        }
        return closures;
    }

    /** Paper by distance to ink, in steps of a quarter pixel; within a step in reading order. */
    private int[] widestFirst() {
        int levels = (int) (LEVELS_A_PIXEL * (MAX_LENGTH / 2 * page.strokePx() + 2));
        int[] count = new int[levels + 1];
        for (int i = 0; i < flooded.length; i++) {
            if (!page.ink()[onPage(i)]) {
                count[level(i, levels)]++;
            }
        }
        int[] start = new int[levels + 1];
        for (int level = levels - 1; level >= 0; level--) {
            start[level] = start[level + 1] + count[level + 1];
        }
        int[] order = new int[start[0] + count[0]];
        for (int i = 0; i < flooded.length; i++) {
            if (!page.ink()[onPage(i)]) {
                order[start[level(i, levels)]++] = i;
            }
        }
        return order;
    }

    private int level(int pixel, int levels) {
        return (int) Math.min(levels, LEVELS_A_PIXEL * page.distanceToInk(onPage(pixel)));
    }

    private int onPage(int pixel) {
        return pixel / width * STEP * page.width() + pixel % width * STEP;
    }

    /** Floods a pixel; returns on how many separate stretches around it there was flood before. */
    private int flood(int pixel) {
        int x = pixel % width;
        int y = pixel / width;
        int stretches = 0;
        boolean before = isFlooded(x + 1, y - 1);
        flooded[pixel] = true;
        for (int side = 0; side < 8; side++) {
            boolean here = isFlooded(x + AROUND_X[side], y + AROUND_Y[side]);
            stretches += here && !before ? 1 : 0;
            before = here;
        }
        return stretches;
    }

    private static final int[] AROUND_X = {1, 1, 0, -1, -1, -1, 0, 1};
    private static final int[] AROUND_Y = {0, 1, 1, 1, 0, -1, -1, -1};

    private boolean isFlooded(int x, int y) {
        return x >= 0 && y >= 0 && x < width && y < height && flooded[y * width + x];
    }

    /** The closure through a pixel; null if it is no neck. */
    private Closure neck(int pixel) {
        double radius = page.distanceToInk(pixel);
        Point middle = page.middleOf(pixel);
        int nearest = page.nearestInk(pixel);
        Point one = page.middleOf(nearest);
        Point other = farthestSite(pixel, nearest);
        double length = one.distanceTo(other);
        if (length < MIN_OPPOSITE * radius || length > MAX_LENGTH * page.strokePx()) {
            return null;
        }
        Point across = other.minus(one).unit();
        double oneSide = climb(middle, -across.y(), across.x(), length);
        double otherSide = climb(middle, across.y(), -across.x(), length);
        double pinch = radius / Math.min(oneSide, otherSide);
        if (pinch > MAX_PINCH) {
            return null;
        }
        List<Point> line =
                List.of(Crossing.deeper(page, one, across.times(-1)), one, other, Crossing.deeper(page, other, across));
        double paper = Math.max(0.5, length - 1);
        double strokes = paper / page.strokePx();
        return new Closure(Opening.Kind.NECK, line, paper, List.of(), 0, 1, 1.6 - 2.6 * pinch - 0.08 * strokes);
    }

    /** Of the ink points nearest to the pixels around, the one farthest from the first. */
    private Point farthestSite(int pixel, int from) {
        int x = pixel % page.width();
        int y = pixel / page.width();
        int farthest = from;
        long most = 0;
        for (int ny = Math.max(0, y - 3); ny <= Math.min(page.height() - 1, y + 3); ny++) {
            for (int nx = Math.max(0, x - 3); nx <= Math.min(page.width() - 1, x + 3); nx++) {
                int site = page.nearestInk(ny * page.width() + nx);
                long away = site < 0 ? 0 : squaredBetween(site, from);
                if (away > most) {
                    most = away;
                    farthest = site;
                }
            }
        }
        return page.middleOf(farthest);
    }

    private long squaredBetween(int a, int b) {
        long dx = a % page.width() - b % page.width();
        long dy = a / page.width() - b / page.width();
        return dx * dx + dy * dy;
    }

    /** The widest place met when going from a neck to one side, always on to the widest pixel further that way. Without a point a step: it is walked from every saddle. */
    private double climb(Point from, double alongX, double alongY, double most) {
        double x = from.x();
        double y = from.y();
        double headingX = alongX;
        double headingY = alongY;
        double widest = page.distanceToInk(page.index(from));
        for (double walked = 0; walked < 2 * most + 4; walked += CLIMB_STEP) {
            double nextX = x;
            double nextY = y;
            double best = -1;
            for (int turn = 0; turn < TURN_COS.length; turn++) {
                double toX = x + (headingX * TURN_COS[turn] - headingY * TURN_SIN[turn]) * CLIMB_STEP;
                double toY = y + (headingX * TURN_SIN[turn] + headingY * TURN_COS[turn]) * CLIMB_STEP;
                double there = page.distanceToInk(toX, toY);
                if (there > best) {
                    best = there;
                    nextX = toX;
                    nextY = toY;
                }
            }
            // Beside the page, or in ink.
            if (best <= 0) {
                break;
            }
            double scale = 1 / Math.hypot(nextX - x, nextY - y);
            headingX = (nextX - x) * scale + alongX * PULL;
            headingY = (nextY - y) * scale + alongY * PULL;
            double unit = 1 / Math.hypot(headingX, headingY);
            headingX *= unit;
            headingY *= unit;
            x = nextX;
            y = nextY;
            widest = Math.max(widest, best);
        }
        return widest;
    }
}
