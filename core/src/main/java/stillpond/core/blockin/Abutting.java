package stillpond.core.blockin;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import stillpond.core.gap.Point;
import stillpond.core.shadow.Outline;
import stillpond.core.shape.Cubic;
import stillpond.core.shape.Length;

/** Lets a shape share the borders that it runs along: where it comes near to another one for a while, it takes over that one's very curves, so that between the two lies neither a gap nor a sliver. */
public final class Abutting {

    private static final double SAMPLE_PX = 2;
    private static final int FEWEST_SAMPLES = 4;
    private static final int MOST_SAMPLES = 400;
    /** What runs along another border for so many times the reach shares it; what only crosses it does not. */
    private static final double LEAST_RUNS = 2.5;
    /** A border that takes so much longer a way than what runs beside it is another one: it is met twice at about the same place. */
    private static final double MOST_LONGER = 1.5;

    private static final int STEPS_A_CURVE = 12;
    /** How far, in reaches, an outline is led straight on to a border that it comes near to. */
    private static final double AHEAD = 2.5;
    /** A cut so near to a point that is there already is made at that point. */
    private static final double AT_KNOT_PX = 3;

    private final List<Loop> loops = new ArrayList<>();
    private final double reachPx;

    private Abutting(Shapes shapes, double reachPx) {
        this.reachPx = reachPx;
        for (Shape shape : shapes.all()) {
            for (int i = 0; i < shape.loops().size(); i++) {
                loops.add(new Loop(shape.number(), i, shape.loops().get(i)));
            }
        }
    }

    /**
     * A shape that shares borders.
     *
     * @param shapes the others as they are now: with points where shared borders begin and end
     * @param outline of the shape
     * @param beside the shapes that it shares a border with
     */
    public record Abutted(Shapes shapes, Outline outline, Set<Integer> beside) {}

    /**
     * @param outline of a shape that is none of {@code others}
     * @param reachPx how far a border may be to be shared
     */
    public static Abutted abut(Outline outline, Shapes others, double reachPx) {
        return new Abutting(others, reachPx).abut(outline, others);
    }

    /** A border of another shape. */
    private static final class Loop {
        private final int shape;
        private final int index;
        private final List<Cubic> curves;
        private final List<List<Point>> lines = new ArrayList<>();
        private final List<Point> all = new ArrayList<>();
        private final TreeMap<Double, Integer> cuts = new TreeMap<>();
        private final double left;
        private final double top;
        private final double right;
        private final double bottom;

        Loop(int shape, int index, Outline outline) {
            this.shape = shape;
            this.index = index;
            this.curves = outline.curves();
            for (Cubic curve : curves) {
                List<Point> line = new ArrayList<>(Flat.of(curve));
                line.add(new Point(curve.x3(), curve.y3()));
                lines.add(line);
                all.addAll(line);
            }
            left = all.stream().mapToDouble(Point::x).min().orElseThrow();
            top = all.stream().mapToDouble(Point::y).min().orElseThrow();
            right = all.stream().mapToDouble(Point::x).max().orElseThrow();
            bottom = all.stream().mapToDouble(Point::y).max().orElseThrow();
        }

        boolean mayReach(Point at, double reach) {
            return at.x() >= left - reach
                    && at.x() <= right + reach
                    && at.y() >= top - reach
                    && at.y() <= bottom + reach;
        }

        /** The nearest place, as the number of its curve and its share of that; null if none is within reach. */
        Spot nearest(Point at, double reach) {
            double nearest = reach;
            Spot best = null;
            for (int curve = 0; curve < lines.size(); curve++) {
                List<Point> line = lines.get(curve);
                for (int i = 0; i + 1 < line.size(); i++) {
                    Point a = line.get(i);
                    double dx = line.get(i + 1).x() - a.x();
                    double dy = line.get(i + 1).y() - a.y();
                    double square = dx * dx + dy * dy;
                    double along = square == 0 ? 0 : ((at.x() - a.x()) * dx + (at.y() - a.y()) * dy) / square;
                    double share = Math.max(0, Math.min(1, along));
                    double away = Length.of(a.x() + share * dx - at.x(), a.y() + share * dy - at.y());
                    if (away <= nearest) {
                        nearest = away;
                        best = new Spot(this, curve + (i + share) / (line.size() - 1), away);
                    }
                }
            }
            return best;
        }

