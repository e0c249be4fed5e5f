package stillpond.core.gap;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;

/** Closures from a stroke end to ink that is no end: ahead of it, beside it, further along its curve, or to the edge of the page. */
final class EndRays {

    /** All in stroke widths. */
    private static final double MAX_AHEAD = 30;

    private static final double MAX_CURVED = 20;
    private static final double MAX_BESIDE = 25;
    private static final double MAX_TO_FRAME = 2.5;

    private static final double WIDEST_AHEAD_DEGREES = 75;
    private static final double RAY_STEP_DEGREES = 7.5;
    private static final int BEST_OF_EACH_END = 4;
    private static final double APART = 1.0;

    /** A curve goes round less than this. */
    private static final double MAX_TURN = Math.toRadians(110);

    private static final double LEAST_CURVATURE = 0.03;
    private static final double MOST_CURVATURE = 0.6;

    private final SearchPage page;
    private final double w;

    private EndRays(SearchPage page) {
        this.page = page;
        this.w = page.strokePx();
    }

    static List<Closure> find(SearchPage page, List<StrokeEnd> ends) {
        EndRays rays = new EndRays(page);
        return ends.parallelStream().flatMap(end -> rays.of(end).stream()).toList();
    }

    private List<Closure> of(StrokeEnd end) {
        List<Closure> ahead = new ArrayList<>();
        for (double angle = -WIDEST_AHEAD_DEGREES; angle <= WIDEST_AHEAD_DEGREES; angle += RAY_STEP_DEGREES) {
            add(ahead, end, Opening.Kind.AHEAD, ray(end, Math.toRadians(angle), MAX_AHEAD * w));
        }
        add(ahead, end, Opening.Kind.AHEAD, arc(end));
        List<Closure> closures = best(ahead);
        for (int side = -1; side <= 1; side += 2) {
            add(closures, end, Opening.Kind.BESIDE, ray(end, side * Math.PI / 2, MAX_BESIDE * w));
        }
        addFrame(closures, end);
        return closures;
    }

    /** The best four, each a stroke width from the better ones where it meets the ink. */
    private List<Closure> best(List<Closure> closures) {
        List<Closure> best = new ArrayList<>();
        closures.sort(Comparator.comparingDouble(closure -> -closure.promise()));
        for (Closure closure : closures) {
            boolean apart = best.stream().allMatch(better -> better.end().distanceTo(closure.end()) > APART * w);
            if (apart && best.size() < BEST_OF_EACH_END) {
                best.add(closure);
            }
        }
        return best;
    }

    private void add(List<Closure> closures, StrokeEnd end, Opening.Kind kind, List<Point> line) {
        OptionalDouble paper = line.isEmpty() ? OptionalDouble.empty() : Crossing.paperPx(page, line);
        if (paper.isEmpty()) {
            return;
        }
        double length = paper.getAsDouble() / w;
        Point last = line.get(line.size() - 1).minus(line.get(line.size() - 2)).unit();
        Point first = line.get(line.size() > 3 ? 3 : 2).minus(end.tip()).unit();
        double alignment = line.size() > 4 ? 0.97 : end.direction().dot(first);
        double incidence = incidence(line, last, paper.getAsDouble());
        double promise = kind == Opening.Kind.BESIDE
                ? -0.3 - 0.2 * length
                : 1.0 - 0.16 * length - 1.5 * (1 - alignment) - 0.6 * (1 - incidence);
        closures.add(new Closure(
                kind,
                line,
                paper.getAsDouble(),
                List.of(end),
                alignment,
                incidence,
                promise - (end.isolated() ? 0.6 : 0)));
    }

    /** How squarely the line meets the ink: the cosine to the shortest way from a place shortly before. */
    private double incidence(List<Point> line, Point last, double paperPx) {
        Point hit = line.get(line.size() - 2);
        Point before = hit.minus(last.times(Math.min(0.5 * paperPx, 0.7 * w) + 1));
        int nearest = page.nearestInk(page.index(before));
        return nearest < 0
                ? 0
                : Math.max(0, page.middleOf(nearest).minus(before).unit().dot(last));
    }

    /** Root, tip, where the ray meets ink, and a little deeper; empty if it meets none in time. */
    private List<Point> ray(StrokeEnd end, double angle, double most) {
        Point direction = end.direction().turned(angle);
        double from = leaving(end.tip(), direction);
        for (double step = from; step < most; step += 0.5) {
            Point at = end.tip().plus(direction.times(step));
            if (!page.inside(at)) {
                return List.of();
            }
            if (page.isInk(at)) {
                return List.of(end.root(), end.tip(), at, Crossing.deeper(page, at, direction));
            }
        }
        return List.of();
    }

    /** How far a ray must go to be out of the ink it starts from; infinite if it is not out within a stroke. */
    private double leaving(Point tip, Point direction) {
        for (double step = 0; step < 1.2 * w; step += 0.5) {
            if (!page.isInk(tip.plus(direction.times(step)))) {
                return step;
            }
        }
        return Double.POSITIVE_INFINITY;
    }

    private List<Point> arc(StrokeEnd end) {
        double curvature = end.curvature();
        if (Math.abs(curvature) * w < LEAST_CURVATURE || Math.abs(curvature) * w > MOST_CURVATURE) {
            return List.of();
        }
        List<Point> line = new ArrayList<>(List.of(end.root(), end.tip()));
        Point at = end.tip();
        Point direction = end.direction();
        boolean left = false;
        double most = Math.min(MAX_CURVED * w, MAX_TURN / Math.abs(curvature));
        for (double walked = 0; walked < most; walked++) {
            direction = direction.turned(curvature);
            at = at.plus(direction);
            if (!page.inside(at)) {
                return List.of();
            }
            boolean ink = page.isInk(at);
            left |= !ink;
            if (left && ink) {
                line.add(at);
                line.add(Crossing.deeper(page, at, direction));
                return line;
            }
            if ((int) walked % 3 == 2) {
                line.add(at);
            }
        }
        return List.of();
    }

    private void addFrame(List<Closure> closures, StrokeEnd end) {
        double toFrame = page.distanceToFrame(end.tip());
        if (toFrame > MAX_TO_FRAME * w) {
            return;
        }
        for (double step = 0; step < 2 * MAX_TO_FRAME * w; step += 0.5) {
            Point at = end.tip().plus(end.direction().times(step));
            if (!page.inside(at)) {
                List<Point> line = List.of(end.root(), end.tip(), at);
                closures.add(new Closure(Opening.Kind.FRAME, line, step, List.of(end), 1, 1, 2.5 - step / w));
                return;
            }
            if (step > end.radiusPx() && page.isInk(at)) {
                return;
            }
        }
    }
}
