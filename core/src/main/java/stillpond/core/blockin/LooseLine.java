package stillpond.core.blockin;

import java.util.ArrayList;
import java.util.List;
import stillpond.core.refusal.Refusal;
import stillpond.core.shadow.Bend;
import stillpond.core.shadow.Knot;
import stillpond.core.shape.Cubic;

/**
 * A line that was drawn to divide a shape.
 *
 * @param shape that it lies in
 * @param knots 2 to 1000; curved where they have curves of their own, else straight
 */
public record LooseLine(int shape, List<Knot> knots) {

    private static final int MOST_KNOTS = 1000;

    public LooseLine {
        knots = List.copyOf(knots);
        if (knots.size() < 2 || knots.size() > MOST_KNOTS) {
            throw new Refusal("A line has 2 to 1,000 points.");
        }
    }

    /** @param curves of which each begins where the one before ends */
    static LooseLine of(int shape, List<Cubic> curves) {
        List<Knot> knots = new ArrayList<>();
        Cubic first = curves.get(0);
        Cubic last = curves.get(curves.size() - 1);
        Cubic before = Cubic.straight(first.x0(), first.y0(), first.x0(), first.y0());
        for (Cubic curve : curves) {
            knots.add(
                    curve == first
                            ? end(first.x0(), first.y0(), first, first.x1(), first.y1(), true)
                            : Knot.between(before, curve));
            before = curve;
        }
        knots.add(end(last.x3(), last.y3(), last, last.x2(), last.y2(), false));
        return new LooseLine(shape, knots);
    }

    private static Knot end(double x, double y, Cubic curve, double handleX, double handleY, boolean isStart) {
        if (curve.isStraight(0.15)) {
            return Knot.straight(x, y);
        }
        double dx = handleX - x;
        double dy = handleY - y;
        return new Knot(x, y, isStart ? new Bend.Drawn(0, 0, dx, dy) : new Bend.Drawn(dx, dy, 0, 0));
    }

    public List<Cubic> curves() {
        List<Cubic> curves = new ArrayList<>();
        for (int i = 0; i + 1 < knots.size(); i++) {
            Knot from = knots.get(i);
            Knot to = knots.get(i + 1);
            Cubic straight = Cubic.straight(from.x(), from.y(), to.x(), to.y());
            double x1 = straight.x1();
            double y1 = straight.y1();
            double x2 = straight.x2();
            double y2 = straight.y2();
            if (from.bend() instanceof Bend.Drawn drawn) {
                x1 = from.x() + drawn.outX();
                y1 = from.y() + drawn.outY();
            }
            if (to.bend() instanceof Bend.Drawn drawn) {
                x2 = to.x() + drawn.inX();
                y2 = to.y() + drawn.inY();
            }
            curves.add(new Cubic(from.x(), from.y(), x1, y1, x2, y2, to.x(), to.y()));
        }
        return curves;
    }
}
