package stillpond.core.region;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import stillpond.core.gap.Dams;

class PocketsTest {

    private static final int COAT = 1;
    private static final int SEA = 2;

    /** Nine rooms, the one in the middle small and empty. */
    private final Rooms rooms = new Rooms(3, 3).withArea(4, 40);

    private final int[] worn = IntStream.range(0, 9)
            .map(cell -> cell == 4 ? Pockets.NOTHING : COAT)
            .toArray();

    @Test
    void aSmallEmptyRegionInsideAFillIsAPocket() {
        assertThat(pockets()).containsExactly(4);
    }

    @Test
    void whatIsLargeBesideTheFillAroundItIsNone() {
        rooms.withArea(4, 60);
        assertThat(pockets()).as("more than 12 % of four rooms").isEmpty();
    }

    @Test
    void behindAGapItMayBeLargerThanWhereInkClosesIt() {
        IntStream.range(0, 9).filter(cell -> cell != 4).forEach(cell -> rooms.withArea(cell, 2000));
        rooms.withArea(4, 400);
        assertThat(pockets()).as("100 square strokes, closed").isEmpty();
        rooms.open(3, 4, 3, 0.9);
        assertThat(pockets()).containsExactly(4);
    }

    @Test
    void whatBordersOtherFillsAsMuchIsNone() {
        worn[1] = SEA;
        worn[7] = SEA;
        assertThat(pockets()).isEmpty();
    }

    private int[] pockets() {
        RegionMap map = rooms.at(Dams.at(0.5));
        Pockets pockets = new Pockets(map, rooms.openings().all(), Rooms.STROKE_PX, worn);
        return pockets.beside(new int[] {3}).stream().mapToInt(Region::number).toArray();
    }
}
