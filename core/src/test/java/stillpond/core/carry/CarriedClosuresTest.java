package stillpond.core.carry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.entry;
import static stillpond.core.gap.DamState.INKED;
import static stillpond.core.gap.DamState.OPEN;
import static stillpond.core.gap.DamState.SHUT;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import stillpond.core.cell.Box;
import stillpond.core.cell.Cell;
import stillpond.core.cell.CellMap;
import stillpond.core.cell.CellPlane;
import stillpond.core.gap.DamState;
import stillpond.core.gap.Dams;
import stillpond.core.gap.Opening;
import stillpond.core.gap.Openings;
import stillpond.core.gap.Point;
import stillpond.core.gap.Regions;

class CarriedClosuresTest {

    /** Half as large again, and moved. */
    private static final Pose POSE = new Pose(1.5, 0, 10, 20, false);

    private static final Dams NOTHING = Dams.at(0.5);

    private final List<Opening> here = List.of(gap(0, 1, 40, 30, 6), gap(1, 2, 100, 30, 20));
    /** The like of the first, that of the second but far too narrow, and one that is nobody's. */
    private final List<Opening> there = List.of(gap(0, 1, 70, 65, 9), gap(1, 2, 160, 65, 2), gap(0, 2, 300, 300, 9));

    private static Opening gap(int first, int second, double x, double y, double width) {
        List<Point> line = List.of(new Point(x - width / 2, y), new Point(x + width / 2, y));
        return new Opening(first, second, Opening.Kind.ENDS, line, width, width / 4, 0.4);
    }

    private static Carry.Proposal like(int from, double share) {
        return new Carry.Proposal(0, List.of(new Carry.Choice(1, 0, from, share, 0.8, POSE)));
    }

    private Map<Integer, DamState> carry(Dams said, Dams saidThere, Carry.Proposal... likes) {
        return carry(here, said, saidThere, likes).states();
    }

    private CarriedClosures.Closures carry(List<Opening> from, Dams said, Dams saidThere, Carry.Proposal... likes) {
        Regions regions = Regions.of(List.of(), 3, Dams.at(0));
        return new CarriedClosures(openings(from), said, regions, 0).onto(List.of(likes), openings(there), saidThere);
    }

    private static Openings openings(List<Opening> all) {
        int[] numbers = {0, 1, 2};
        List<Cell> cells = IntStream.of(numbers)
                .mapToObj(number -> new Cell(number, 1, new Box(number, 0, number + 1, 1), number, 0, 1))
                .toList();
        return new Openings(new CellMap(new CellPlane(3, 1, numbers), cells, List.of()), all, 4, 0.5, false);
    }

    @Test
    void whatWasSaidOfAGapIsSaidOfTheOneAtItsPlaceInThePose() {
        assertThat(carry(NOTHING.shutting(Set.of(0)), NOTHING, like(0, 0.99))).containsExactly(entry(0, SHUT));
        assertThat(carry(NOTHING.inking(Set.of(0)), NOTHING, like(1, 0.99))).containsExactly(entry(0, INKED));
        assertThat(carry(NOTHING.opening(Set.of(0)), NOTHING, like(1, 0.99))).containsExactly(entry(0, OPEN));
    }

    @Test
    void aGapOfQuiteAnotherWidthIsAnother() {
        assertThat(carry(NOTHING.shutting(Set.of(1)), NOTHING, like(1, 0.99))).isEmpty();
    }

    @Test
    void withoutASureLikeNothingIsSaid() {
        assertThat(carry(NOTHING.shutting(Set.of(0)), NOTHING, like(0, 0.6))).isEmpty();
        assertThat(carry(NOTHING.shutting(Set.of(0)), NOTHING)).isEmpty();
    }

    @Test
    void theNearestSureLikeSaysThePose() {
        Carry.Proposal elsewhere =
                new Carry.Proposal(0, List.of(new Carry.Choice(1, 0, 0, 0.99, 0.8, new Pose(1, 0, 500, 500, false))));
        assertThat(carry(NOTHING.shutting(Set.of(0)), NOTHING, elsewhere, like(2, 0.99)))
                .as("the third cell is nearest to a gap on its right")
                .containsExactly(entry(0, SHUT));
        assertThat(carry(NOTHING.shutting(Set.of(0)), NOTHING, elsewhere)).isEmpty();
    }

    @Test
    void whatSomebodySaidThereStands() {
        assertThat(carry(NOTHING.shutting(Set.of(0)), NOTHING.opening(Set.of(0)), like(0, 0.99)))
                .isEmpty();
    }

    private static Opening byHand(double strength, Point... line) {
        return new Opening(0, 1, Opening.Kind.HAND, List.of(line), 12, 3, strength);
    }

    @Test
    void aDamDrawnByHandIsDrawnInThePose() {
        Opening dam = byHand(1, new Point(100, 100), new Point(106, 100), new Point(110, 104));
        CarriedClosures.Closures carried =
                carry(List.of(dam, dam), NOTHING.shutting(Set.of(0, 1)), NOTHING, like(0, 0.99));
        assertThat(carried.states()).isEmpty();
        assertThat(carried.lines())
                .as("once, though it parts two pairs of cells")
                .containsExactly(List.of(new Point(160, 170), new Point(169, 170), new Point(175, 176)));
        assertThat(carry(List.of(dam), NOTHING.shutting(Set.of(0)), NOTHING, like(0, 0.6))
                        .lines())
                .as("nothing is sure")
                .isEmpty();
    }

    @Test
    void aGapAtThePlaceOfADamDrawnByHandIsDammed() {
        Opening dam = byHand(1, new Point(37, 30), new Point(43, 30));
        CarriedClosures.Closures carried = carry(List.of(dam), NOTHING.shutting(Set.of(0)), NOTHING, like(0, 0.99));
        assertThat(carried.states()).containsExactly(entry(0, SHUT));
        assertThat(carried.lines()).isEmpty();
    }

    @Test
    void aDamThatWasLiftedAndRegionsThatWereJoinedDoNotComeAlong() {
        Point from = new Point(100, 100);
        Point to = new Point(112, 100);
        assertThat(carry(List.of(byHand(1, from, to)), NOTHING.opening(Set.of(0)), NOTHING, like(0, 0.99))
                        .isNone())
                .isTrue();
        assertThat(carry(List.of(byHand(0, from, to)), NOTHING.shutting(Set.of(0)), NOTHING, like(0, 0.99))
                        .isNone())
                .isTrue();
    }

    @Test
    void dammingByReachAloneIsNothingThatWasSaid() {
        Regions regions = Regions.of(List.of(), 3, NOTHING);
        assertThat(CarriedClosures.of(openings(here), Dams.at(0.1), regions, 0)).isEmpty();
    }
}
