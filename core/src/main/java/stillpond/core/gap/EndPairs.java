package stillpond.core.gap;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.IntStream;

/** Closures from one stroke end to another: straight, along a curve that carries both on, or across the open base between two that run side by side. */
final class EndPairs {

    /** In stroke widths. */
    private static final double MAX_LENGTH = 45;

    private static final int BEST_OF_EACH_END = 4;

    /** Ends that turn away from each other further than this are not carried on by anything. */
    private static final double LEAST_FACING = -0.2;

    /** What runs within this of straight on is a straight closure. */
    private static final double STRAIGHT_COS = Math.cos(Math.toRadians(20));

    private static final double PARALLEL_COS = 0.7;
    private static final double SQUARE_COS = 0.5;
    private static final int CURVE_POINTS = 12;

    private final SearchPage page;
    private final List<StrokeEnd> ends;

    private EndPairs(SearchPage page, List<StrokeEnd> ends) {
        this.page = page;
        this.ends = ends;
    }

    static List<Closure> find(SearchPage page, List<StrokeEnd> ends) {
        EndPairs pairs = new EndPairs(page, ends);
        EndGrid grid = new EndGrid(ends, MAX_LENGTH * page.strokePx() / 4);
        List<List<Pair>> best = IntStream.range(0, ends.size())
                .parallel()
                .mapToObj(i -> pairs.bestOf(ends.get(i), grid))
                .toList();
        List<Closure> closures = new ArrayList<>();
        Set<Long> taken = new HashSet<>();
        for (List<Pair> ofOne : best) {
            for (Pair pair : ofOne) {
                if (taken.add((long) pair.a().number() << 32 | pair.b().number())) {
                    closures.add(pair.closure());
                }
            }
        }
        return closures;
    }

    /** The ends in order of their numbers, and the closure between them. */
    private record Pair(StrokeEnd a, StrokeEnd b, Closure closure) {}

    private List<Pair> bestOf(StrokeEnd end, EndGrid grid) {
        return grid.near(end.tip(), MAX_LENGTH * page.strokePx()).stream()
                .filter(other -> other.number() != end.number())
                .map(other -> other.number() < end.number() ? pair(other, end) : pair(end, other))
                .filter(pair -> pair != null)
                .sorted(Comparator.comparingDouble(
                                (Pair pair) -> -pair.closure().promise())
                        .thenComparingInt(pair -> pair.a().number())
                        .thenComparingInt(pair -> pair.b().number()))
                .limit(BEST_OF_EACH_END)
                .toList();
    }

    /** Null if nothing sensible joins the two. */
    private Pair pair(StrokeEnd a, StrokeEnd b) {
        Point way = b.tip().minus(a.tip()).unit();
        double cosA = a.direction().dot(way);
        double cosB = -b.direction().dot(way);
        boolean base = a.direction().dot(b.direction()) > PARALLEL_COS
                && Math.abs(cosA) < SQUARE_COS
                && Math.abs(cosB) < SQUARE_COS;
        if (!base && (cosA < LEAST_FACING || cosB < LEAST_FACING)) {
            return null;
        }
        boolean curved = !base && cosA > 0.25 && cosB > 0.25 && Math.min(cosA, cosB) < STRAIGHT_COS;
        Closure closure = curved ? closure(a, b, Opening.Kind.CURVE, curve(a, b)) : null;
        if (closure == null) {
            List<Point> straight = List.of(a.root(), a.tip(), b.tip(), b.root());
            closure = closure(a, b, base ? Opening.Kind.BASE : Opening.Kind.ENDS, straight);
        }
        return closure == null ? null : new Pair(a, b, closure);
    }

    private Closure closure(StrokeEnd a, StrokeEnd b, Opening.Kind kind, List<Point> line) {
        OptionalDouble paper = Crossing.paperPx(page, line);
        if (paper.isEmpty()) {
            return null;
        }
        Point way = b.tip().minus(a.tip()).unit();
        double alignment = (a.direction().dot(way) - b.direction().dot(way)) / 2;
        double length = paper.getAsDouble() / page.strokePx();
        double promise = kind == Opening.Kind.BASE ? 0.2 - 0.06 * length : 2 - 0.10 * length - 2.2 * (1 - alignment);
        boolean mark = a.isolated() || b.isolated();
        return new Closure(kind, line, paper.getAsDouble(), List.of(a, b), alignment, 1, promise - (mark ? 0.4 : 0));
    }

    /** A cubic that leaves both ends the way they point. */
    private static List<Point> curve(StrokeEnd a, StrokeEnd b) {
        double handle = 0.38 * a.tip().distanceTo(b.tip());
        Point c = a.tip().plus(a.direction().times(handle));
        Point d = b.tip().plus(b.direction().times(handle));
        List<Point> line = new ArrayList<>();
        line.add(a.root());
        for (int i = 0; i <= CURVE_POINTS; i++) {
            double t = i / (double) CURVE_POINTS;
            double u = 1 - t;
            line.add(a.tip()
                    .times(u * u * u)
                    .plus(c.times(3 * u * u * t))
                    .plus(d.times(3 * u * t * t))
                    .plus(b.tip().times(t * t * t)));
        }
        line.add(b.root());
        return line;
    }
}
