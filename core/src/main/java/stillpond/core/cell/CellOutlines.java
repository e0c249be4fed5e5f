package stillpond.core.cell;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Deque;
import java.util.List;
import java.util.function.IntPredicate;

/**
 * The edges of some cells as closed lines along the sides of their pixels, with straight runs in place of steps: simplified by D. Douglas and T. Peucker, "Algorithms for the reduction
 * of the number of points required to represent a digitized line", Cartographica 10, 1973. Filled by the even-odd rule they are the cells again, to about a pixel.
 */
public final class CellOutlines {

    private static final int[] STEP_X = {1, 0, -1, 0};
    private static final int[] STEP_Y = {0, 1, 0, -1};
    private static final double TOLERANCE_PX = 0.8;

    private final CellPlane plane;
    private final IntPredicate isMeant;
    private final boolean[] walked;

    private CellOutlines(CellPlane plane, IntPredicate isMeant) {
        this.plane = plane;
        this.isMeant = isMeant;
        this.walked = new boolean[plane.widthPx() * plane.heightPx()];
    }

    /** Each line as x, y, x, y and so on, in pixels of the plane. @param isMeant asked with cells */
    public static List<int[]> of(CellPlane plane, IntPredicate isMeant) {
        return new CellOutlines(plane, isMeant).all();
    }

    /** Every line has sides above pixels that are meant, along which it runs to the right; there it is begun. */
    private List<int[]> all() {
        List<int[]> lines = new ArrayList<>();
        for (int y = 0; y < plane.heightPx(); y++) {
            for (int x = 0; x < plane.widthPx(); x++) {
                if (isIn(x, y) && !isIn(x, y - 1) && !walked[y * plane.widthPx() + x]) {
                    lines.add(simplified(walk(x, y)));
                }
            }
        }
        return lines;
    }

    private boolean isIn(int x, int y) {
        return x >= 0 && y >= 0 && x < plane.widthPx() && y < plane.heightPx() && isMeant.test(plane.numberAt(x, y));
    }

    /** Goes around with what is meant on the right hand, from a corner on to the right. */
    private List<int[]> walk(int startX, int startY) {
        List<int[]> points = new ArrayList<>();
        int x = startX;
        int y = startY;
        int heading = 0;
        do {
            points.add(new int[] {x, y});
            if (heading == 0) {
                walked[y * plane.widthPx() + x] = true;
            }
            x += STEP_X[heading];
            y += STEP_Y[heading];
            heading = next(x, y, heading);
        } while (x != startX || y != startY || heading != 0);
        return points;
    }

    /** At a corner: to the right if that side is free of what is meant ahead, straight on, or to the left. */
    private int next(int x, int y, int heading) {
        boolean right = isAhead(x, y, heading, true);
        boolean left = isAhead(x, y, heading, false);
        if (!right) {
            return (heading + 1) % 4;
        }
        return left ? (heading + 3) % 4 : heading;
    }

    /** Whether the pixel ahead of a corner, on the right or left hand, is meant. */
    private boolean isAhead(int x, int y, int heading, boolean onTheRight) {
        int ahead = switch (heading) {
            case 0 -> onTheRight ? 0 : 1;
            case 1 -> onTheRight ? 3 : 0;
            case 2 -> onTheRight ? 2 : 3;
            default -> onTheRight ? 1 : 2;
        };
        // The pixels around a corner: 0 right below, 1 right above, 2 left above, 3 left below.
        return isIn(ahead == 0 || ahead == 1 ? x : x - 1, ahead == 0 || ahead == 3 ? y : y - 1);
    }

    private static int[] simplified(List<int[]> points) {
        int count = points.size();
        boolean[] kept = new boolean[count];
        int far = farthestFrom(points, 0);
        kept[0] = true;
        kept[far] = true;
        Deque<int[]> open = new ArrayDeque<>(List.of(new int[] {0, far}, new int[] {far, count}));
        while (!open.isEmpty()) {
            int[] part = open.pop();
            int most = mostAside(points, part[0], part[1]);
            if (most >= 0) {
                kept[most] = true;
                open.push(new int[] {part[0], most});
                open.push(new int[] {most, part[1]});
            }
        }
        int[] line = new int[2 * count];
        int size = 0;
        for (int i = 0; i < count; i++) {
            if (kept[i]) {
                line[size++] = points.get(i)[0];
                line[size++] = points.get(i)[1];
            }
        }
        return Arrays.copyOf(line, size);
    }

    private static int farthestFrom(List<int[]> points, int from) {
        int far = 0;
        long most = -1;
        for (int i = 0; i < points.size(); i++) {
            long dx = points.get(i)[0] - points.get(from)[0];
            long dy = points.get(i)[1] - points.get(from)[1];
            if (dx * dx + dy * dy > most) {
                most = dx * dx + dy * dy;
                far = i;
            }
        }
        return far;
    }

    /** The point between two that lies farthest from the straight line between them; below 0 if all are near it. */
    private static int mostAside(List<int[]> points, int from, int to) {
        int[] a = points.get(from);
        int[] b = points.get(to % points.size());
        double length = Math.max(1e-9, Math.sqrt(square(b[0] - a[0]) + square(b[1] - a[1])));
        double most = TOLERANCE_PX;
        int at = -1;
        for (int i = from + 1; i < to; i++) {
            int[] p = points.get(i);
            double aside =
                    Math.abs((double) (b[0] - a[0]) * (a[1] - p[1]) - (double) (a[0] - p[0]) * (b[1] - a[1])) / length;
            if (aside > most) {
                most = aside;
                at = i;
            }
        }
        return at;
    }

    private static double square(double value) {
        return value * value;
    }
}
