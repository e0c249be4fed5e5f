package stillpond.core.shadow;

import java.util.ArrayList;
import java.util.List;
import stillpond.core.cell.Box;
import stillpond.core.gap.Point;
import stillpond.core.shape.Length;

/** What an outline of some width has at sharp corners beyond a round one: the miter join of SVG 2, 13.5.5. */
final class MitredCorners {

    /** Sharper corners than this stay round: so many times the width from the corner to the tip. */
    static final double LIMIT = 4;

    /** The steps of pixels along an edge are no corners. */
    private static final double TOLERANCE_PX = 1.5;

    private static final int[] STEP_X = {1, 0, -1, 0};
    private static final int[] STEP_Y = {0, 1, 0, -1};

    private MitredCorners() {}

    static void add(Mask base, double widthPx, Mask to) {
        for (List<Point> loop : loops(base)) {
            List<Point> corners = simplified(loop);
            for (int i = 0; i < corners.size() && corners.size() > 2; i++) {
                Point before = corners.get((i + corners.size() - 1) % corners.size());
                addCorner(before, corners.get(i), corners.get((i + 1) % corners.size()), widthPx, to);
            }
        }
    }

    /** Loops run with what is covered on their right. */
    private static void addCorner(Point before, Point corner, Point behind, double widthPx, Mask to) {
        Point in = direction(before, corner);
        Point out = direction(corner, behind);
        boolean isOutside = in.x() * out.y() - in.y() * out.x() > 1e-9;
        double cos = in.x() * out.x() + in.y() * out.y();
        // The tip is 1 / cos(half the turn) widths away.
        if (!isOutside || Math.sqrt(2 / Math.max(1e-9, 1 + cos)) > LIMIT) {
            return;
        }
        Point first = new Point(in.y(), -in.x());
        Point second = new Point(out.y(), -out.x());
        double along = widthPx / (1 + cos);
        List<Point> kite = List.of(
                corner,
                new Point(corner.x() + widthPx * first.x(), corner.y() + widthPx * first.y()),
                new Point(corner.x() + along * (first.x() + second.x()), corner.y() + along * (first.y() + second.y())),
                new Point(corner.x() + widthPx * second.x(), corner.y() + widthPx * second.y()));
        Box box = Boxes.around(kite).common(to.box);
        if (box.hasPixels()) {
            to.add(Mask.inside(kite, box));
        }
    }

    private static Point direction(Point from, Point to) {
        double length = Length.of(to.x() - from.x(), to.y() - from.y());
        return new Point((to.x() - from.x()) / length, (to.y() - from.y()) / length);
    }

    /** The borders of what is covered, along the edges of pixels. */
    private static List<List<Point>> loops(Mask mask) {
        int width = mask.box.widthPx();
        int height = mask.box.heightPx();
        boolean[] seen = new boolean[width * height];
        List<List<Point>> loops = new ArrayList<>();
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < width; x++) {
                if (!seen[y * width + x] && isCovered(mask, x, y) && !isCovered(mask, x, y - 1)) {
                    loops.add(loop(mask, x, y, seen));
                }
            }
        }
        return loops;
    }

    private static List<Point> loop(Mask mask, int startX, int startY, boolean[] seen) {
        List<Point> loop = new ArrayList<>();
        int x = startX;
        int y = startY;
        int way = 0;
        do {
            if (way == 0) {
                seen[y * mask.box.widthPx() + x] = true;
            }
            x += STEP_X[way];
            y += STEP_Y[way];
            int turned = way;
            if (isAhead(mask, x, y, way, true)) {
                turned = (way + 3) % 4;
            } else if (!isAhead(mask, x, y, way, false)) {
                turned = (way + 1) % 4;
            }
            if (turned != way) {
                loop.add(new Point(mask.box.xStart() + x, mask.box.yStart() + y));
            }
            way = turned;
        } while (x != startX || y != startY || way != 0);
        return loop;
    }

    /** Whether the pixel ahead of a corner of the grid is covered, on the left or on the right of the way. */
    private static boolean isAhead(Mask mask, int x, int y, int way, boolean isLeft) {
        return switch (way) {
            case 0 -> isCovered(mask, x, isLeft ? y - 1 : y);
            case 1 -> isCovered(mask, isLeft ? x : x - 1, y);
            case 2 -> isCovered(mask, x - 1, isLeft ? y : y - 1);
            default -> isCovered(mask, isLeft ? x - 1 : x, y - 1);
        };
    }

    private static boolean isCovered(Mask mask, int x, int y) {
        return x >= 0
                && y >= 0
                && x < mask.box.widthPx()
                && y < mask.box.heightPx()
                && mask.covered[y * mask.box.widthPx() + x] != 0;
    }

    /** D. Douglas, T. Peucker, 1973, on a closed line. */
    private static List<Point> simplified(List<Point> loop) {
        int far = 0;
        for (int i = 1; i < loop.size(); i++) {
            if (apart(loop.get(0), loop.get(i)) > apart(loop.get(0), loop.get(far))) {
                far = i;
            }
        }
        boolean[] kept = new boolean[loop.size() + 1];
        kept[0] = true;
        kept[far] = true;
        keep(loop, 0, far, kept);
        keep(loop, far, loop.size(), kept);
        List<Point> corners = new ArrayList<>();
        for (int i = 0; i < loop.size(); i++) {
            if (kept[i]) {
                corners.add(loop.get(i));
            }
        }
        return corners;
    }

    private static void keep(List<Point> loop, int first, int last, boolean[] kept) {
        Point from = loop.get(first);
        Point to = loop.get(last % loop.size());
        double length = Math.max(1e-9, apart(from, to));
        int most = -1;
        double furthest = TOLERANCE_PX;
        for (int i = first + 1; i < last; i++) {
            Point each = loop.get(i);
            double off =
                    Math.abs((to.x() - from.x()) * (each.y() - from.y()) - (to.y() - from.y()) * (each.x() - from.x()))
                            / length;
            if (off > furthest) {
                furthest = off;
                most = i;
            }
        }
        if (most >= 0) {
            kept[most] = true;
            keep(loop, first, most, kept);
            keep(loop, most, last, kept);
        }
    }

    private static double apart(Point a, Point b) {
        return Length.of(a.x() - b.x(), a.y() - b.y());
    }
}
