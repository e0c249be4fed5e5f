package stillpond.core.shadow;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import stillpond.core.gap.Point;
import stillpond.core.refusal.Refusal;

/**
 * Makes a smooth outline of a line drawn by hand (P. J. Schneider, "An Algorithm for Automatically Fitting Digitized Curves", Graphics Gems, 1990): cubic Bézier curves are fitted
 * by least squares, with better and better parameters, and split where they are off most.
 */
public final class Freehand {

    /** A line of more points than this is refused. */
    public static final int MOST_POINTS = 100_000;

    private static final int MOST_FITTED = 4000;
    private static final int ROUNDS = 4;
    /** Where the line turns by more than 70 degrees, of which this is the cosine, there is a corner. */
    private static final double CORNER_COSINE = 0.342;
    /** Fits that are off by so much more than allowed are still worth better parameters. */
    private static final double WORTH = 4;

    private final double[] x;
    private final double[] y;
    private final double error;
    private final List<Cubic> curves = new ArrayList<>();

    private Freehand(double[] x, double[] y, double error) {
        this.x = x;
        this.y = y;
        this.error = error;
    }

    /**
     * @param line as it was drawn; it is closed from its end to its start
     * @param tolerancePx how far the outline may be from it
     * @throws Refusal if it has too few points that lie apart, or too many
     */
    public static Outline outline(List<Point> line, double tolerancePx) {
        if (line.size() > MOST_POINTS) {
            throw new Refusal("The line has " + line.size() + " points; up to 100,000 can be followed.");
        }
        List<Point> apart = apart(line, Math.max(0.5, tolerancePx));
        if (apart.size() < 3) {
            throw new Refusal("This is too short for a shape. Draw around what is to be in shadow.");
        }
        int step = (apart.size() + MOST_FITTED - 1) / MOST_FITTED;
        int count = (apart.size() + step - 1) / step;
        double[] x = new double[count + 1];
        double[] y = new double[count + 1];
        for (int i = 0; i < count; i++) {
            x[i] = apart.get(i * step).x();
            y[i] = apart.get(i * step).y();
        }
        x[count] = x[0];
        y[count] = y[0];
        Freehand fit = new Freehand(x, y, tolerancePx);
        fit.run();
        return fit.outline();
    }

    private static List<Point> apart(List<Point> line, double leastPx) {
        List<Point> apart = new ArrayList<>();
        for (Point point : line) {
            Point last = apart.isEmpty() ? null : apart.get(apart.size() - 1);
            if (last == null || Length.of(point.x() - last.x(), point.y() - last.y()) >= leastPx) {
                apart.add(point);
            }
        }
        while (apart.size() > 1
                && Length.of(
                                apart.get(0).x() - apart.get(apart.size() - 1).x(),
                                apart.get(0).y() - apart.get(apart.size() - 1).y())
                        < leastPx) {
            apart.remove(apart.size() - 1);
        }
        return apart;
    }

    /** Fits from stop to stop: the start, the corners, and thirds of the way, so that there are three curves at the least. */
    private void run() {
        int last = x.length - 1;
        Set<Integer> corners = new TreeSet<>(corners());
        TreeSet<Integer> stops = new TreeSet<>(corners);
        stops.addAll(List.of(0, last / 3, 2 * last / 3, last));
        int from = 0;
        for (int to : stops.tailSet(1)) {
            double[] start = corners.contains(from) ? towards(from, to) : tangent(from);
            double[] end = corners.contains(to % last) ? towards(to, from) : negative(tangent(to));
            fit(from, to, start, end);
            from = to;
        }
    }

