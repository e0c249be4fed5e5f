package stillpond.core.fill;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import stillpond.core.Grid;
import stillpond.core.cell.CellPlane;
import stillpond.core.ink.Placing;

class MovedFillsTest {

    private static final Fill COAT = Fill.flat(new UUID(1, 1));
    private static final Fill SCARF = Fill.flat(new UUID(1, 2));

    @Test
    void numbersMayChangeAndPlacesCount() {
        CellPlane old = Grid.cells("aabb", "aacc");
        CellPlane fresh = Grid.cells("ccaa", "ccbb");
        MovedFills moved = MovedFills.move(Fills.of(Map.of(0, COAT, 2, SCARF)), old, fresh, Placing.SAME);
        assertThat(moved.fills().of(2)).isEqualTo(COAT);
        assertThat(moved.fills().of(1)).isEqualTo(SCARF);
        assertThat(moved.fills().of(0)).isEqualTo(Fill.NONE);
        assertThat(moved.lost()).isEmpty();
    }

    @Test
    void aSmallFillSwallowedByAnotherIsLost() {
        CellPlane old = Grid.cells("aaaab");
        CellPlane fresh = Grid.cells("aaaaa");
        MovedFills moved = MovedFills.move(Fills.of(Map.of(0, COAT, 1, SCARF)), old, fresh, Placing.SAME);
        assertThat(moved.fills().of(0)).isEqualTo(COAT);
        assertThat(moved.lost()).isEqualTo(List.of(1));
    }

    @Test
    void allPiecesOfACutCellWearItsFill() {
        CellPlane old = Grid.cells("aaaa");
        CellPlane fresh = Grid.cells("abbc");
        MovedFills moved = MovedFills.move(Fills.of(Map.of(0, COAT)), old, fresh, Placing.SAME);
        assertThat(moved.fills().filled()).isEqualTo(Set.of(0, 1, 2));
    }

    @Test
    void aShiftIsFollowed() {
        CellPlane old = Grid.cells("abbbbb");
        CellPlane fresh = Grid.cells("aaabbb");
        MovedFills moved = MovedFills.move(Fills.of(Map.of(0, COAT)), old, fresh, new Placing(1, 1, -2, 0));
        assertThat(moved.fills().filled()).isEqualTo(Set.of(0));
    }
}
