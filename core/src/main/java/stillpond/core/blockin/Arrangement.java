package stillpond.core.blockin;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import stillpond.core.gap.Point;
import stillpond.core.shape.Cubic;
import stillpond.core.shape.Length;

/**
 * Curves cut at all places where they meet, as a planar graph: each piece once, between two places, however many of the curves run along it.
 *
 * <p>Each curve belongs to a <em>source</em>: a border of a shape, or a line. Pieces of curves that lie on each other become one.
 */
final class Arrangement {

    /** Which of two sides of a piece is asked for is told by a place so far from its middle. */
    private static final double ASIDE_PX = 0.01;
    /** Curves between the same two places are the same if their middles are nearer than this. */
    private static final double ALONGSIDE_PX = 0.25;

    private final Vertices vertices = new Vertices();
    private final List<Piece> pieces = new ArrayList<>();
    private final List<List<Run>> runs = new ArrayList<>();

    /** A curve between two places. @param line from its start to its end, as straight pieces */
    record Piece(int from, int to, Cubic curve, List<Point> line) {}

    /** A piece as it is walked along. */
    record Run(int piece, boolean isForward) {
        Run back() {
            return new Run(piece, !isForward);
        }
    }

    private Arrangement() {}

    /** @param sources curves, each beginning where the one before ends; see {@link #runs} */
    static Arrangement of(List<List<Cubic>> sources) {
        Arrangement arrangement = new Arrangement();
        List<Cut> cuts = new ArrayList<>();
        // Ends first: where curves meet in the middle is named after an end nearby.
        for (int source = 0; source < sources.size(); source++) {
            for (Cubic curve : sources.get(source)) {
                int from = arrangement.vertices.at(curve.x0(), curve.y0());
                int to = arrangement.vertices.at(curve.x3(), curve.y3());
                cuts.add(new Cut(source, curve, from, to));
            }
        }
        arrangement.meet(cuts);
        sources.forEach(each -> arrangement.runs.add(new ArrayList<>()));
        Map<Long, List<Integer>> known = new HashMap<>();
        cuts.forEach(cut -> arrangement.addPieces(cut, known));
        return arrangement;
    }

    /** A curve, and where it is to be cut. */
    private static final class Cut {
        private final int source;
        private final Cubic curve;
        private final int from;
        private final int to;
        private final List<Point> line;
        private final double left;
        private final double top;
        private final double right;
        private final double bottom;
        private final TreeMap<Double, Integer> at = new TreeMap<>();

        Cut(int source, Cubic curve, int from, int to) {
            this.source = source;
            this.curve = curve;
            this.from = from;
            this.to = to;
            this.line = new ArrayList<>(Flat.of(curve));
            line.add(new Point(curve.x3(), curve.y3()));
            left = line.stream().mapToDouble(Point::x).min().orElseThrow() - Vertices.SAME_PX;
            top = line.stream().mapToDouble(Point::y).min().orElseThrow() - Vertices.SAME_PX;
            right = line.stream().mapToDouble(Point::x).max().orElseThrow() + Vertices.SAME_PX;
            bottom = line.stream().mapToDouble(Point::y).max().orElseThrow() + Vertices.SAME_PX;
        }

        boolean isNear(Cut other) {
            return left <= other.right && other.left <= right && top <= other.bottom && other.top <= bottom;
        }

        double share(int step, double along) {
            return (step + along) / (line.size() - 1);
        }

        void cutAt(double share, int vertex) {
            if (vertex != from && vertex != to && !at.containsValue(vertex)) {
                at.put(share, vertex);
            }
        }
    }

    private void meet(List<Cut> cuts) {
        for (int i = 0; i < cuts.size(); i++) {
            for (int k = i + 1; k < cuts.size(); k++) {
                if (cuts.get(i).isNear(cuts.get(k))) {
                    touch(cuts.get(i), cuts.get(k));
                    touch(cuts.get(k), cuts.get(i));
                    cross(cuts.get(i), cuts.get(k));
                }
            }
        }
    }

