package stillpond.core.blockin;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import stillpond.core.gap.Point;
import stillpond.core.refusal.Refusal;
import stillpond.core.shadow.Knot;
import stillpond.core.shadow.Outline;
import stillpond.core.shape.Cubic;
import stillpond.core.shape.CurveFit;
import stillpond.core.shape.Length;

/** Shapes divided by lines. Lines that lead from border to border, or to one another, become borders; what ends in the open is kept as a {@link LooseLine}. */
public final class Dividing {

    /** A shape is divided into so many parts at the most, so that nobody drowns in slivers. */
    public static final int MOST_PARTS = 360;

    private static final double LEAST_LINE_PX = 1;

    private Dividing() {}

    /**
     * What dividing made.
     *
     * @param shapes as they are now; neighbours of what was divided have points where the lines meet their borders, too
     * @param parts numbers of the shapes that the divided one became, itself first; it alone if nothing was parted
     */
    public record Divided(Shapes shapes, List<Integer> parts) {

        public Divided {
            parts = List.copyOf(parts);
        }
    }

    /** An end of a line that meets nothing. @param isStart of the line's two ends */
    public record LooseEnd(int line, boolean isStart, Point at) {}

    /**
     * A line drawn by hand as smooth curves, straight where it may be; its ends go to the nearest border or line within reach.
     *
     * @param way two points or more
     * @param shape that it is to divide
     * @param reachPx how far an end may be moved
     * @param tolerancePx how far the curves may be from the line
     */
    public static LooseLine drawn(List<Point> way, Shapes shapes, int shape, double reachPx, double tolerancePx) {
        List<Point> line = new ArrayList<>(way);
        double length = 0;
        for (int i = 1; i < line.size(); i++) {
            length += away(line.get(i), line.get(i - 1));
        }
        if (line.size() < 2 || length < LEAST_LINE_PX) {
            throw new Refusal("This is too short for a line. Draw across what is to be divided.");
        }
        double reach = Math.min(reachPx, length / 3);
        for (int end : new int[] {0, line.size() - 1}) {
            line.set(end, snapped(line.get(end), shapes, shape, reach));
        }
        double[] x = new double[line.size()];
        double[] y = new double[line.size()];
        for (int i = 0; i < line.size(); i++) {
            x[i] = line.get(i).x();
            y[i] = line.get(i).y();
        }
        return LooseLine.of(shape, CurveFit.straightest(x, y, Math.max(0.5, tolerancePx)));
    }

    private static List<List<Point>> bordersAt(Shapes shapes, int shape) {
        List<List<Point>> borders = new ArrayList<>();
        for (List<Point> polygon : shapes.get(shape).polygons()) {
            List<Point> closed = new ArrayList<>(polygon);
            closed.add(polygon.get(0));
            borders.add(closed);
        }
        shapes.lines().stream().filter(line -> line.shape() == shape).forEach(line -> borders.add(way(line)));
        return borders;
    }

    /** A line as straight pieces, from its start to its end. */
    public static List<Point> way(LooseLine line) {
        List<Point> flat = Flat.ring(line.curves());
        flat.add(new Point(
                line.knots().get(line.knots().size() - 1).x(),
                line.knots().get(line.knots().size() - 1).y()));
        return flat;
    }

    /** At a point that is near, so that lines that are to meet in one place do; or else on the nearest border or line. */
    private static Point snapped(Point at, Shapes shapes, int shape, double reach) {
        List<Knot> knots = new ArrayList<>();
        shapes.get(shape).loops().forEach(loop -> knots.addAll(loop.knots()));
        shapes.lines().stream().filter(line -> line.shape() == shape).forEach(line -> knots.addAll(line.knots()));
        Optional<Point> knot = nearest(
                at, knots.stream().map(each -> new Point(each.x(), each.y())).toList(), reach);
        return knot.or(() -> nearest(
                        at,
                        bordersAt(shapes, shape).stream()
                                .flatMap(border -> Near.to(at, border).stream())
                                .toList(),
                        reach))
                .orElse(at);
    }

