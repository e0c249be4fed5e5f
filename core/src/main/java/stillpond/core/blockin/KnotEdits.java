package stillpond.core.blockin;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import stillpond.core.cell.Box;
import stillpond.core.gap.Point;
import stillpond.core.shadow.Bend;
import stillpond.core.shadow.Knot;
import stillpond.core.shadow.Outline;
import stillpond.core.shape.Cubic;
import stillpond.core.shape.Length;

/** What is done to single points of shapes. A point at which several shapes meet is one point: what is done to it is done to all of them, so that borders stay shared. */
public final class KnotEdits {

    private static final double SAME_PX = 0.06;

    private KnotEdits() {}

    /** A point of a shape. @param loop which of its borders @param knot which point of that */
    public record At(int shape, int loop, int knot) {}

    /** Puts a point elsewhere. @param isAlone whether other shapes keep theirs */
    public static ShapeEdit move(Shapes shapes, At at, Point to, boolean isAlone) {
        Point from = place(shapes, at);
        return each(shapes, at, isAlone, (loop, knot) -> loop.moving(knot, to.x(), to.y()), from);
    }

    /** Takes a point away. @throws stillpond.core.refusal.Refusal if a border has no more than three */
    public static ShapeEdit drop(Shapes shapes, At at) {
        return each(shapes, at, false, Outline::without, place(shapes, at));
    }

    /** Gives a border one more point where it comes nearest to a place; shapes that share it get it too. */
    public static ShapeEdit add(Shapes shapes, int number, Point near) {
        Shape shape = shapes.get(number);
        int best = 0;
        double nearest = Double.POSITIVE_INFINITY;
        for (int loop = 0; loop < shape.loops().size(); loop++) {
            List<Point> closed = new ArrayList<>(shape.polygons().get(loop));
            closed.add(closed.get(0));
            Point place = Near.to(near, closed).orElse(near);
            double away = Length.of(place.x() - near.x(), place.y() - near.y());
            if (away < nearest) {
                nearest = away;
                best = loop;
            }
        }
        Outline before = shape.loops().get(best);
        Outline after = before.splitNear(near.x(), near.y());
        int cut = 0;
        while (cut < before.knots().size()
                && samePlace(before.knots().get(cut), after.knots().get(cut))) {
            cut++;
        }
        List<Outline> loops = new ArrayList<>(shape.loops());
        loops.set(best, after);
        Map<Cubic, List<Cubic>> cuts = new HashMap<>();
        cuts.put(before.curves().get(cut - 1), after.curves().subList(cut - 1, cut + 1));
        Shapes put = shapes.putting(List.of(shape.with(loops)));
        return ShapeEdit.of(shapes, Shared.resplit(put, List.of(number), cuts), List.of(number));
    }

    /** Makes a corner of a smooth point, or a smooth point of a corner. */
    public static ShapeEdit bend(Shapes shapes, At at) {
        Outline own = shapes.get(at.shape()).loops().get(at.loop());
        Outline bent = own.bending(at.knot());
        boolean isShared = shapes.all().stream()
                .anyMatch(shape -> shape.number() != at.shape()
                        && shape.loops().stream()
                                .anyMatch(loop -> find(loop, place(shapes, at)).isPresent()));
        if (!isShared) {
            return each(shapes, at, true, (loop, knot) -> bent, place(shapes, at));
        }
        int count = bent.knots().size();
        List<Cubic> curves = bent.curves();
        Cubic in = curves.get((at.knot() + count - 1) % count);
        Cubic out = curves.get(at.knot());
        return each(shapes, at, false, (loop, knot) -> bentAlike(loop, knot, in, out), place(shapes, at));
    }

    /** Gives a point the handles of another shape's, each towards the point that it leads to there. */
    private static Outline bentAlike(Outline loop, int knot, Cubic in, Cubic out) {
        int count = loop.knots().size();
        List<Cubic> curves = loop.curves();
        Cubic ownIn = curves.get((knot + count - 1) % count);
        Cubic ownOut = curves.get(knot);
        Point before = towards(ownIn.x0(), ownIn.y0(), in, out, new Point(ownIn.x2(), ownIn.y2()));
        Point behind = towards(ownOut.x3(), ownOut.y3(), in, out, new Point(ownOut.x1(), ownOut.y1()));
        Knot here = loop.knots().get(knot);
        List<Knot> knots = new ArrayList<>(loop.knots());
        knots.set(
                knot,
                new Knot(
                        here.x(),
                        here.y(),
                        new Bend.Drawn(
                                before.x() - here.x(),
                                before.y() - here.y(),
                                behind.x() - here.x(),
                                behind.y() - here.y())));
        return new Outline(knots);
    }