        /** The place that is met first from another in a direction of length 1; null if none is as near as a distance. */
        Spot ahead(Point from, double dx, double dy, double most) {
            double nearest = most;
            Spot best = null;
            for (int curve = 0; curve < lines.size(); curve++) {
                List<Point> line = lines.get(curve);
                for (int i = 0; i + 1 < line.size(); i++) {
                    Point a = line.get(i);
                    double ex = line.get(i + 1).x() - a.x();
                    double ey = line.get(i + 1).y() - a.y();
                    double across = dx * ey - dy * ex;
                    double share = ((a.x() - from.x()) * dy - (a.y() - from.y()) * dx) / across;
                    double away = ((a.x() - from.x()) * ey - (a.y() - from.y()) * ex) / across;
                    if (across != 0 && share >= 0 && share <= 1 && away >= 0 && away <= nearest) {
                        nearest = away;
                        best = new Spot(this, curve + (i + share) / (line.size() - 1), away);
                    }
                }
            }
            return best;
        }

        Point place(double at) {
            int curve = (int) Math.floor(at) % curves.size();
            double share = at - Math.floor(at);
            return new Point(curves.get(curve).x(share), curves.get(curve).y(share));
        }

        /** At a knot if there is one nearby. */
        double settled(double at) {
            double knot = Math.round(at);
            Point here = place(at);
            Point there = place(knot);
            return Length.of(here.x() - there.x(), here.y() - there.y()) < AT_KNOT_PX ? knot % curves.size() : at;
        }

        /** Around from one place to another. */
        double onward(double from, double to) {
            double way = to - from;
            return way < 0 ? way + curves.size() : way;
        }
    }

    private record Spot(Loop loop, double at, double away) {}

    /** A stretch of the outline that runs along a border. @param first and last sample */
    private record Along(Loop loop, int first, int last, double from, double to, boolean isForward) {

        /** How long the border is there, about. */
        double lengthPx() {
            double way = isForward ? loop.onward(from, to) : loop.onward(to, from);
            double start = isForward ? from : to;
            double length = 0;
            int steps = (int) Math.ceil(way * STEPS_A_CURVE);
            for (int step = 0; step < steps; step++) {
                Point a = loop.place((start + way * step / steps) % loop.curves.size());
                Point b = loop.place((start + way * (step + 1) / steps) % loop.curves.size());
                length += Length.of(a.x() - b.x(), a.y() - b.y());
            }
            return length;
        }
    }

    private record Sample(int curve, double share, Point at, Spot near) {}

    private Abutted abut(Outline outline, Shapes others) {
        List<Cubic> curves = outline.curves();
        List<Sample> samples = samples(curves);
        List<Along> alongs = alongs(samples);
        if (alongs.isEmpty()) {
            return new Abutted(others, outline, Set.of());
        }
        Vertices vertices = new Vertices();
        loops.forEach(loop -> loop.curves.forEach(curve -> vertices.at(curve.x0(), curve.y0())));
        for (Along along : alongs) {
            for (double at : new double[] {along.from(), along.to()}) {
                Point place = along.loop().place(at);
                along.loop().cuts.put(at, vertices.at(place.x(), place.y()));
            }
        }
        Map<Loop, Split> splits = new HashMap<>();
        Map<Cubic, List<Cubic>> cuts = new HashMap<>();
        alongs.forEach(along -> splits.computeIfAbsent(along.loop(), loop -> Split.of(loop, vertices, cuts)));
        List<Cubic> made = new ArrayList<>();
        for (int i = 0; i < alongs.size(); i++) {
            Along along = alongs.get(i);
            Along next = alongs.get((i + 1) % alongs.size());
            List<Cubic> shared = splits.get(along.loop()).section(along);
            made.addAll(shared);
            Cubic last = shared.get(shared.size() - 1);
            Cubic first = splits.get(next.loop()).section(next).get(0);
            made.addAll(free(curves, samples, along.last(), next.first(), last, first));
        }
        Set<Integer> beside = new TreeSet<>();
        alongs.forEach(along -> beside.add(along.loop().shape));
        return new Abutted(Shared.resplit(others, List.of(), cuts), Outline.of(made), beside);
    }

