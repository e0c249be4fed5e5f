package stillpond.core.shape;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.IntUnaryOperator;
import java.util.stream.IntStream;
import stillpond.core.cell.CellPlane;

/** The faces of a page with smooth edges. Each edge is smoothed once and belongs to both its faces, so between them lies neither a gap nor an overlap. */
public final class SmoothMap {

    /** A curve is drawn straight if its handles are nearer than this to the straight line. */
    private static final double STRAIGHT_PX = 0.05;

    private final List<PlanarMap.Edge> edges;
    private final List<List<Cubic>> curves;
    private final Map<Integer, List<Step>> stepsByFace = new HashMap<>();

    private SmoothMap(List<PlanarMap.Edge> edges, List<List<Cubic>> curves) {
        this.edges = edges;
        this.curves = curves;
        for (int i = 0; i < edges.size(); i++) {
            add(edges.get(i).right(), new Step(i, true));
            add(edges.get(i).left(), new Step(i, false));
        }
    }

    /** An edge as a face has it: on the right hand of who walks along it, forward or back. */
    private record Step(int edge, boolean isForward) {}

    /**
     * @param faceOfCell the face that a cell belongs to, 0 or more
     * @param tolerancePx how far curves may be from the middles of the sides of pixels
     */
    public static SmoothMap of(CellPlane plane, IntUnaryOperator faceOfCell, double tolerancePx) {
        return smooth(PlanarMap.edges(plane, faceOfCell), tolerancePx);
    }

    /** @param edges of one {@link PlanarMap} */
    public static SmoothMap smooth(List<PlanarMap.Edge> edges, double tolerancePx) {
        List<List<Cubic>> curves = IntStream.range(0, edges.size())
                .parallel()
                .mapToObj(i -> smoothed(edges.get(i), tolerancePx))
                .toList();
        return new SmoothMap(edges, curves);
    }

    private void add(int face, Step step) {
        if (face != PlanarMap.OUTSIDE) {
            stepsByFace.computeIfAbsent(face, any -> new ArrayList<>()).add(step);
        }
    }

    /** How many curves and straight lines there are in all. */
    public int nodes() {
        return curves.stream().mapToInt(List::size).sum();
    }

    /** The closed lines around a face, and around the holes in it; none if there is no such face. They run clockwise on the page around it and the other way around its holes. */
    public List<List<Cubic>> around(int face) {
        List<Step> open = new ArrayList<>(stepsByFace.getOrDefault(face, List.of()));
        Map<Long, List<Step>> byStart = new HashMap<>();
        open.forEach(step ->
                byStart.computeIfAbsent(start(step), any -> new ArrayList<>()).add(step));
        List<List<Cubic>> around = new ArrayList<>();
        for (Step first : open) {
            if (byStart.getOrDefault(start(first), List.of()).contains(first)) {
                around.add(loop(first, byStart));
            }
        }
        return around;
    }

    private List<Cubic> loop(Step first, Map<Long, List<Step>> byStart) {
        List<Cubic> loop = new ArrayList<>();
        Step step = first;
        do {
            byStart.get(start(step)).remove(step);
            append(loop, step);
            step = next(step, byStart.getOrDefault(end(step), List.of()));
        } while (step != null);
        return loop;
    }

    private void append(List<Cubic> loop, Step step) {
        List<Cubic> along = curves.get(step.edge());
        for (int i = 0; i < along.size(); i++) {
            loop.add(
                    step.isForward()
                            ? along.get(i)
                            : along.get(along.size() - 1 - i).reversed());
        }
    }

    /** Keeps close to the face, so that parts of it that touch at a corner alone stay apart. */
    private Step next(Step step, List<Step> candidates) {
        int heading = heading(step, true);
        for (int turn : new int[] {1, 0, 3}) {
            for (Step each : candidates) {
                if (heading(each, false) == (heading + turn) % 4) {
                    return each;
                }
            }
        }
        return null;
    }

    /** 0 right, 1 down, 2 left, 3 up. @param atEnd or else at its start */
    private int heading(Step step, boolean atEnd) {
        int[] line = edges.get(step.edge()).line();
        boolean isTail = atEnd == step.isForward();
        int from = isTail ? line.length - 4 : 0;
        int dx = line[from + 2] - line[from];
        int dy = line[from + 3] - line[from + 1];
        int heading = dx != 0 ? (dx > 0 ? 0 : 2) : dy > 0 ? 1 : 3;
        return step.isForward() ? heading : (heading + 2) % 4;
    }

    private long start(Step step) {
        PlanarMap.Edge edge = edges.get(step.edge());
        return step.isForward() ? place(edge.startX(), edge.startY()) : place(edge.endX(), edge.endY());
    }

    private long end(Step step) {
        return start(new Step(step.edge(), !step.isForward()));
    }

    private static long place(int x, int y) {
        return (long) y << 32 | x;
    }

    private static List<Cubic> smoothed(PlanarMap.Edge edge, double tolerancePx) {
        if (edge.isSideOfPage()) {
            return List.of(Cubic.straight(edge.startX(), edge.startY(), edge.endX(), edge.endY()));
        }
        return straightened(BorderLine.of(edge).fitted(tolerancePx));
    }

    private static List<Cubic> straightened(List<Cubic> curves) {
        return curves.stream()
                .map(each -> each.isStraight(STRAIGHT_PX)
                        ? Cubic.straight(each.x0(), each.y0(), each.x3(), each.y3())
                        : each)
                .toList();
    }
}