    /** Cuts one curve where another begins or ends on it. */
    private void touch(Cut cut, Cut other) {
        for (int vertex : new int[] {other.from, other.to}) {
            Point end = vertices.get(vertex);
            for (int step = 0; step + 1 < cut.line.size(); step++) {
                Point a = cut.line.get(step);
                Point b = cut.line.get(step + 1);
                double dx = b.x() - a.x();
                double dy = b.y() - a.y();
                double square = dx * dx + dy * dy;
                double along = square == 0 ? 0 : ((end.x() - a.x()) * dx + (end.y() - a.y()) * dy) / square;
                double share = Math.max(0, Math.min(1, along));
                if (Length.of(a.x() + share * dx - end.x(), a.y() + share * dy - end.y()) < Vertices.SAME_PX) {
                    cut.cutAt(cut.share(step, share), vertex);
                    break;
                }
            }
        }
    }

    private void cross(Cut first, Cut second) {
        for (int i = 0; i + 1 < first.line.size(); i++) {
            Point a = first.line.get(i);
            Point b = first.line.get(i + 1);
            for (int k = 0; k + 1 < second.line.size(); k++) {
                Point c = second.line.get(k);
                Point d = second.line.get(k + 1);
                double across = (b.x() - a.x()) * (d.y() - c.y()) - (b.y() - a.y()) * (d.x() - c.x());
                double onFirst = ((c.x() - a.x()) * (d.y() - c.y()) - (c.y() - a.y()) * (d.x() - c.x())) / across;
                double onSecond = ((c.x() - a.x()) * (b.y() - a.y()) - (c.y() - a.y()) * (b.x() - a.x())) / across;
                if (across != 0 && onFirst >= 0 && onFirst <= 1 && onSecond >= 0 && onSecond <= 1) {
                    int vertex = vertices.at(a.x() + onFirst * (b.x() - a.x()), a.y() + onFirst * (b.y() - a.y()));
                    first.cutAt(first.share(i, onFirst), vertex);
                    second.cutAt(second.share(k, onSecond), vertex);
                }
            }
        }
    }

    private void addPieces(Cut cut, Map<Long, List<Integer>> known) {
        Cubic rest = cut.curve;
        double done = 0;
        int from = cut.from;
        for (Map.Entry<Double, Integer> at : cut.at.entrySet()) {
            Cubic.Halves halves = rest.at((at.getKey() - done) / (1 - done));
            add(cut.source, halves.first(), from, at.getValue(), known);
            rest = halves.second();
            done = at.getKey();
            from = at.getValue();
        }
        add(cut.source, rest, from, cut.to, known);
    }

    private void add(int source, Cubic curve, int from, int to, Map<Long, List<Integer>> known) {
        Point start = vertices.get(from);
        Point end = vertices.get(to);
        Cubic placed = rounded(curve, start, end);
        List<Point> line = new ArrayList<>(Flat.of(placed));
        line.add(end);
        if (from == to && length(line) < 1) {
            return;
        }
        Point middle = middle(line);
        List<Integer> alike =
                known.computeIfAbsent((long) Math.min(from, to) << 32 | Math.max(from, to), any -> new ArrayList<>());
        for (int each : alike) {
            Point other = middle(pieces.get(each).line());
            if (Length.of(middle.x() - other.x(), middle.y() - other.y()) < ALONGSIDE_PX) {
                boolean isForward = pieces.get(each).from() == from
                        && (from != to
                                || Flat.doubleArea(line) > 0
                                        == Flat.doubleArea(pieces.get(each).line()) > 0);
                runs.get(source).add(new Run(each, isForward));
                return;
            }
        }
        alike.add(pieces.size());
        runs.get(source).add(new Run(pieces.size(), true));
        pieces.add(new Piece(from, to, placed, line));
    }

    /** As it is kept: ends and handles to a tenth. */
    private static Cubic rounded(Cubic curve, Point start, Point end) {
        if (curve.isStraight(0.08)) {
            return Cubic.straight(start.x(), start.y(), end.x(), end.y());
        }
        return new Cubic(
                start.x(),
                start.y(),
                start.x() + Vertices.tenths(curve.x1() - start.x()),
                start.y() + Vertices.tenths(curve.y1() - start.y()),
                end.x() + Vertices.tenths(curve.x2() - end.x()),
                end.y() + Vertices.tenths(curve.y2() - end.y()),
                end.x(),
                end.y());
    }

    private static double length(List<Point> line) {
        double length = 0;
        for (int i = 1; i < line.size(); i++) {
            length += Length.of(
                    line.get(i).x() - line.get(i - 1).x(),
                    line.get(i).y() - line.get(i - 1).y());
        }
        return length;
    }

