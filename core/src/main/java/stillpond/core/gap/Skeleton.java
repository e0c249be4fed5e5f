package stillpond.core.gap;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * The middle lines of strokes, and their ends.
 *
 * <p>Lines are followed along m-adjacency: a diagonal step counts only where no straight one leads to the same pixel, so a line has exactly two
 * neighbours everywhere but at its ends and crossings.
 */
final class Skeleton {

    /** Shorter branches are bulges of an outline, no strokes: in stroke widths, and in radii of the ink they spring from. */
    private static final double MIN_BRANCH = 1.0;

    private static final double MIN_BRANCH_RADII = 1.5;

    /** Shorter strokes that touch nothing are dots. */
    private static final double MIN_MARK = 1.5;

    /** Where along the stroke its direction and its curvature are taken, in stroke widths from the end. */
    private static final double TANGENT_FROM = 0.3;

    private static final double TANGENT_TO = 2.0;
    private static final double CURVE_TO = 3.6;

    /** What a stroke's end is compared with, so many stroke widths further in. */
    private static final double TAPER_FROM = 3;

    /** An end may be a blot. */
    private static final double MOST_TAPER = 1.5;

    /** Beyond this a branch counts as long. */
    private static final double FOLLOWED = 24;

    private static final int PRUNINGS = 2;

    private final SearchPage page;
    private final int width;
    private final int height;
    private final boolean[] thin;

    private Skeleton(SearchPage page) {
        this.page = page;
        this.width = page.width();
        this.height = page.height();
        this.thin = Thinning.thin(page.ink(), width, height);
    }

    static Skeleton of(SearchPage page) {
        Skeleton skeleton = new Skeleton(page);
        for (int i = 0; i < PRUNINGS; i++) {
            skeleton.prune();
        }
        return skeleton;
    }

    /**
     * The lines between crossings and ends, by the number that each pixel has; {@link MiddleLines#NONE} where no line is, and at crossings. They are numbered by their first
     * pixel in reading order.
     */
    int[] lines() {
        int[] lines = new int[thin.length];
        Arrays.fill(lines, MiddleLines.NONE);
        int[] waiting = new int[1024];
        int count = 0;
        for (int start = 0; start < thin.length; start++) {
            if (!isBetweenCrossings(start) || lines[start] >= 0) {
                continue;
            }
            int last = 0;
            waiting[0] = start;
            lines[start] = count;
            for (int i = 0; i <= last; i++) {
                for (int side = 0; side < 8; side++) {
                    int next = neighbour(waiting[i], side);
                    if (next >= 0 && lines[next] < 0 && isBetweenCrossings(next)) {
                        lines[next] = count;
                        if (++last == waiting.length) {
                            waiting = Arrays.copyOf(waiting, 2 * last);
                        }
                        waiting[last] = next;
                    }
                }
            }
            count++;
        }
        return lines;
    }

    private boolean isBetweenCrossings(int pixel) {
        return thin[pixel] && degree(pixel) <= 2;
    }

    private void prune() {
        for (int i = 0; i < thin.length; i++) {
            if (thin[i] && degree(i) == 1) {
                Branch branch = follow(i);
                double least = Math.max(MIN_BRANCH * page.strokePx(), MIN_BRANCH_RADII * toPaper(branch.last()));
                if (branch.reachesCrossing() && branch.lengthPx() < least) {
                    Arrays.stream(branch.pixels())
                            .limit(branch.pixels().length - 1)
                            .forEach(p -> thin[p] = false);
                }
            }
        }
    }

    List<StrokeEnd> ends() {
        List<StrokeEnd> ends = new ArrayList<>();
        for (int i = 0; i < thin.length; i++) {
            if (thin[i] && degree(i) == 1) {
                Branch branch = follow(i);
                boolean dot = !branch.reachesCrossing() && branch.lengthPx() < MIN_MARK * page.strokePx();
                if (!dot && !runsOffThePage(i)) {
                    ends.add(end(ends.size(), branch));
                }
            }
        }
        return ends;
    }

    /** A stroke that the edge of the page cuts off has no end there. */
    private boolean runsOffThePage(int pixel) {
        return page.distanceToFrame(page.middleOf(pixel)) < 0.8 * toPaper(pixel) + 1;
    }

    private StrokeEnd end(int number, Branch branch) {
        double w = page.strokePx();
        Point root = page.middleOf(branch.pixels()[0]);
        Point near = branch.at(TANGENT_FROM * w, this);
        Point far = branch.at(TANGENT_TO * w, this);
        Point direction = near.minus(far).unit();
        if (direction.length() == 0) {
            direction = root.minus(branch.at(branch.lengthPx(), this)).unit();
        }
        Point before = far.minus(branch.at(CURVE_TO * w, this)).unit();
        double bend = Math.atan2(before.cross(direction), before.dot(direction));
        double curvature = branch.lengthPx() < CURVE_TO * w ? 0 : bend / ((CURVE_TO - TANGENT_FROM) / 2 * w);
        int measured = page.index(near);
        double radius = Math.max(0.5, toPaper(measured));
        return new StrokeEnd(
                number,
                root,
                tip(root, direction),
                direction,
                curvature,
                radius,
                taper(radius, branch),
                branch.lengthPx(),
                !branch.reachesCrossing() && branch.lengthPx() < FOLLOWED * w);
    }