    private static Optional<Point> nearest(Point at, List<Point> places, double reach) {
        return places.stream()
                .filter(place -> away(place, at) <= reach)
                .min(Comparator.comparingDouble(place -> away(place, at)));
    }

    /**
     * Divides a shape by lines, together with those that were drawn in it before and did not meet.
     *
     * @throws Refusal if it crosses itself, or would fall into too many parts
     */
    public static Divided divide(Shapes shapes, int number, List<LooseLine> added) {
        Shape shape = shapes.get(number);
        if (shape.crossesItself()) {
            throw new Refusal("The border of this shape crosses itself. Move its points apart before it is divided.");
        }
        List<LooseLine> own = new ArrayList<>();
        shapes.lines().stream().filter(line -> line.shape() == number).forEach(own::add);
        own.addAll(added);
        List<LooseLine> others =
                shapes.lines().stream().filter(line -> line.shape() != number).toList();
        Parting parting = new Parting(shape, own);
        List<List<Outline>> parts = parting.parts();
        if (parts.size() < 2) {
            // What of them lies beside the shape can never divide it.
            List<LooseLine> kept = new ArrayList<>(others);
            parting.loose().forEach(line -> kept.add(LooseLine.of(number, line)));
            return new Divided(shapes.withLines(kept), List.of(number));
        }
        if (parts.size() > MOST_PARTS) {
            throw new Refusal("This would be " + parts.size() + " parts; a shape is divided into up to " + MOST_PARTS
                    + " at once. Nothing was changed.");
        }
        List<Integer> numbers = new ArrayList<>(List.of(number));
        numbers.addAll(shapes.free(parts.size() - 1));
        List<Shape> made = new ArrayList<>();
        for (int i = 0; i < parts.size(); i++) {
            made.add(new Shape(numbers.get(i), parts.get(i), shape.edge()));
        }
        List<LooseLine> kept = new ArrayList<>(others);
        parting.loose().forEach(line -> {
            Cubic first = line.get(0);
            Point middle = new Point(first.x(0.5), first.y(0.5));
            made.stream()
                    .filter(part -> part.has(middle.x(), middle.y()))
                    .findFirst()
                    .ifPresent(part -> kept.add(LooseLine.of(part.number(), line)));
        });
        Shapes now = shapes.replacing(number, made).withLines(kept);
        return new Divided(Shared.resplit(now, numbers, parting.cuts()), numbers);
    }

    /** The ends of all lines that meet neither border nor line. */
    public static List<LooseEnd> looseEnds(Shapes shapes) {
        List<LooseEnd> ends = new ArrayList<>();
        for (int i = 0; i < shapes.lines().size(); i++) {
            LooseLine line = shapes.lines().get(i);
            if (shapes.find(line.shape()).isEmpty()) {
                continue;
            }
            List<List<Point>> borders = new ArrayList<>();
            for (List<Point> border : bordersAt(shapes.withLines(without(shapes.lines(), i)), line.shape())) {
                borders.add(border);
            }
            List<Point> flat = way(line);
            for (boolean isStart : new boolean[] {true, false}) {
                Point at = isStart ? flat.get(0) : flat.get(flat.size() - 1);
                boolean meets = borders.stream()
                        .flatMap(border -> Near.to(at, border).stream())
                        .anyMatch(near -> away(near, at) < 2 * Vertices.SAME_PX);
                if (!meets && shapes.get(line.shape()).has(at.x(), at.y())) {
                    ends.add(new LooseEnd(i, isStart, at));
                }
            }
        }
        return ends;
    }

    private static List<LooseLine> without(List<LooseLine> lines, int index) {
        List<LooseLine> others = new ArrayList<>(lines);
        others.remove(index);
        return others;
    }

