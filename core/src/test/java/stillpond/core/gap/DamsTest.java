package stillpond.core.gap;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import org.junit.jupiter.api.Test;
import stillpond.core.cell.Box;
import stillpond.core.cell.Cell;
import stillpond.core.cell.CellMap;
import stillpond.core.cell.CellPlane;

/** Five rooms in a row, 0 to 4, and a back door from 0 to 4. */
class DamsTest {

    private final Openings rooms = rooms(
            opening(0, 1, 4, 0.9),
            opening(1, 2, 9, 0.2),
            opening(2, 3, 6, 0.6),
            opening(3, 4, 8, 0.1),
            opening(0, 4, 2, 0.95));

    private final OpeningList listed = new OpeningList(rooms.openings(), rooms.strokePx());

    @Test
    void reachDecidesUnlessSomebodyHas() {
        assertThat(regions(Dams.at(0.5))).containsExactly(0, 1, 1, 2, 2);
        assertThat(regions(Dams.at(0.5).opening(Set.of(2)))).containsExactly(0, 1, 1, 1, 1);
        assertThat(regions(Dams.at(0.5).shutting(Set.of(1)))).containsExactly(0, 1, 2, 3, 3);
        assertThat(regions(Dams.at(0))).containsExactly(0, 1, 2, 3, 4);
        assertThat(regions(Dams.at(1))).containsExactly(0, 0, 0, 0, 0);
    }

    @Test
    void aStepUpTakesInThePieceBehindTheWeakestDam() {
        Regions regions = Regions.of(rooms, Dams.at(0.5));
        assertThat(regions.bigger(1)).containsExactly(2);
        assertThat(regions.bigger(0))
                .as("with what hangs together behind it at that level")
                .containsExactly(0, 2, 4);
        assertThat(Regions.of(rooms, Dams.at(1)).bigger(0)).isEmpty();
    }

    @Test
    void aStepDownLeavesOutWhatHangsOnTheStrongestOpening() {
        Regions regions = Regions.of(rooms, Dams.at(0.8));
        assertThat(regions.smaller(1)).containsExactly(2);
        assertThat(regions.smaller(4)).containsExactly(2);
        assertThat(Regions.of(rooms, Dams.at(0)).smaller(1)).isEmpty();
    }

    @Test
    void aLeakTakesTheWidestWay() {
        assertThat(LeakTrace.between(listed, 5, Dams.at(1), 0, 4)).containsExactly(0, 1, 2, 3);
        assertThat(LeakTrace.between(listed, 5, Dams.at(1).shutting(Set.of(2)), 0, 4))
                .containsExactly(4);
        assertThat(LeakTrace.between(listed, 5, Dams.at(0.5), 0, 4)).isEmpty();
    }

    @Test
    void changesAreTakenBackUnlessSomebodyHasChangedMoreSince() {
        Dams before = Dams.at(0.5).shutting(Set.of(1));
        DamChange change =
                before.giving(Map.of(1, DamState.OPEN, 2, DamState.SHUT, 3, DamState.BY_REACH), OptionalDouble.of(0.7));
        assertThat(change.swaps()).extracting(DamChange.Swap::opening).containsExactly(1, 2);
        Dams after = before.after(change);
        assertThat(after.of(1)).isEqualTo(DamState.OPEN);
        assertThat(after.reach()).isEqualTo(0.7);
        assertThat(after.after(after.takingBack(change))).isEqualTo(before);
        Dams since = after.opening(Set.of(2));
        Dams back = since.after(since.takingBack(change));
        assertThat(back.of(2)).isEqualTo(DamState.OPEN);
        assertThat(back.of(1)).isEqualTo(DamState.SHUT);
    }

    @Test
    void anInkedDamIsADamUntilItIsOpened() {
        Dams inked = Dams.at(1).inking(Set.of(3));
        assertThat(regions(inked)).containsExactly(0, 0, 0, 0, 0);
        assertThat(regions(inked.shutting(Set.of(4)))).containsExactly(0, 0, 0, 0, 1);
        assertThat(inked.of(3)).isEqualTo(DamState.INKED);
        assertThat(inked.shutting(Set.of(3)).of(3)).isEqualTo(DamState.SHUT);
        assertThat(inked.opening(Set.of(3)).inked()).isEmpty();
    }

    @Test
    void nonsenseIsRefused() {
        assertThatThrownBy(() -> Dams.at(1.1)).hasMessageContaining("1.1");
        assertThatThrownBy(() -> new Dams(0.5, Set.of(1), Set.of(1), Set.of())).hasMessageContaining("both");
    }

    private int[] regions(Dams dams) {
        return Regions.of(rooms, dams).ofCells();
    }

    private static Opening opening(int first, int second, double width, double strength) {
        List<Point> line = List.of(new Point(first, 0), new Point(second, 1));
        return new Opening(first, second, Opening.Kind.ENDS, line, width, width / 2, strength);
    }

    private static Openings rooms(Opening... openings) {
        List<Cell> cells = new ArrayList<>();
        for (int i = 0; i < 5; i++) {
            cells.add(new Cell(i, 1, new Box(i, 0, i + 1, 1), i, 0, 1));
        }
        CellMap map = new CellMap(new CellPlane(5, 1, new int[] {0, 1, 2, 3, 4}), cells, List.of());
        return new Openings(map, List.of(openings), 2, 0.5, false);
    }
}