    private List<Sample> samples(List<Cubic> curves) {
        List<Sample> samples = new ArrayList<>();
        for (int curve = 0; curve < curves.size(); curve++) {
            Cubic each = curves.get(curve);
            double length = Length.of(each.x1() - each.x0(), each.y1() - each.y0())
                    + Length.of(each.x2() - each.x1(), each.y2() - each.y1())
                    + Length.of(each.x3() - each.x2(), each.y3() - each.y2());
            int count = (int) Math.max(FEWEST_SAMPLES, Math.min(MOST_SAMPLES, length / SAMPLE_PX));
            for (int i = 0; i < count; i++) {
                double share = i / (double) count;
                Point at = new Point(each.x(share), each.y(share));
                samples.add(new Sample(curve, share, at, nearest(at)));
            }
        }
        return samples;
    }

    private Spot nearest(Point at) {
        Spot best = null;
        for (Loop loop : loops) {
            if (loop.mayReach(at, reachPx)) {
                Spot spot = loop.nearest(at, best == null ? reachPx : best.away());
                best = spot == null ? best : spot;
            }
        }
        return best;
    }

    private List<Along> alongs(List<Sample> samples) {
        int count = samples.size();
        int start = 0;
        while (start < count && loopAt(samples, start) == loopAt(samples, start - 1)) {
            start++;
        }
        if (start == count) {
            // Along one border all around, or along none.
            return List.of();
        }
        List<Along> alongs = new ArrayList<>();
        for (int i = start; i < start + count; ) {
            int end = i;
            double length = 0;
            while (end + 1 < start + count && loopAt(samples, end + 1) == loopAt(samples, i)) {
                Point a = samples.get(end % count).at();
                Point b = samples.get((end + 1) % count).at();
                length += Length.of(a.x() - b.x(), a.y() - b.y());
                end++;
            }
            if (loopAt(samples, i) != null && length >= LEAST_RUNS * reachPx) {
                double run = length;
                along(samples, i, end)
                        .filter(along -> along.lengthPx() <= MOST_LONGER * run + 2 * AHEAD * reachPx)
                        .ifPresent(alongs::add);
            }
            i = end + 1;
        }
        return alongs;
    }

    private static Loop loopAt(List<Sample> samples, int i) {
        Spot near = samples.get(Math.floorMod(i, samples.size())).near();
        return near == null ? null : near.loop();
    }

    private Optional<Along> along(List<Sample> samples, int start, int end) {
        int count = samples.size();
        Sample first = samples.get(start % count);
        Sample last = samples.get(end % count);
        Loop loop = first.near().loop();
        double from = met(first, samples.get(Math.floorMod(start - 1, count)));
        double to = met(last, samples.get((end + 1) % count));
        double between = samples.get((start + end) / 2 % count).near().at();
        boolean isForward = loop.onward(from, between) <= loop.onward(from, to);
        return from == to
                ? Optional.empty()
                : Optional.of(new Along(loop, start % count, end % count, from, to, isForward));
    }

    /** Where a border is met by an outline that comes near to it: straight on, if that is not far. @param before the sample that is not near yet */
    private double met(Sample near, Sample before) {
        double dx = near.at().x() - before.at().x();
        double dy = near.at().y() - before.at().y();
        double length = Length.of(dx, dy);
        Loop loop = near.near().loop();
        Spot ahead = length == 0 ? null : loop.ahead(near.at(), dx / length, dy / length, AHEAD * reachPx);
        return loop.settled(ahead == null ? near.near().at() : ahead.at());
    }

