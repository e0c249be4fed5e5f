package stillpond.core.stroke;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static stillpond.core.stroke.Grid.SIDE;
import static stillpond.core.stroke.Grid.at;
import static stillpond.core.stroke.Grid.isWithin;

import java.util.List;
import org.junit.jupiter.api.Test;
import stillpond.core.cell.CellMap;
import stillpond.core.ink.InkPlane;

class StrokesTest {

    @Test
    void aWallHasWhatItParts() {
        InkPlane ink = Grid.of((x, y) -> isWithin(x, 28, 32));
        CellMap cells = CellMap.of(ink);
        StrokeMap map = StrokeMap.of(ink);

        List<Stroke.Side> sides =
                Strokes.of(map, ink, cells.plane()).get(at(map, 30, 30)).sides();

        assertThat(sides)
                .extracting(Stroke.Side::cell)
                .containsExactlyInAnyOrder(
                        cells.cellAt(5, 30).number(), cells.cellAt(SIDE - 5, 30).number());
        assertThat(sides).allSatisfy(side -> assertThat(side.share()).isCloseTo(0.5, within(0.01)));
    }

    @Test
    void aMarkInsideAShapeHasOneSide() {
        InkPlane ink = Grid.of((x, y) -> isWithin(x, 20, 40) && isWithin(y, 28, 31));
        CellMap cells = CellMap.of(ink);
        StrokeMap map = StrokeMap.of(ink);
        assertThat(Strokes.of(map, ink, cells.plane()))
                .extracting(Stroke::sides)
                .containsExactly(List.of(new Stroke.Side(cells.cellAt(5, 5).number(), 1)));
    }

    /** Of a T, the bar has one cell above and two below; the stem parts these two, and what lies beyond the junction is no side of it. */
    @Test
    void whatLiesBeyondAJunctionIsNoSide() {
        InkPlane ink = Grid.of((x, y) -> isWithin(y, 20, 24) || isWithin(x, 28, 32) && y >= 20);
        CellMap cells = CellMap.of(ink);
        StrokeMap map = StrokeMap.of(ink);
        int above = cells.cellAt(30, 5).number();
        int left = cells.cellAt(5, 50).number();
        int right = cells.cellAt(50, 50).number();

        List<List<Stroke.Side>> sides =
                Strokes.of(map, ink, cells.plane()).stream().map(Stroke::sides).toList();

        assertThat(sides.get(at(map, 30, 50))).extracting(Stroke.Side::cell).containsExactlyInAnyOrder(left, right);
        assertThat(sides.get(at(map, 5, 22))).extracting(Stroke.Side::cell).containsExactlyInAnyOrder(above, left);
        assertThat(sides.get(at(map, 55, 22))).extracting(Stroke.Side::cell).containsExactlyInAnyOrder(above, right);
    }
}