    private static Point towards(double x, double y, Cubic in, Cubic out, Point otherwise) {
        if (Length.of(in.x0() - x, in.y0() - y) < SAME_PX) {
            return new Point(in.x2(), in.y2());
        }
        return Length.of(out.x3() - x, out.y3() - y) < SAME_PX ? new Point(out.x1(), out.y1()) : otherwise;
    }

    private interface Change {
        Outline of(Outline loop, int knot);
    }

    private static ShapeEdit each(Shapes shapes, At at, boolean isAlone, Change change, Point place) {
        List<Shape> put = new ArrayList<>();
        for (Shape shape : shapes.all()) {
            boolean isOwn = shape.number() == at.shape();
            if (isAlone && !isOwn) {
                continue;
            }
            List<Outline> loops = new ArrayList<>();
            for (int i = 0; i < shape.loops().size(); i++) {
                Outline loop = shape.loops().get(i);
                Optional<Integer> knot = isOwn && i == at.loop() ? Optional.of(at.knot()) : find(loop, place);
                loops.add(knot.isPresent() ? change.of(loop, knot.get()) : loop);
            }
            if (!loops.equals(shape.loops())) {
                put.add(shape.with(loops).required());
            }
        }
        return ShapeEdit.of(shapes, shapes.putting(put), List.of(at.shape()));
    }

    private static Optional<Integer> find(Outline loop, Point place) {
        for (int i = 0; i < loop.knots().size(); i++) {
            Knot knot = loop.knots().get(i);
            if (Length.of(knot.x() - place.x(), knot.y() - place.y()) < SAME_PX) {
                return Optional.of(i);
            }
        }
        return Optional.empty();
    }

    private static boolean samePlace(Knot one, Knot other) {
        return Length.of(one.x() - other.x(), one.y() - other.y()) < SAME_PX;
    }

    private static Point place(Shapes shapes, At at) {
        Knot knot = shapes.get(at.shape()).loops().get(at.loop()).knots().get(at.knot());
        return new Point(knot.x(), knot.y());
    }

    /**
     * Where a point goes that is near to a point of another shape, or else to a border.
     *
     * @param without shapes that do not count
     * @return empty if nothing is within reach
     */
    public static Optional<Point> snapped(Shapes shapes, Point at, List<Integer> without, double reachPx) {
        Point best = null;
        double nearest = reachPx;
        for (Shape shape : shapes.all()) {
            if (without.contains(shape.number())) {
                continue;
            }
            for (Outline loop : shape.loops()) {
                for (Knot knot : loop.knots()) {
                    double away = Length.of(knot.x() - at.x(), knot.y() - at.y());
                    if (away <= nearest) {
                        nearest = away;
                        best = new Point(knot.x(), knot.y());
                    }
                }
            }
        }
        return best != null ? Optional.of(best) : onBorder(shapes, at, without, reachPx);
    }

    private static Optional<Point> onBorder(Shapes shapes, Point at, List<Integer> without, double reachPx) {
        Point best = null;
        double nearest = reachPx;
        for (Shape shape : shapes.all()) {
            if (without.contains(shape.number()) || !isNear(shape.box(), at, reachPx)) {
                continue;
            }
            for (List<Point> polygon : shape.polygons()) {
                List<Point> closed = new ArrayList<>(polygon);
                closed.add(polygon.get(0));
                Point near = Near.to(at, closed).orElse(at);
                double away = Length.of(near.x() - at.x(), near.y() - at.y());
                if (away <= nearest) {
                    nearest = away;
                    best = near;
                }
            }
        }
        return Optional.ofNullable(best);
    }

    private static boolean isNear(Box box, Point at, double reachPx) {
        return at.x() >= box.xStart() - reachPx
                && at.x() <= box.xEndExclusive() + reachPx
                && at.y() >= box.yStart() - reachPx
                && at.y() <= box.yEndExclusive() + reachPx;
    }
}
