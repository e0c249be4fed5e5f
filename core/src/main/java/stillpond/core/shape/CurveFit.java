package stillpond.core.shape;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.TreeSet;

/**
 * Smooth curves along a line of points (P. J. Schneider, "An Algorithm for Automatically Fitting Digitized Curves", Graphics Gems, 1990): cubic Bézier curves are fitted by least
 * squares, with better and better parameters, and split where they are off most.
 */
public final class CurveFit {

    private static final int ROUNDS = 4;
    /** Where the line turns by more than 70 degrees, of which this is the cosine, there is a corner. */
    private static final double CORNER_COSINE = 0.342;
    /** Fits that are off by so much more than allowed are still worth better parameters. */
    private static final double WORTH = 4;
    /** What is nearly as crooked as may be is a bend: drawn straight it would have facets. */
    private static final double STRAIGHTNESS = 0.5;

    /** A border is cut after so many points at the latest, so that the time it takes grows as its length does. */
    private static final int LONGEST = 400;

    private final double[] x;
    private final double[] y;
    private final boolean isClosed;
    private final boolean keepsStraight;
    private final double error;
    private final List<Cubic> curves = new ArrayList<>();

    private CurveFit(double[] x, double[] y, boolean isClosed, boolean keepsStraight, double error) {
        this.x = x;
        this.y = y;
        this.isClosed = isClosed;
        this.keepsStraight = keepsStraight;
        this.error = error;
    }

    /**
     * Three smooth curves at the least, all around.
     *
     * @param x of its points, the first one again at the end, as {@code y}; three apart at the least
     * @param error how far a curve may be from a point
     */
    public static List<Cubic> closed(double[] x, double[] y, double error) {
        return new CurveFit(x, y, true, false, error).run();
    }

    /**
     * As straight as may be: what is within the error of a straight line is drawn as one.
     *
     * @param x of two points at the least, as {@code y}; if the last is the first again, the line is closed, or else it stays where it begins and ends
     */
    public static List<Cubic> straightest(double[] x, double[] y, double error) {
        int last = x.length - 1;
        return new CurveFit(x, y, x[0] == x[last] && y[0] == y[last], true, error).run();
    }

    /** Fits from stop to stop and corner to corner. */
    private List<Cubic> run() {
        int last = x.length - 1;
        TreeSet<Integer> corners = new TreeSet<>(corners());
        if (!isClosed) {
            corners.addAll(List.of(0, last));
        }
        TreeSet<Integer> stops = stops();
        stops.addAll(corners);
        int from = 0;
        for (int to : stops.tailSet(1)) {
            double[] start = corners.contains(from) ? towards(from, to) : tangent(from);
            boolean endsInCorner = corners.contains(isClosed ? to % last : to);
            double[] end = endsInCorner ? towards(to, from) : negative(tangent(to));
            fit(from, to, start, end);
            from = to;
        }
        return curves;
    }

    private TreeSet<Integer> stops() {
        int last = x.length - 1;
        TreeSet<Integer> stops = new TreeSet<>(List.of(0, last));
        if (isClosed) {
            stops.addAll(List.of(last / 3, 2 * last / 3));
        }
        for (int stop = LONGEST; keepsStraight && stop < last - LONGEST / 2; stop += LONGEST) {
            stops.add(stop);
        }
        return stops;
    }

    /** Points where the line turns sharply, those that turn most among their neighbours. */
    private List<Integer> corners() {
        int count = x.length - 1;
        int reach = reach();
        double[] cosines = new double[x.length];
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
        int last = x.length - 1;
        return isClosed ? Math.floorMod(i, last) : Math.max(0, Math.min(last, i));
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
        if (keepsStraight && isStraight(first, last)) {
            curves.add(Cubic.straight(x[first], y[first], x[last], y[last]));
            return;
        }
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

    /** Lines with tangents from points nearby, which are too rough, would be split again and again where they are straight. */
    private boolean isStraight(int first, int last) {
        double dx = x[last] - x[first];
        double dy = y[last] - y[first];
        double length = Length.of(dx, dy);
        for (int i = first + 1; i < last; i++) {
            if (Math.abs(dx * (y[i] - y[first]) - dy * (x[i] - x[first])) > STRAIGHTNESS * error * length) {
                return false;
            }
        }
        return length > 0;
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

    private static double[] unit(double dx, double dy) {
        double length = Length.of(dx, dy);
        return length == 0 ? new double[] {1, 0} : new double[] {dx / length, dy / length};
    }

    private static double[] negative(double[] direction) {
        return new double[] {-direction[0], -direction[1]};
    }
}
