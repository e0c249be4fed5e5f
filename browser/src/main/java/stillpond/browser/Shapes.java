package stillpond.browser;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.teavm.jso.JSExport;
import stillpond.core.blockin.Drawn;
import stillpond.core.gap.Point;
import stillpond.core.shadow.Bend;
import stillpond.core.shadow.Form;
import stillpond.core.shadow.Freehand;
import stillpond.core.shadow.Knot;
import stillpond.core.shadow.Outline;

/** Shapes of shadows as text, and what is done to them. Ways and places are in pixels of the page: x, then y. */
public final class Shapes {

    private Shapes() {}

    /** A smooth shape near a line drawn by hand. @param tolerance how far it may be from it, in pixels */
    @JSExport
    public static String freehand(double[] way, double tolerance) {
        return text(Freehand.outline(Layer.points(way), tolerance));
    }

    @JSExport
    public static String rectangle(double fromX, double fromY, double toX, double toY) {
        return text(Drawn.rectangle(new Point(fromX, fromY), new Point(toX, toY)));
    }

    @JSExport
    public static String ellipse(double fromX, double fromY, double toX, double toY) {
        return text(Drawn.ellipse(new Point(fromX, fromY), new Point(toX, toY)));
    }

    @JSExport
    public static String evenSided(double fromX, double fromY, double toX, double toY, int sides) {
        return text(Drawn.polygon(new Point(fromX, fromY), new Point(toX, toY), sides));
    }

    /** Through points, some of them corners. @param corners which of them */
    @JSExport
    public static String throughCorners(double[] way, int[] corners) {
        List<Knot> knots = new ArrayList<>();
        List<Point> points = Layer.points(way);
        Set<Integer> sharp = Numbers.setOf(corners);
        for (int i = 0; i < points.size(); i++) {
            Point at = points.get(i);
            knots.add(sharp.contains(i) ? Knot.straight(at.x(), at.y()) : Knot.smooth(at.x(), at.y()));
        }
        return text(new Outline(knots));
    }

    /** A smooth shape through points. */
    @JSExport
    public static String through(double[] way) {
        List<Knot> knots = new ArrayList<>();
        Layer.points(way).forEach(point -> knots.add(Knot.smooth(point.x(), point.y())));
        return text(new Outline(knots));
    }

    /** Its curve as a closed polygon. */
    @JSExport
    public static double[] polygon(String shape) {
        return way(outline(shape).polygon());
    }

    /** The points that it runs through; there are none where it was not drawn. */
    @JSExport
    public static double[] knots(String shape) {
        return Form.ofText(shape) instanceof Form.Drawn drawn
                ? way(drawn.outline().knots().stream()
                        .map(knot -> new Point(knot.x(), knot.y()))
                        .toList())
                : new double[0];
    }

    /** Places inside it, about evenly over its area. */
    @JSExport
    public static double[] samples(String shape) {
        return way(outline(shape).samples());
    }

    /** Whether it has a corner at a point. */
    @JSExport
    public static boolean isCorner(String shape, int knot) {
        return outline(shape).knots().get(knot).bend().equals(Bend.STRAIGHT);
    }

    @JSExport
    public static String moving(String shape, int knot, double x, double y) {
        return text(outline(shape).moving(knot, x, y));
    }

    /** With a corner at a point instead of none, or the other way round. */
    @JSExport
    public static String bending(String shape, int knot) {
        return text(outline(shape).bending(knot));
    }

    @JSExport
    public static String without(String shape, int knot) {
        return text(outline(shape).without(knot));
    }

    /** With one more point, where it comes nearest to a place. */
    @JSExport
    public static String splitNear(String shape, double x, double y) {
        return text(outline(shape).splitNear(x, y));
    }

    /** All of it moved. */
    @JSExport
    public static String shifted(String shape, double x, double y) {
        return text(outline(shape).placed(point -> new Point(point.x() + x, point.y() + y)));
    }

    /** Whether it runs around a place; false where it was not drawn. */
    @JSExport
    public static boolean has(String shape, double x, double y) {
        return Form.ofText(shape) instanceof Form.Drawn drawn && drawn.outline().has(x, y);
    }

    @JSExport
    public static boolean crossesItself(String shape) {
        return outline(shape).crossesItself();
    }

    private static Outline outline(String shape) {
        return ((Form.Drawn) Form.ofText(shape)).outline();
    }

    private static String text(Outline outline) {
        return new Form.Drawn(outline).text();
    }

    private static double[] way(List<Point> points) {
        double[] way = new double[2 * points.size()];
        for (int i = 0; i < points.size(); i++) {
            way[2 * i] = points.get(i).x();
            way[2 * i + 1] = points.get(i).y();
        }
        return way;
    }
}
