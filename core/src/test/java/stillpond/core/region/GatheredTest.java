package stillpond.core.region;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import stillpond.core.gap.Dams;
import stillpond.core.gap.Point;

class GatheredTest {

    @Test
    void alikeIsWhatIsAboutAsLargeAndAsLong() {
        Rooms rooms = new Rooms(5, 1).withArea(1, 130).withArea(2, 140).open(3, 4, 3, 0.1);
        RegionMap map = rooms.at(Dams.at(0.5));

        assertThat(Gathered.alike(map, new int[] {0}))
                .as("neither one that is larger by more than a third, nor one that is twice as long")
                .containsExactly(0, 1);
    }

    @Test
    void whatMostPlacesLieInIsMeantAndSomethingFilledRatherThanPaper() {
        RegionMap map = new Rooms(4, 1).open(1, 2, 3, 0.1).at(Dams.at(0.5));
        int[] places = {0, 0, 0, 1, 2, 3};
        assertThat(Gathered.mostOf(map, places, cell -> false)).containsExactly(0);
        assertThat(Gathered.mostOf(map, places, cell -> cell > 0)).containsExactly(1, 2);
        assertThat(Gathered.mostOf(map, places, cell -> cell == 3)).containsExactly(3);
        assertThat(Gathered.mostOf(map, new int[0], cell -> true)).isEmpty();
    }

    @Test
    void aWayDrawnTakesWhatLiesDeepestInsideIt() {
        RegionMap map = new Rooms(3, 3).at(Dams.at(1));
        // Around the left column, with a dent that leaves its middle room out.
        List<Point> way =
                List.of(new Point(-1, -1), new Point(11, -1), new Point(2, 15), new Point(11, 31), new Point(-1, 31));

        assertThat(Gathered.inside(map, way)).containsExactly(0, 6);
    }
}
