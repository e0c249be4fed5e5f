package stillpond.core.gap;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

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

    private static final int UNSEEN = -1;

    private final SearchPage page;
    private final int width;
    private final int height;
    private final int[] parent;

    /** Floods rise on every second pixel of every second row: a neck is far wider than that, and it costs a quarter. */
    private static final int STEP = 2;

    private Necks(SearchPage page) {
        this.page = page;
        this.width = (page.width() + STEP - 1) / STEP;
        this.height = (page.height() + STEP - 1) / STEP;
        this.parent = new int[width * height];
        Arrays.fill(parent, UNSEEN);
    }

    static List<Closure> find(SearchPage page) {
        return new Necks(page).flood();
    }

    private List<Closure> flood() {
        List<Closure> closures = new ArrayList<>();
        for (int pixel : widestFirst()) {
            int floods = join(pixel);
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
        for (int i = 0; i < parent.length; i++) {
            if (!page.ink()[onPage(i)]) {
                count[level(i, levels)]++;
            }
        }
        int[] start = new int[levels + 1];
        for (int level = levels - 1; level >= 0; level--) {
            start[level] = start[level + 1] + count[level + 1];
        }
        int[] order = new int[start[0] + count[0]];
        for (int i = 0; i < parent.length; i++) {
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

    /** Joins a pixel to the floods around it; returns on how many separate stretches around it there is flood. */
    private int join(int pixel) {
        int x = pixel % width;
        int y = pixel / width;
        int stretches = 0;
        boolean before = isFlooded(x + 1, y - 1);
        parent[pixel] = pixel;
        for (int side = 0; side < 8; side++) {
            boolean here = isFlooded(x + AROUND_X[side], y + AROUND_Y[side]);
            if (here) {
                stretches += before ? 0 : 1;
                union(pixel, (y + AROUND_Y[side]) * width + x + AROUND_X[side]);
            }
            before = here;
        }
        return stretches;
    }

    private static final int[] AROUND_X = {1, 1, 0, -1, -1, -1, 0, 1};
    private static final int[] AROUND_Y = {0, 1, 1, 1, 0, -1, -1, -1};

    private boolean isFlooded(int x, int y) {
        return x >= 0 && y >= 0 && x < width && y < height && parent[y * width + x] != UNSEEN;
    }

    private void union(int a, int b) {
        int rootA = find(a);
        int rootB = find(b);
        parent[Math.max(rootA, rootB)] = Math.min(rootA, rootB);
    }

    private int find(int pixel) {
        int at = pixel;
        while (parent[at] != at) {
            parent[at] = parent[parent[at]];
            at = parent[at];
        }
        return at;
    }

    /** The closure through a pixel; null if it is no neck. */
    private Closure neck(int pixel) {
        double radius = page.distanceToInk(pixel);
        Point middle = page.middleOf(pixel);
        Point one = page.middleOf(page.nearestInk(pixel));
        Point other = farthestSite(pixel, one);
        double length = one.distanceTo(other);
        if (length < MIN_OPPOSITE * radius || length > MAX_LENGTH * page.strokePx()) {
            return null;
        }
        Point across = other.minus(one).unit();
        Point along = new Point(-across.y(), across.x());
        double pinch = radius / Math.min(climb(middle, along, length), climb(middle, along.times(-1), length));
        if (pinch > MAX_PINCH) {
            return null;
        }
        List<Point> line =
                List.of(Crossing.deeper(page, one, across.times(-1)), one, other, Crossing.deeper(page, other, across));
        double paper = Math.max(0.5, length - 1);
        double strokes = paper / page.strokePx();
        return new Closure(Opening.Kind.NECK, line, paper, 0, 0, 1, false, 1.6 - 2.6 * pinch - 0.08 * strokes);
    }

    /** Of the ink points nearest to the pixels around, the one farthest from the first. */
    private Point farthestSite(int pixel, Point from) {
        int x = pixel % page.width();
        int y = pixel / page.width();
        Point farthest = from;
        for (int ny = Math.max(0, y - 3); ny <= Math.min(page.height() - 1, y + 3); ny++) {
            for (int nx = Math.max(0, x - 3); nx <= Math.min(page.width() - 1, x + 3); nx++) {
                int site = page.nearestInk(ny * page.width() + nx);
                if (site >= 0) {
                    Point there = page.middleOf(site);
                    farthest = there.distanceTo(from) > farthest.distanceTo(from) ? there : farthest;
                }
            }
        }
        return farthest;
    }

    /** The widest place met when going from a neck to one side, always on to the widest pixel further that way. */
    private double climb(Point from, Point along, double most) {
        Point at = from;
        Point heading = along;
        double widest = page.distanceToInk(page.index(from));
        for (double walked = 0; walked < 2 * most + 4; walked += 1.5) {
            Point next = null;
            double best = -1;
            for (int turn = -2; turn <= 2; turn++) {
                Point to = at.plus(heading.turned(turn * Math.PI / 6).times(1.5));
                double there = page.inside(to) ? page.distanceToInk(page.index(to)) : -1;
                if (there > best) {
                    best = there;
                    next = to;
                }
            }
            if (next == null || page.isInk(next)) {
                break;
            }
            heading = next.minus(at).unit().plus(along.times(0.4)).unit();
            at = next;
            widest = Math.max(widest, best);
        }
        return widest;
    }
}