    /**
     * Leads an end that meets nothing straight on until it meets a border or a line, and divides the shape there.
     *
     * @throws Refusal if it meets nothing that way
     */
    public static Divided extend(Shapes shapes, LooseEnd end) {
        LooseLine line = shapes.lines().get(end.line());
        List<Point> flat = way(line);
        Point tip = end.isStart() ? flat.get(0) : flat.get(flat.size() - 1);
        Point behind = behind(flat, end.isStart());
        double length = away(tip, behind);
        double dx = (tip.x() - behind.x()) / length;
        double dy = (tip.y() - behind.y()) / length;
        List<List<Point>> borders = bordersAt(shapes.withLines(without(shapes.lines(), end.line())), line.shape());
        Point met = borders.stream()
                .flatMap(border -> Near.ahead(tip, dx, dy, border).stream())
                .min(Comparator.comparingDouble(each -> away(each, tip)))
                .orElseThrow(() -> new Refusal("Straight on, this line meets nothing."));
        List<Cubic> curves = new ArrayList<>(line.curves());
        if (end.isStart()) {
            curves.add(0, Cubic.straight(met.x(), met.y(), tip.x(), tip.y()));
        } else {
            curves.add(Cubic.straight(tip.x(), tip.y(), met.x(), met.y()));
        }
        Shapes rest = shapes.withLines(without(shapes.lines(), end.line()));
        return divide(rest, line.shape(), List.of(LooseLine.of(line.shape(), curves)));
    }

    /** A place on the line some pixels before its end, which tells where it leads. */
    private static Point behind(List<Point> flat, boolean isStart) {
        List<Point> fromTip = new ArrayList<>(flat);
        if (!isStart) {
            Collections.reverse(fromTip);
        }
        return fromTip.stream()
                .filter(each -> away(each, fromTip.get(0)) >= 3)
                .findFirst()
                .orElse(fromTip.get(fromTip.size() - 1));
    }

    private static double away(Point a, Point b) {
        return Length.of(a.x() - b.x(), a.y() - b.y());
    }

    /** A shape cut by lines. */
    private static final class Parting {
        private final Shape shape;
        private final List<LooseLine> lines;
        private final Arrangement arrangement;
        private final List<List<Point>> border = new ArrayList<>();
        private final Set<Integer> borderPieces = new HashSet<>();
        private final Set<Integer> dividing = new HashSet<>();

        Parting(Shape shape, List<LooseLine> lines) {
            this.shape = shape;
            this.lines = lines;
            List<List<Cubic>> sources = new ArrayList<>();
            shape.loops().forEach(loop -> sources.add(loop.curves()));
            lines.forEach(line -> sources.add(line.curves()));
            arrangement = Arrangement.of(sources);
            for (int loop = 0; loop < shape.loops().size(); loop++) {
                border.add(arrangement.polygon(arrangement.runs(loop)));
                arrangement.runs(loop).forEach(run -> borderPieces.add(run.piece()));
            }
            for (int line = 0; line < lines.size(); line++) {
                for (Arrangement.Run run : arrangement.runs(shape.loops().size() + line)) {
                    if (!borderPieces.contains(run.piece()) && isInside(arrangement.besideRight(run))) {
                        dividing.add(run.piece());
                    }
                }
            }
            dropLoose();
        }

        private boolean isInside(Point at) {
            return border.stream()
                                    .filter(each -> Flat.winding(each, at.x(), at.y()) != 0)
                                    .count()
                            % 2
                    == 1;
        }

