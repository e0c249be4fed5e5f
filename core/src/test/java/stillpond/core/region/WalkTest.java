package stillpond.core.region;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.OptionalInt;
import java.util.Set;
import org.junit.jupiter.api.Test;
import stillpond.core.gap.Dams;

class WalkTest {

    private final Walk walk = new Walk(new Rooms(4, 3).at(Dams.at(1)));

    @Test
    void anArrowLeadsToTheNextRegionThatWay() {
        assertThat(walk.towards(5, Direction.RIGHT)).isEqualTo(6);
        assertThat(walk.towards(5, Direction.LEFT)).isEqualTo(4);
        assertThat(walk.towards(5, Direction.UP)).isEqualTo(1);
        assertThat(walk.towards(5, Direction.DOWN)).isEqualTo(9);
    }

    @Test
    void atTheEndOfTheSheetOneStays() {
        assertThat(walk.towards(3, Direction.RIGHT)).isEqualTo(3);
        assertThat(walk.towards(0, Direction.UP)).isZero();
    }

    @Test
    void whereNothingLiesThatWayTheRegionAroundIsNext() {
        // Rooms 0, 1, 2, 3 and 7 are one region whose deepest place lies above; seen from 6 it alone reaches further
        // right.
        Rooms rooms = new Rooms(4, 2)
                .open(0, 1, 1, 0.1)
                .open(1, 2, 1, 0.1)
                .open(2, 3, 1, 0.1)
                .open(3, 7, 1, 0.1);
        RegionMap map = rooms.at(Dams.at(1));

        assertThat(new Walk(map).towards(map.with(6).number(), Direction.RIGHT))
                .isEqualTo(map.with(0).number());
    }

    @Test
    void emptyRegionsAreGoneThroughAsOneReadsAndRoundToTheStart() {
        Set<Integer> empty = Set.of(1, 6, 8);

        assertThat(walk.nextEmpty(OptionalInt.empty(), empty::contains)).hasValue(1);
        assertThat(walk.nextEmpty(OptionalInt.of(1), empty::contains)).hasValue(6);
        assertThat(walk.nextEmpty(OptionalInt.of(6), empty::contains)).hasValue(8);
        assertThat(walk.nextEmpty(OptionalInt.of(8), empty::contains)).hasValue(1);
        assertThat(walk.nextEmpty(OptionalInt.of(8), cell -> cell == 8))
                .as("there is no other")
                .isEmpty();
    }
}
