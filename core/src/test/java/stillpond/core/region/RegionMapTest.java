package stillpond.core.region;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import stillpond.core.cell.Box;
import stillpond.core.gap.Dams;

class RegionMapTest {

    private final Rooms rooms =
            new Rooms(3, 2).withArea(1, 140).open(0, 1, 4, 0.2).open(1, 4, 4, 0.9);

    @Test
    void aRegionIsTheShapeOfAllItsCells() {
        Region region = rooms.at(Dams.at(0.5)).with(1);

        assertThat(region.cells()).containsExactly(0, 1);
        assertThat(region.areaPx()).isEqualTo(240);
        assertThat(region.box()).isEqualTo(new Box(0, 0, 20, 10));
        assertThat(region.deepest().number()).isEqualTo(1);
    }

    @Test
    void whatLiesBesideARegionIsCountedOnceAndNotItself() {
        RegionMap map = rooms.at(Dams.at(0.5));

        assertThat(map.neighbours(map.with(0)))
                .containsExactly(
                        map.with(2).number(), map.with(3).number(), map.with(4).number());
    }

    @Test
    void onlyWhatTouchesTheEdgeReachesIt() {
        RegionMap map = new Rooms(3, 3).at(Dams.at(1));

        assertThat(map.all().stream().filter(region -> !map.reachesEdge(region)))
                .extracting(Region::number)
                .containsExactly(4);
    }
}
