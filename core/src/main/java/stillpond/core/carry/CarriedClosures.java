package stillpond.core.carry;

import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import stillpond.core.cell.Box;
import stillpond.core.gap.DamState;
import stillpond.core.gap.Dams;
import stillpond.core.gap.Opening;
import stillpond.core.gap.Openings;
import stillpond.core.gap.Point;
import stillpond.core.gap.Regions;

/**
 * Brings what somebody has said about gaps, and the dams that somebody drew by hand, over to the same places of another drawing, in the pose in which the nearest region was found there. Where the
 * other drawing has a gap, that is dammed in place of drawing anything.
 *
 * @param openings of the drawing that they come from
 * @param said about those
 * @param regions of that drawing
 * @param source its number among the sources of the proposals
 */
public record CarriedClosures(Openings openings, Dams said, Regions regions, int source) {

    /** Gaps whose middles lie within so many stroke widths, or within half the width of one, are the same. */
    private static final double SAME_PLACE = 2;
    /** A gap may be so many times as wide as it would be. */
    private static final double SAME_WIDTH = 2;

    /** @return empty if nothing was said about any */
    public static Optional<CarriedClosures> of(Openings openings, Dams said, Regions regions, int source) {
        boolean isAnythingSaid = !said.shut().isEmpty() || !said.open().isEmpty();
        return isAnythingSaid ? Optional.of(new CarriedClosures(openings, said, regions, source)) : Optional.empty();
    }

    /**
     * What is to be done on the other drawing.
     *
     * @param states what is to be said about its gaps, by their indices
     * @param lines dams to draw on it, in pixels of its page
     */
    public record Closures(Map<Integer, DamState> states, List<List<Point>> lines) {

        public static final Closures NONE = new Closures(Map.of(), List.of());

        public boolean isNone() {
            return states.isEmpty() && lines.isEmpty();
        }

        /** Where both speak of a gap, these count. */
        public Closures and(Closures others) {
            Map<Integer, DamState> all = new TreeMap<>(others.states);
            all.putAll(states);
            return new Closures(
                    all, Stream.concat(lines.stream(), others.lines.stream()).toList());
        }
    }

    /**
     * @param proposals for the other drawing; only what is sure counts
     * @param there the gaps of the other drawing
     * @param saidThere what somebody has said about those, which stands
     */
    public Closures onto(Collection<Carry.Proposal> proposals, Openings there, Dams saidThere) {
        Map<Integer, Pose> poses = poses(proposals);
        Map<Integer, DamState> states = new TreeMap<>();
        Map<List<Point>, List<Point>> lines = new LinkedHashMap<>();
        Stream.concat(said.shut().stream(), said.open().stream())
                .sorted()
                .filter(index -> !isJoin(openings.openings().get(index)))
                .forEach(index -> {
                    Opening opening = openings.openings().get(index);
                    pose(opening, poses)
                            .ifPresent(pose -> same(opening, pose, there)
                                    .ifPresentOrElse(
                                            found -> say(found, said.of(index), saidThere, states),
                                            () -> draw(opening, pose, said.of(index), lines)));
                });
        return new Closures(states, List.copyOf(lines.values()));
    }

    /** Regions joined by hand are of the fills of one drawing. */
    private static boolean isJoin(Opening opening) {
        return opening.kind() == Opening.Kind.HAND && opening.strength() == 0;
    }

    private static void say(int gap, DamState state, Dams saidThere, Map<Integer, DamState> states) {
        if (saidThere.of(gap) == DamState.BY_REACH) {
            states.putIfAbsent(gap, state);
        }
    }

    private static void draw(Opening opening, Pose pose, DamState state, Map<List<Point>, List<Point>> lines) {
        if (opening.kind() == Opening.Kind.HAND && state != DamState.OPEN) {
            lines.computeIfAbsent(
                    opening.line(),
                    line -> line.stream().map(point -> posed(point, pose)).toList());
        }
    }

    private static Point posed(Point point, Pose pose) {
        return new Point(pose.x(point.x(), point.y()), pose.y(point.x(), point.y()));
    }

    /** The pose in which each region was found, by its number. */
    private Map<Integer, Pose> poses(Collection<Carry.Proposal> proposals) {
        Map<Integer, Pose> poses = new HashMap<>();
        for (Carry.Proposal proposal : proposals) {
            Carry.Choice first = proposal.choices().get(0);
            if (proposal.isSure() && first.source() == source) {
                poses.putIfAbsent(first.from(), first.pose());
            }
        }
        return poses;
    }

    /** That of the region that is nearest to a gap: those beside it may be others there just because nothing was said about it. */
    private Optional<Pose> pose(Opening opening, Map<Integer, Pose> poses) {
        Point middle = opening.middle();
        return openings.cells().cells().stream()
                .filter(cell -> poses.containsKey(regions.of(cell.number())))
                .min(Comparator.comparingDouble(cell -> away(middle, cell.box())))
                .map(cell -> poses.get(regions.of(cell.number())));
    }

    private static double away(Point point, Box box) {
        double x = Math.max(0, Math.max(box.xStart() - point.x(), point.x() - box.xEndExclusive()));
        double y = Math.max(0, Math.max(box.yStart() - point.y(), point.y() - box.yEndExclusive()));
        return Math.hypot(x, y);
    }

    private static Optional<Integer> same(Opening opening, Pose pose, Openings there) {
        Point place = posed(opening.middle(), pose);
        double width = opening.widthPx() * pose.scale();
        double near = Math.max(SAME_PLACE * there.strokePx(), width / 2);
        List<Opening> others = there.openings();
        return IntStream.range(0, others.size())
                .boxed()
                .filter(i -> others.get(i).middle().distanceTo(place) <= near)
                .filter(i -> isAsWide(others.get(i).widthPx(), width, there.strokePx()))
                .min(Comparator.comparingDouble(i -> others.get(i).middle().distanceTo(place)));
    }

    /** A stroke's width more or less is no difference, however narrow they are. */
    private static boolean isAsWide(double width, double expected, double strokePx) {
        return width <= SAME_WIDTH * expected + strokePx && expected <= SAME_WIDTH * width + strokePx;
    }
}
