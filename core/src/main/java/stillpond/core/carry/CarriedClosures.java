package stillpond.core.carry;

import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
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
 * Brings what somebody has said about gaps over to the gaps at the same place of another drawing, in the pose in which the nearest region was found there. Dams drawn by hand do not come along: they part cells that the
 * other drawing has not.
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
        boolean isSaid = !said.shut().isEmpty() || !said.open().isEmpty();
        return isSaid ? Optional.of(new CarriedClosures(openings, said, regions, source)) : Optional.empty();
    }

    /**
     * @param proposals for the other drawing; only what is sure counts
     * @param there the gaps of the other drawing
     * @param saidThere what somebody has said about those, which stands
     * @return what is to be said there, by the index of the gap
     */
    public Map<Integer, DamState> onto(Collection<Carry.Proposal> proposals, Openings there, Dams saidThere) {
        Map<Integer, Pose> poses = poses(proposals);
        Map<Integer, DamState> states = new TreeMap<>();
        Stream.concat(said.shut().stream(), said.open().stream())
                .sorted()
                .filter(index -> openings.openings().get(index).kind() != Opening.Kind.HAND)
                .forEach(index -> pose(openings.openings().get(index), poses)
                        .flatMap(pose -> same(openings.openings().get(index), pose, there))
                        .filter(found -> saidThere.of(found) == DamState.BY_REACH)
                        .ifPresent(found -> states.putIfAbsent(found, said.of(index))));
        return states;
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
        Point middle = opening.middle();
        Point place = new Point(pose.x(middle.x(), middle.y()), pose.y(middle.x(), middle.y()));
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