    /** Beside the stroke's half width where its direction was taken from. */
    private double taper(double radiusPx, Branch branch) {
        Point further = branch.at(TAPER_FROM * page.strokePx(), this);
        return Math.min(MOST_TAPER, radiusPx / Math.max(0.5, toPaper(page.index(further))));
    }

    /** Thinning shortens a stroke by half its width: its tip lies where its direction leaves the ink. */
    private Point tip(Point root, Point direction) {
        Point tip = root;
        for (double step = 0; step < 2 * page.strokePx(); step += 0.5) {
            Point next = root.plus(direction.times(step));
            if (!page.isInk(next)) {
                break;
            }
            tip = next;
        }
        return tip;
    }

    /** Distance to the nearest paper pixel, looked for in growing squares; infinite if there is none. Only some hundred places are asked for. */
    private double toPaper(int pixel) {
        int x = pixel % width;
        int y = pixel / width;
        int best = Integer.MAX_VALUE;
        int furthest = Math.max(width, height);
        for (int ring = 0; ring <= furthest && (long) ring * ring < best; ring++) {
            for (int dy = -ring; dy <= ring; dy++) {
                int step = Math.abs(dy) == ring ? 1 : 2 * ring;
                for (int dx = -ring; dx <= ring; dx += Math.max(1, step)) {
                    if (isPaper(x + dx, y + dy)) {
                        best = Math.min(best, dx * dx + dy * dy);
                    }
                }
            }
        }
        return best == Integer.MAX_VALUE ? Double.POSITIVE_INFINITY : Math.sqrt(best);
    }

    private boolean isPaper(int x, int y) {
        return x >= 0 && y >= 0 && x < width && y < height && !page.ink()[y * width + x];
    }

    /** Pixels from an end on, as far as a crossing, another end, or as far as a branch is followed. */
    private record Branch(int[] pixels, double lengthPx, boolean reachesCrossing) {

        int last() {
            return pixels[pixels.length - 1];
        }

        /** Mean of three pixels about so far from the end. */
        Point at(double distancePx, Skeleton skeleton) {
            double walked = 0;
            int i = 0;
            while (i + 1 < pixels.length && walked < distancePx) {
                walked += skeleton.step(pixels[i], pixels[i + 1]);
                i++;
            }
            Point sum = new Point(0, 0);
            int count = 0;
            for (int j = Math.max(0, i - 1); j <= Math.min(pixels.length - 1, i + 1); j++) {
                sum = sum.plus(skeleton.page.middleOf(pixels[j]));
                count++;
            }
            return sum.times(1.0 / count);
        }
    }

    private Branch follow(int end) {
        double most = FOLLOWED * page.strokePx();
        int[] pixels = new int[(int) most + 4];
        int count = 0;
        double length = 0;
        int before = -1;
        int at = end;
        pixels[count++] = at;
        while (length < most && count < pixels.length) {
            int next = nextAlong(at, before);
            if (next < 0) {
                return new Branch(Arrays.copyOf(pixels, count), length, false);
            }
            length += step(at, next);
            before = at;
            at = next;
            pixels[count++] = at;
            if (degree(at) > 2) {
                return new Branch(Arrays.copyOf(pixels, count), length, true);
            }
        }
        return new Branch(Arrays.copyOf(pixels, count), length, false);
    }

    private double step(int from, int to) {
        return from % width == to % width || from / width == to / width ? 1 : Math.sqrt(2);
    }

    private int nextAlong(int at, int before) {
        for (int side = 0; side < 8; side++) {
            int next = neighbour(at, side);
            if (next >= 0 && next != before) {
                return next;
            }
        }
        return -1;
    }

    private int degree(int at) {
        int degree = 0;
        for (int side = 0; side < 8; side++) {
            degree += neighbour(at, side) >= 0 ? 1 : 0;
        }
        return degree;
    }

    private static final int[] DX = {1, 0, -1, 0, 1, -1, -1, 1};
    private static final int[] DY = {0, 1, 0, -1, 1, 1, -1, -1};

    /** The m-adjacent pixel on one of eight sides, straight ones first; negative if there is none. */
    private int neighbour(int at, int side) {
        int x = at % width;
        int y = at / width;
        if (!isThin(x + DX[side], y + DY[side])) {
            return -1;
        }
        boolean diagonal = DX[side] != 0 && DY[side] != 0;
        if (diagonal && (isThin(x + DX[side], y) || isThin(x, y + DY[side]))) {
            return -1;
        }
        return (y + DY[side]) * width + x + DX[side];
    }

    private boolean isThin(int x, int y) {
        return x >= 0 && y >= 0 && x < width && y < height && thin[y * width + x];
    }
}
