package stillpond.core.shadow;

import java.util.function.UnaryOperator;
import stillpond.core.gap.Point;
import stillpond.core.refusal.Refusal;
import stillpond.core.shape.Cubic;

/** A point that an outline runs through, in pixels of the page, to a tenth; it may lie beside the page. */
public record Knot(double x, double y, Bend bend) {

    private static final double FURTHEST_PX = 200_000;
    /** A curve whose handles are off by less than is kept of them is straight. */
    private static final double STRAIGHT_PX = 0.08;

    public Knot {
        x = Tenths.of(x);
        y = Tenths.of(y);
        if (!(Math.abs(x) <= FURTHEST_PX && Math.abs(y) <= FURTHEST_PX)) {
            throw new Refusal("A point of a shape lies too far from the page.");
        }
        if (bend instanceof Bend.Drawn drawn) {
            bend = new Bend.Drawn(
                    Tenths.of(drawn.inX()), Tenths.of(drawn.inY()), Tenths.of(drawn.outX()), Tenths.of(drawn.outY()));
        }
    }

    public static Knot smooth(double x, double y) {
        return new Knot(x, y, Bend.SMOOTH);
    }

    public static Knot straight(double x, double y) {
        return new Knot(x, y, Bend.STRAIGHT);
    }

    /** Where one curve ends and the next begins. */
    public static Knot between(Cubic in, Cubic out) {
        boolean isCorner = in.isStraight(STRAIGHT_PX) && out.isStraight(STRAIGHT_PX);
        return isCorner
                ? straight(out.x0(), out.y0())
                : new Knot(
                        out.x0(),
                        out.y0(),
                        new Bend.Drawn(in.x2() - in.x3(), in.y2() - in.y3(), out.x1() - out.x0(), out.y1() - out.y0()));
    }

    Point at() {
        return new Point(x, y);
    }

    /** @param placing where each point of the page comes to lie; it turns, mirrors, stretches and moves alone */
    Knot placed(UnaryOperator<Point> placing) {
        Point to = placing.apply(at());
        if (!(bend instanceof Bend.Drawn drawn)) {
            return new Knot(to.x(), to.y(), bend);
        }
        Point in = placing.apply(new Point(x + drawn.inX(), y + drawn.inY()));
        Point out = placing.apply(new Point(x + drawn.outX(), y + drawn.outY()));
        return new Knot(
                to.x(), to.y(), new Bend.Drawn(in.x() - to.x(), in.y() - to.y(), out.x() - to.x(), out.y() - to.y()));
    }

    /** {@code x,y} with {@code !} behind a corner, or the control points from here: {@code x,y~inX,inY~outX,outY}. */
    public String text() {
        String place = Tenths.text(x) + "," + Tenths.text(y);
        if (bend instanceof Bend.Drawn drawn) {
            return place + "~" + Tenths.text(drawn.inX()) + "," + Tenths.text(drawn.inY()) + "~"
                    + Tenths.text(drawn.outX()) + "," + Tenths.text(drawn.outY());
        }
        return bend.equals(Bend.STRAIGHT) ? place + "!" : place;
    }

    /** @throws Refusal if it is none */
    public static Knot ofText(String text) {
        boolean isCorner = text.endsWith("!");
        String[] pairs = FormText.split(isCorner ? text.substring(0, text.length() - 1) : text, '~');
        double[] place = pair(pairs[0], text);
        if (pairs.length == 3 && !isCorner) {
            double[] in = pair(pairs[1], text);
            double[] out = pair(pairs[2], text);
            return new Knot(place[0], place[1], new Bend.Drawn(in[0], in[1], out[0], out[1]));
        }
        if (pairs.length != 1) {
            throw new Refusal("'" + text + "' is no point of a shape.");
        }
        return new Knot(place[0], place[1], isCorner ? Bend.STRAIGHT : Bend.SMOOTH);
    }

    private static double[] pair(String text, String whole) {
        String[] numbers = FormText.split(text, ',');
        if (numbers.length != 2) {
            throw new Refusal("'" + whole + "' is no point of a shape.");
        }
        return new double[] {Tenths.ofText(numbers[0]), Tenths.ofText(numbers[1])};
    }
}
