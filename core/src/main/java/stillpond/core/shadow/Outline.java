package stillpond.core.shadow;

import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import stillpond.core.cell.Box;
import stillpond.core.gap.Point;
import stillpond.core.refusal.Refusal;
import stillpond.core.shape.Cubic;
import stillpond.core.shape.Length;

/**
 * A closed curve through knots. Between smooth ones it is a Catmull-Rom curve with centripetal parameters, which has neither loops nor cusps (C. Yuksel, S. Schaefer, J. Keyser,
 * "Parameterization and applications of Catmull-Rom curves", Computer-Aided Design 43, 2011), written as cubic Bézier curves.
 *
 * @param knots 3 to 1000; two if one of them has a curve of its own
 */
public record Outline(List<Knot> knots) {

    public static final int MOST_KNOTS = 1000;

    /** A curve drawn as straight pieces is off by so much at the most, in pixels. */
    private static final double FLATNESS_PX = 0.1;

    private static final int MOST_STEPS = 200;
    private static final int SAMPLES_A_SIDE = 40;

    public Outline {
        knots = List.copyOf(knots);
        boolean isLens = knots.size() == 2 && knots.stream().anyMatch(knot -> knot.bend() instanceof Bend.Drawn);
        if (knots.size() < 3 && !isLens) {
            throw new Refusal("A shape needs three points at the least.");
        }
        if (knots.size() > MOST_KNOTS) {
            throw new Refusal("A shape has up to 1,000 points; this one has " + knots.size() + ".");
        }
    }

    /**
     * Of curves of which each begins where the one before ends, and the first where the last ends. Where two straight ones meet is a corner.
     *
     * @throws Refusal if they are too many, or too few
     */
    public static Outline of(List<Cubic> curves) {
        if (curves.size() > MOST_KNOTS) {
            throw new Refusal("This line turns too often for one shape. Draw it in parts, or zoom in less.");
        }
        List<Knot> knots = new ArrayList<>();
        for (int i = 0; i < curves.size(); i++) {
            knots.add(Knot.between(curves.get((i + curves.size() - 1) % curves.size()), curves.get(i)));
        }
        return new Outline(knots);
    }

    /** The curves from knot to knot, from the first one on. */
    public List<Cubic> curves() {
        List<Cubic> curves = new ArrayList<>();
        for (int i = 0; i < knots.size(); i++) {
            curves.add(curve(i));
        }
        return curves;
    }

    public Outline placed(UnaryOperator<Point> placing) {
        return new Outline(knots.stream().map(knot -> knot.placed(placing)).toList());
    }

    /** The same with a knot elsewhere. */
    public Outline moving(int knot, double x, double y) {
        return with(knot, new Knot(x, y, knots.get(knot).bend()));
    }

    /** The same with a corner at a knot instead of none, or the other way round. */
    public Outline bending(int knot) {
        Knot now = knots.get(knot);
        return with(knot, new Knot(now.x(), now.y(), now.bend().equals(Bend.STRAIGHT) ? Bend.SMOOTH : Bend.STRAIGHT));
    }

    private Outline with(int knot, Knot other) {
        List<Knot> all = new ArrayList<>(knots);
        all.set(knot, other);
        return new Outline(all);
    }

    /** @throws Refusal if there are three only */
    public Outline without(int knot) {
        List<Knot> fewer = new ArrayList<>(knots);
        fewer.remove(knot);
        return new Outline(fewer);
    }

    /** The same curve with one more knot, where it comes nearest to a place. */
    public Outline splitNear(double x, double y) {
        Point place = new Point(x, y);
        int best = 0;
        double bestShare = 0.5;
        double nearest = Double.POSITIVE_INFINITY;
        for (int i = 0; i < knots.size(); i++) {
            Cubic curve = curve(i);
            int steps = Math.max(8, curve.steps(FLATNESS_PX, MOST_STEPS));
            for (int step = 1; step < steps; step++) {
                double share = step / (double) steps;
                double away = Length.of(curve.x(share) - place.x(), curve.y(share) - place.y());
                if (away < nearest) {
                    nearest = away;
                    best = i;
                    bestShare = share;
                }
            }
        }
        return splitAt(best, bestShare);
    }

    private Outline splitAt(int i, double share) {
        int next = (i + 1) % knots.size();
        Cubic.Halves halves = curve(i).at(share);
        List<Knot> all = new ArrayList<>(knots);
        if (knots.get(i).bend() instanceof Bend.Drawn before) {
            all.set(i, withOut(knots.get(i), before, halves.first()));
        }
        if (knots.get(next).bend() instanceof Bend.Drawn behind) {
            all.set(next, withIn(knots.get(next), behind, halves.second()));
        }
        Cubic first = halves.first();
        Cubic second = halves.second();
        boolean isDrawn =
                knots.get(i).bend() instanceof Bend.Drawn || knots.get(next).bend() instanceof Bend.Drawn;
        boolean isStraight = knots.get(i).bend().equals(Bend.STRAIGHT)
                && knots.get(next).bend().equals(Bend.STRAIGHT);
        Bend bend = isDrawn
                ? new Bend.Drawn(
                        first.x2() - first.x3(),
                        first.y2() - first.y3(),
                        second.x1() - second.x0(),
                        second.y1() - second.y0())
                : isStraight ? Bend.STRAIGHT : Bend.SMOOTH;
        all.add(i + 1, new Knot(first.x3(), first.y3(), bend));
        return new Outline(all);
    }