        /** Takes away what ends in the open, again and again, until nothing does. */
        private void dropLoose() {
            boolean drops = true;
            while (drops) {
                Map<Integer, Integer> degree = new HashMap<>();
                for (int piece : dividing) {
                    Arrangement.Run run = new Arrangement.Run(piece, true);
                    degree.merge(arrangement.from(run), 1, Integer::sum);
                    degree.merge(arrangement.to(run), 1, Integer::sum);
                }
                for (int piece : borderPieces) {
                    Arrangement.Run run = new Arrangement.Run(piece, true);
                    degree.merge(arrangement.from(run), 2, Integer::sum);
                    degree.merge(arrangement.to(run), 2, Integer::sum);
                }
                drops = dividing.removeIf(piece -> {
                    Arrangement.Run run = new Arrangement.Run(piece, true);
                    return degree.get(arrangement.from(run)) < 2 || degree.get(arrangement.to(run)) < 2;
                });
            }
        }

        /** The borders of each part. */
        List<List<Outline>> parts() {
            List<Arrangement.Run> kept = new ArrayList<>();
            for (int piece = 0; piece < arrangement.count(); piece++) {
                if (!borderPieces.contains(piece) && !dividing.contains(piece)) {
                    continue;
                }
                Arrangement.Run run = new Arrangement.Run(piece, true);
                for (Arrangement.Run each : List.of(run, run.back())) {
                    if (dividing.contains(piece) || isInside(arrangement.besideRight(each))) {
                        kept.add(each);
                    }
                }
            }
            List<List<Arrangement.Run>> outer = new ArrayList<>();
            List<List<Arrangement.Run>> holes = new ArrayList<>();
            for (List<Arrangement.Run> loop : arrangement.loops(kept)) {
                (Flat.doubleArea(arrangement.polygon(loop)) > 0 ? outer : holes).add(loop);
            }
            outer.sort(Comparator.comparingDouble(loop -> Flat.doubleArea(arrangement.polygon(loop))));
            Map<List<Arrangement.Run>, List<Outline>> parts = new LinkedHashMap<>();
            outer.forEach(loop -> parts.put(loop, new ArrayList<>(List.of(Overlay.outline(arrangement, loop)))));
            for (List<Arrangement.Run> hole : holes) {
                around(hole, outer).ifPresent(loop -> parts.get(loop).add(Overlay.outline(arrangement, hole)));
            }
            return parts.values().stream()
                    .sorted(Comparator.comparingDouble(Parting::negativeArea))
                    .toList();
        }

        private static double negativeArea(List<Outline> part) {
            return -Math.abs(Flat.doubleArea(Flat.polygon(part.get(0))));
        }

        /** The smallest walk that runs around a hole. */
        private Optional<List<Arrangement.Run>> around(List<Arrangement.Run> hole, List<List<Arrangement.Run>> outer) {
            Point at = arrangement.besideRight(hole.get(0));
            return outer.stream()
                    .filter(loop -> Flat.winding(arrangement.polygon(loop), at.x(), at.y()) != 0)
                    .findFirst();
        }

        /** What is left of the lines, each as long as it goes on. */
        List<List<Cubic>> loose() {
            List<List<Cubic>> loose = new ArrayList<>();
            for (int line = 0; line < lines.size(); line++) {
                List<Cubic> curves = new ArrayList<>();
                for (Arrangement.Run run : arrangement.runs(shape.loops().size() + line)) {
                    boolean isLoose = !dividing.contains(run.piece())
                            && !borderPieces.contains(run.piece())
                            && isInside(arrangement.besideRight(run));
                    if (isLoose) {
                        curves.add(arrangement.curve(run));
                    } else if (!curves.isEmpty()) {
                        loose.add(curves);
                        curves = new ArrayList<>();
                    }
                }
                if (!curves.isEmpty()) {
                    loose.add(curves);
                }
            }
            return loose;
        }

        /** The curves of the border that were cut, each with its pieces. */
        Map<Cubic, List<Cubic>> cuts() {
            Map<Cubic, List<Cubic>> cuts = new HashMap<>();
            for (int loop = 0; loop < shape.loops().size(); loop++) {
                Shared.cuts(shape.loops().get(loop).curves(), arrangement, arrangement.runs(loop), cuts);
            }
            return cuts;
        }
    }
}