    /** Points where the line turns sharply, those that turn most among their neighbours. */
    private List<Integer> corners() {
        int count = x.length - 1;
        int reach = reach();
        double[] cosines = new double[count];
        Arrays.fill(cosines, 1);
        for (int i = 0; i < count && count > 4 * reach; i++) {
            double[] in = unit(x[i] - x[at(i - reach)], y[i] - y[at(i - reach)]);
            double[] out = unit(x[at(i + reach)] - x[i], y[at(i + reach)] - y[i]);
            cosines[i] = in[0] * out[0] + in[1] * out[1];
        }
        List<Integer> corners = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            boolean isMost = cosines[i] < CORNER_COSINE;
            for (int k = 1; k <= reach && isMost; k++) {
                isMost = cosines[i] < cosines[at(i - k)] && cosines[i] <= cosines[at(i + k)];
            }
            if (isMost) {
                corners.add(i);
            }
        }
        return corners;
    }

    /** So many points on either side tell a direction. */
    private int reach() {
        return Math.max(1, Math.min(6, (x.length - 1) / 12));
    }

    private int at(int i) {
        return Math.floorMod(i, x.length - 1);
    }

    /** The direction of the line at a point, from both sides. */
    private double[] tangent(int i) {
        int reach = reach();
        return unit(x[at(i + reach)] - x[at(i - reach)], y[at(i + reach)] - y[at(i - reach)]);
    }

    private double[] towards(int from, int to) {
        int reach = Math.min(reach(), Math.abs(to - from));
        int near = to > from ? from + reach : from - reach;
        return unit(x[near] - x[from], y[near] - y[from]);
    }

    private void fit(int first, int last, double[] start, double[] end) {
        if (last - first == 1) {
            double third = Length.of(x[last] - x[first], y[last] - y[first]) / 3;
            curves.add(curve(first, last, start, end, third, third));
            return;
        }
        double[] at = chordLengths(first, last);
        Cubic curve = leastSquares(first, last, at, start, end);
        int split = worst(first, last, curve, at);
        double off = off(split, curve, at[split - first]);
        for (int round = 0; round < ROUNDS && off > error && off < WORTH * error; round++) {
            improve(first, last, curve, at);
            curve = leastSquares(first, last, at, start, end);
            split = worst(first, last, curve, at);
            off = off(split, curve, at[split - first]);
        }
        if (off <= error) {
            curves.add(curve);
            return;
        }
        int reach = Math.min(reach(), Math.min(split - first, last - split));
        double[] middle = unit(x[split - reach] - x[split + reach], y[split - reach] - y[split + reach]);
        fit(first, split, start, middle);
        fit(split, last, negative(middle), end);
    }

    private double[] chordLengths(int first, int last) {
        double[] at = new double[last - first + 1];
        for (int i = 1; i < at.length; i++) {
            at[i] = at[i - 1] + Length.of(x[first + i] - x[first + i - 1], y[first + i] - y[first + i - 1]);
        }
        for (int i = 1; i < at.length; i++) {
            at[i] /= at[at.length - 1];
        }
        return at;
    }

    private Cubic leastSquares(int first, int last, double[] at, double[] start, double[] end) {
        double c00 = 0;
        double c01 = 0;
        double c11 = 0;
        double x0 = 0;
        double x1 = 0;
        for (int i = 0; i < at.length; i++) {
            double u = at[i];
            double v = 1 - u;
            double b1 = 3 * u * v * v;
            double b2 = 3 * u * u * v;
            double a0x = start[0] * b1;
            double a0y = start[1] * b1;
            double a1x = end[0] * b2;
            double a1y = end[1] * b2;
            c00 += a0x * a0x + a0y * a0y;
            c01 += a0x * a1x + a0y * a1y;
            c11 += a1x * a1x + a1y * a1y;
            double near = v * v * v + b1;
            double far = u * u * u + b2;
            double restX = x[first + i] - x[first] * near - x[last] * far;
            double restY = y[first + i] - y[first] * near - y[last] * far;
            x0 += a0x * restX + a0y * restY;
            x1 += a1x * restX + a1y * restY;
        }
        double all = c00 * c11 - c01 * c01;
        double length = Length.of(x[last] - x[first], y[last] - y[first]);
        double left = all == 0 ? 0 : (x0 * c11 - x1 * c01) / all;
        double right = all == 0 ? 0 : (c00 * x1 - c01 * x0) / all;
        double least = 1e-6 * length;
        // Where least squares fail, thirds of the way, as the paper has it.
        return left < least || right < least
                ? curve(first, last, start, end, length / 3, length / 3)
                : curve(first, last, start, end, left, right);
    }

    private Cubic curve(int first, int last, double[] start, double[] end, double left, double right) {
        return new Cubic(
                x[first],
                y[first],
                x[first] + start[0] * left,
                y[first] + start[1] * left,
                x[last] + end[0] * right,
                y[last] + end[1] * right,
                x[last],
                y[last]);
    }

    private int worst(int first, int last, Cubic curve, double[] at) {
        int worst = (first + last) / 2;
        double most = -1;
        for (int i = first + 1; i < last; i++) {
            double off = off(i, curve, at[i - first]);
            // Of two that are off by the same the first, whatever rounding makes of them.
            if (off > most + 1e-9) {
                most = off;
                worst = i;
            }
        }
        return worst;
    }

    private double off(int i, Cubic curve, double share) {
        return Length.of(curve.x(share) - x[i], curve.y(share) - y[i]);
    }

    /** Newton and Raphson's step for each parameter. */
    private void improve(int first, int last, Cubic c, double[] at) {
        for (int i = 1; i < at.length - 1; i++) {
            double t = at[i];
            double s = 1 - t;
            double dx = 3 * (s * s * (c.x1() - c.x0()) + 2 * s * t * (c.x2() - c.x1()) + t * t * (c.x3() - c.x2()));
            double dy = 3 * (s * s * (c.y1() - c.y0()) + 2 * s * t * (c.y2() - c.y1()) + t * t * (c.y3() - c.y2()));
            double ddx = 6 * (s * (c.x2() - 2 * c.x1() + c.x0()) + t * (c.x3() - 2 * c.x2() + c.x1()));
            double ddy = 6 * (s * (c.y2() - 2 * c.y1() + c.y0()) + t * (c.y3() - 2 * c.y2() + c.y1()));
            double offX = c.x(t) - x[first + i];
            double offY = c.y(t) - y[first + i];
            double slope = dx * dx + dy * dy + offX * ddx + offY * ddy;
            if (slope != 0) {
                at[i] = Math.max(at[i - 1], Math.min(1, t - (offX * dx + offY * dy) / slope));
            }
        }
    }

    private Outline outline() {
        List<Knot> knots = new ArrayList<>();
        for (int i = 0; i < curves.size(); i++) {
            Cubic in = curves.get((i + curves.size() - 1) % curves.size());
            Cubic out = curves.get(i);
            knots.add(new Knot(
                    out.x0(),
                    out.y0(),
                    new Bend.Drawn(in.x2() - in.x3(), in.y2() - in.y3(), out.x1() - out.x0(), out.y1() - out.y0())));
        }
        if (knots.size() > Outline.MOST_KNOTS) {
            throw new Refusal("This line turns too often for one shape. Draw it in parts, or zoom in less.");
        }
        return new Outline(knots);
    }

    private static double[] unit(double dx, double dy) {
        double length = Length.of(dx, dy);
        return length == 0 ? new double[] {1, 0} : new double[] {dx / length, dy / length};
    }

    private static double[] negative(double[] direction) {
        return new double[] {-direction[0], -direction[1]};
    }
}