    private static Knot withOut(Knot knot, Bend.Drawn bend, Cubic curve) {
        return new Knot(
                knot.x(),
                knot.y(),
                new Bend.Drawn(bend.inX(), bend.inY(), curve.x1() - curve.x0(), curve.y1() - curve.y0()));
    }

    private static Knot withIn(Knot knot, Bend.Drawn bend, Cubic curve) {
        return new Knot(
                knot.x(),
                knot.y(),
                new Bend.Drawn(curve.x2() - curve.x3(), curve.y2() - curve.y3(), bend.outX(), bend.outY()));
    }

    /** The curve as a closed polygon. */
    public List<Point> polygon() {
        List<Point> points = new ArrayList<>();
        for (int i = 0; i < knots.size(); i++) {
            Cubic curve = curve(i);
            int steps = curve.steps(FLATNESS_PX, MOST_STEPS);
            for (int step = 0; step < steps; step++) {
                double share = step / (double) steps;
                points.add(new Point(curve.x(share), curve.y(share)));
            }
        }
        return points;
    }

    /** The curve from one knot to the next. */
    private Cubic curve(int i) {
        int count = knots.size();
        Knot before = knots.get((i + count - 1) % count);
        Knot from = knots.get(i);
        Knot to = knots.get((i + 1) % count);
        Knot behind = knots.get((i + 2) % count);
        Point out = control(from, before, to, false);
        Point in = control(to, behind, from, true);
        return new Cubic(from.x(), from.y(), out.x(), out.y(), in.x(), in.y(), to.x(), to.y());
    }

    /**
     * The control point beside a knot, towards {@code to}.
     *
     * @param beyond the knot on the other side
     * @param isIn whether the curve comes in here
     */
    private static Point control(Knot here, Knot beyond, Knot to, boolean isIn) {
        if (here.bend() instanceof Bend.Drawn drawn) {
            return isIn
                    ? new Point(here.x() + drawn.inX(), here.y() + drawn.inY())
                    : new Point(here.x() + drawn.outX(), here.y() + drawn.outY());
        }
        double farSquare = Length.of(here.x() - beyond.x(), here.y() - beyond.y());
        double nearSquare = Length.of(here.x() - to.x(), here.y() - to.y());
        if (here.bend().equals(Bend.STRAIGHT) || farSquare < 1e-6 || nearSquare < 1e-6) {
            return new Point((2 * here.x() + to.x()) / 3, (2 * here.y() + to.y()) / 3);
        }
        double far = Math.sqrt(farSquare);
        double near = Math.sqrt(nearSquare);
        double ofHere = 2 * farSquare + 3 * far * near + nearSquare;
        double all = 3 * far * (far + near);
        return new Point(
                (farSquare * to.x() - nearSquare * beyond.x() + ofHere * here.x()) / all,
                (farSquare * to.y() - nearSquare * beyond.y() + ofHere * here.y()) / all);
    }

    /** Places inside it, about evenly over its area, in the middles of pixels; few where it is thin. */
    public List<Point> samples() {
        List<Point> polygon = polygon();
        Box box = Boxes.around(polygon);
        int step = Math.max(1, Math.max(box.widthPx(), box.heightPx()) / SAMPLES_A_SIDE);
        Outline coarse =
                placed(point -> new Point((point.x() - box.xStart()) / step, (point.y() - box.yStart()) / step));
        Box small = new Box(0, 0, box.widthPx() / step + 1, box.heightPx() / step + 1);
        Mask inside = Mask.inside(coarse.polygon(), small);
        List<Point> samples = new ArrayList<>();
        for (int y = 0; y < small.heightPx(); y++) {
            for (int x = 0; x < small.widthPx(); x++) {
                if (2 * inside.at(x, y) > Mask.WHOLE) {
                    samples.add(new Point(box.xStart() + (x + 0.5) * step, box.yStart() + (y + 0.5) * step));
                }
            }
        }
        return samples;
    }

    /** Whether it runs around a place, however often. */
    public boolean has(double x, double y) {
        List<Point> polygon = polygon();
        int winding = 0;
        for (int i = 0; i < polygon.size(); i++) {
            Point a = polygon.get(i);
            Point b = polygon.get((i + 1) % polygon.size());
            boolean isCrossed = (a.y() > y) != (b.y() > y);
            if (isCrossed && x < a.x() + (b.x() - a.x()) * (y - a.y()) / (b.y() - a.y())) {
                winding += b.y() > a.y() ? 1 : -1;
            }
        }
        return winding != 0;
    }

    /** Whether it crosses itself somewhere, as far as its straight pieces tell. */
    public boolean crossesItself() {
        return Crossings.of(polygon());
    }
}