    /** What of the outline lies between two stretches that are shared, from the end of one to the start of the other. */
    private static List<Cubic> free(
            List<Cubic> curves, List<Sample> samples, int last, int first, Cubic before, Cubic behind) {
        Sample from = samples.get(last);
        Sample to = samples.get(first);
        List<Cubic> free = new ArrayList<>();
        int curve = from.curve();
        double share = from.share();
        boolean wraps = curve == to.curve() && to.share() < share;
        while (curve != to.curve() || wraps) {
            wraps = false;
            free.add(
                    share == 0 ? curves.get(curve) : curves.get(curve).at(share).second());
            curve = (curve + 1) % curves.size();
            share = 0;
        }
        if (to.share() > share) {
            Cubic rest =
                    share == 0 ? curves.get(curve) : curves.get(curve).at(share).second();
            free.add(rest.at((to.share() - share) / (1 - share)).first());
        }
        if (free.isEmpty()) {
            free.add(Cubic.straight(before.x3(), before.y3(), behind.x0(), behind.y0()));
        }
        free.set(0, startingAt(free.get(0), before.x3(), before.y3()));
        int end = free.size() - 1;
        free.set(
                end,
                startingAt(free.get(end).reversed(), behind.x0(), behind.y0()).reversed());
        boolean isNothing =
                free.size() == 1 && Length.of(before.x3() - behind.x0(), before.y3() - behind.y0()) < Vertices.SAME_PX;
        return isNothing ? List.of() : free;
    }

    /** With its start elsewhere; what was straight stays so. */
    private static Cubic startingAt(Cubic curve, double x, double y) {
        return curve.isStraight(0.5)
                ? Cubic.straight(x, y, curve.x3(), curve.y3())
                : new Cubic(x, y, curve.x1(), curve.y1(), curve.x2(), curve.y2(), curve.x3(), curve.y3());
    }

    /** A border cut at places. */
    private record Split(List<Cubic> pieces, TreeMap<Double, Integer> startOfPiece) {

        static Split of(Loop loop, Vertices vertices, Map<Cubic, List<Cubic>> cuts) {
            List<Cubic> pieces = new ArrayList<>();
            TreeMap<Double, Integer> starts = new TreeMap<>();
            for (int i = 0; i < loop.curves.size(); i++) {
                List<Cubic> ofCurve = new ArrayList<>();
                Cubic rest = loop.curves.get(i);
                double done = 0;
                starts.put((double) i, pieces.size());
                for (Map.Entry<Double, Integer> cut :
                        loop.cuts.subMap((double) i, false, i + 1.0, false).entrySet()) {
                    double at = cut.getKey() - i;
                    Point vertex = vertices.get(cut.getValue());
                    Cubic.Halves halves = rest.at((at - done) / (1 - done));
                    ofCurve.add(startingAt(halves.first().reversed(), vertex.x(), vertex.y())
                            .reversed());
                    rest = startingAt(halves.second(), vertex.x(), vertex.y());
                    done = at;
                    starts.put(cut.getKey(), pieces.size() + ofCurve.size());
                }
                ofCurve.add(rest);
                if (ofCurve.size() > 1) {
                    cuts.put(loop.curves.get(i), ofCurve);
                }
                pieces.addAll(ofCurve);
            }
            return new Split(pieces, starts);
        }

        List<Cubic> section(Along along) {
            int from = startOfPiece.get(along.from());
            int to = startOfPiece.get(along.to());
            List<Cubic> section = new ArrayList<>();
            int start = along.isForward() ? from : to;
            int end = along.isForward() ? to : from;
            for (int i = start; i != end; i = (i + 1) % pieces.size()) {
                section.add(pieces.get(i));
            }
            if (!along.isForward()) {
                Collections.reverse(section);
                section.replaceAll(Cubic::reversed);
            }
            return section;
        }
    }
}
