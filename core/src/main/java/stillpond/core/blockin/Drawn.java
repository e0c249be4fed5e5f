package stillpond.core.blockin;

import java.util.ArrayList;
import java.util.List;
import stillpond.core.gap.Point;
import stillpond.core.refusal.Refusal;
import stillpond.core.shadow.Bend;
import stillpond.core.shadow.Knot;
import stillpond.core.shadow.Outline;

/** Outlines of plain figures, drawn from one corner of a box to the other. */
public final class Drawn {

    /** The handle of a quarter of a circle of radius 1, 4/3 tan(pi/8): off by 0.03 % at the most (T. Dokken and others, "Good approximation of circles by curvature-continuous Bézier curves", Computer Aided Geometric Design 7, 1990). */
    private static final double QUARTER = 0.5522847498;

    public static final int MOST_SIDES = 60;
    private static final double LEAST_PX = 1;

    private Drawn() {}

    public static Outline rectangle(Point from, Point to) {
        requireSize(from, to);
        return new Outline(List.of(
                Knot.straight(from.x(), from.y()),
                Knot.straight(to.x(), from.y()),
                Knot.straight(to.x(), to.y()),
                Knot.straight(from.x(), to.y())));
    }

    public static Outline ellipse(Point from, Point to) {
        requireSize(from, to);
        double x = (from.x() + to.x()) / 2;
        double y = (from.y() + to.y()) / 2;
        double rx = Math.abs(to.x() - from.x()) / 2;
        double ry = Math.abs(to.y() - from.y()) / 2;
        double hx = QUARTER * rx;
        double hy = QUARTER * ry;
        return new Outline(List.of(
                new Knot(x, y - ry, new Bend.Drawn(-hx, 0, hx, 0)),
                new Knot(x + rx, y, new Bend.Drawn(0, -hy, 0, hy)),
                new Knot(x, y + ry, new Bend.Drawn(hx, 0, -hx, 0)),
                new Knot(x - rx, y, new Bend.Drawn(0, hy, 0, -hy))));
    }

    /** With equal sides, one corner up, stretched into the box. @param sides 3 to {@link #MOST_SIDES} */
    public static Outline polygon(Point from, Point to, int sides) {
        requireSize(from, to);
        if (sides < 3 || sides > MOST_SIDES) {
            throw new Refusal("A polygon has 3 to 60 sides, not " + sides + ".");
        }
        List<Knot> knots = new ArrayList<>();
        for (int i = 0; i < sides; i++) {
            double angle = 2 * Math.PI * i / sides - Math.PI / 2;
            knots.add(Knot.straight(
                    (from.x() + to.x()) / 2 + Math.abs(to.x() - from.x()) / 2 * Math.cos(angle),
                    (from.y() + to.y()) / 2 + Math.abs(to.y() - from.y()) / 2 * Math.sin(angle)));
        }
        return new Outline(knots);
    }

    private static void requireSize(Point from, Point to) {
        if (Math.abs(to.x() - from.x()) < LEAST_PX || Math.abs(to.y() - from.y()) < LEAST_PX) {
            throw new Refusal("This is too small for a shape. Drag from one corner to the other.");
        }
    }
}
