package stillpond.core.gap;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import stillpond.core.cell.Box;
import stillpond.core.cell.Cell;
import stillpond.core.cell.CellMap;
import stillpond.core.cell.CellPlane;

/** A row of cells, with an opening of some strength between each and the next. */
class RegionsTest {

    @Test
    void aRegionHasTheOpeningsInsideItAndAtItsBorder() {
        Regions regions = Regions.of(row(0.3, 0.05, 0.9, 0.2, 0.9, 0.9), Dams.at(0.5));
        assertThat(regions.openingsAt(regions.of(0)))
                .as("not the one of no strength, nor those further off")
                .containsExactly(0, 2);
    }

    @Test
    void oneStepBiggerGoesOnToTheRegionThatStandsOut() {
        Openings row = row(0.55, 0.60, 0.64, 0.95);
        Dams dams = Dams.at(0.5);
        Set<Integer> lifted = Regions.of(row, dams).bigger(0);
        assertThat(lifted)
                .as("all three weak dams at once, for the fourth stands out")
                .containsExactly(0, 1, 2);
        assertThat(Regions.of(row, dams.opening(lifted)).with(0)).containsExactly(0, 1, 2, 3);
    }

    @Test
    void oneStepSmallerGoesOnToTheRegionThatStandsOut() {
        Openings row = row(0.05, 0.40, 0.42, 0.45);
        Dams dams = Dams.at(0.5);
        Set<Integer> raised = Regions.of(row, dams).smaller(0);
        assertThat(raised).containsExactly(1);
        assertThat(Regions.of(row, dams.shutting(raised)).with(0)).containsExactly(0, 1);
    }

    @Test
    void nothingIsBiggerThanAllOrSmallerThanAPiece() {
        Openings row = row(0.9, 0.9);
        assertThat(Regions.of(row, Dams.at(0.95)).bigger(1)).isEmpty();
        assertThat(Regions.of(row, Dams.at(0.5)).smaller(1)).isEmpty();
        assertThat(Regions.of(row, Dams.at(0.5)).bigger(1)).containsExactly(0, 1);
    }

    private static Openings row(double... strengths) {
        int count = strengths.length + 1;
        int[] numbers = new int[count];
        List<Cell> cells = new ArrayList<>();
        List<Opening> openings = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            numbers[i] = i;
            cells.add(new Cell(i, 1, new Box(i, 0, i + 1, 1), i, 0, 1));
        }
        for (int i = 0; i < strengths.length; i++) {
            List<Point> line = List.of(new Point(i + 1, 0), new Point(i + 1, 1));
            openings.add(new Opening(i, i + 1, Opening.Kind.ENDS, line, 1, 1, strengths[i]));
        }
        return new Openings(new CellMap(new CellPlane(count, 1, numbers), cells, List.of()), openings, 1, 0.5, false);
    }
}