    /** Half-way along a line. */
    private static Point middle(List<Point> line) {
        double left = length(line) / 2;
        for (int i = 1; i < line.size(); i++) {
            Point a = line.get(i - 1);
            Point b = line.get(i);
            double step = Length.of(b.x() - a.x(), b.y() - a.y());
            if (step >= left && step > 0) {
                return new Point(a.x() + (b.x() - a.x()) * left / step, a.y() + (b.y() - a.y()) * left / step);
            }
            left -= step;
        }
        return line.get(0);
    }

    int count() {
        return pieces.size();
    }

    /** The pieces of a source, in its order. */
    List<Run> runs(int source) {
        return runs.get(source);
    }

    int from(Run run) {
        return run.isForward()
                ? pieces.get(run.piece()).from()
                : pieces.get(run.piece()).to();
    }

    int to(Run run) {
        return from(run.back());
    }

    Point place(int vertex) {
        return vertices.get(vertex);
    }

    Cubic curve(Run run) {
        Cubic curve = pieces.get(run.piece()).curve();
        return run.isForward() ? curve : curve.reversed();
    }

    List<Point> line(Run run) {
        List<Point> line = new ArrayList<>(pieces.get(run.piece()).line());
        if (!run.isForward()) {
            Collections.reverse(line);
        }
        return line;
    }

    List<Point> polygon(List<Run> loop) {
        List<Point> polygon = new ArrayList<>();
        for (Run run : loop) {
            List<Point> line = line(run);
            polygon.addAll(line.subList(0, line.size() - 1));
        }
        return polygon;
    }

    /** A place just to the right of a piece as one walks along it on the page, half-way. */
    Point besideRight(Run run) {
        List<Point> line = line(run);
        int i = line.size() / 2;
        Point a = line.get(i - 1);
        Point b = line.get(i);
        double length = Length.of(b.x() - a.x(), b.y() - a.y());
        return new Point(
                (a.x() + b.x()) / 2 - (b.y() - a.y()) / length * ASIDE_PX,
                (a.y() + b.y()) / 2 + (b.x() - a.x()) / length * ASIDE_PX);
    }

    /**
     * Walks around all faces that lie to the right of some pieces.
     *
     * @param kept each with the face on its right hand
     * @return closed walks; around a face clockwise as one sees it, around a hole in it the other way
     */
    List<List<Run>> loops(List<Run> kept) {
        Map<Integer, List<Run>> leaving = new HashMap<>();
        kept.forEach(run ->
                leaving.computeIfAbsent(from(run), any -> new ArrayList<>()).add(run));
        BitSet walked = new BitSet(2 * pieces.size());
        List<List<Run>> loops = new ArrayList<>();
        for (Run first : kept) {
            if (walked.get(place(first))) {
                continue;
            }
            List<Run> loop = new ArrayList<>();
            Run run = first;
            while (run != null && !walked.get(place(run))) {
                walked.set(place(run));
                loop.add(run);
                run = next(run, leaving.getOrDefault(to(run), List.of()), walked, first);
            }
            if (run == first && to(loop.get(loop.size() - 1)) == from(first)) {
                loops.add(loop);
            }
        }
        return loops;
    }

    private static int place(Run run) {
        return 2 * run.piece() + (run.isForward() ? 1 : 0);
    }

    /** The way that turns to the right as far as it can be. */
    private Run next(Run run, List<Run> candidates, BitSet walked, Run first) {
        double back = heading(run.back());
        return candidates.stream()
                .filter(each -> each == first || each.equals(first) || !walked.get(place(each)))
                .min(Comparator.comparingDouble(
                        each -> each.equals(run.back()) ? 4 * Math.PI : turned(back, heading(each))))
                .map(each -> each.equals(first) ? first : each)
                .orElse(null);
    }

    /** From where one came counter-clockwise as one sees it, 0 excluded. */
    private static double turned(double back, double heading) {
        double turn = back - heading;
        while (turn <= 1e-9) {
            turn += 2 * Math.PI;
        }
        return turn;
    }

    /** The direction in which a piece leaves its start: of its first pixel, since curves that touch have the same at the very start. */
    private double heading(Run run) {
        List<Point> line = line(run);
        Point from = line.get(0);
        for (Point each : line) {
            if (Length.of(each.x() - from.x(), each.y() - from.y()) >= 1) {
                return Math.atan2(each.y() - from.y(), each.x() - from.x());
            }
        }
        Point last = line.get(line.size() - 1);
        return Math.atan2(last.y() - from.y(), last.x() - from.x());
    }
}
