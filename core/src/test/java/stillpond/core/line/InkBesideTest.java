package stillpond.core.line;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import stillpond.core.Grid;
import stillpond.core.cell.CellMap;
import stillpond.core.ink.InkPlane;
import stillpond.core.stroke.Stroke;
import stillpond.core.stroke.StrokeMap;
import stillpond.core.stroke.Strokes;

class InkBesideTest {

    /** A frame around a cell that holds a mark, beside a line that is elsewhere. */
    private final InkPlane ink = Grid.ink(
            "..............................",
            "..############################",
            "..#................#.........#",
            "..#................#.........#",
            "..#................#.........#",
            "..#.....#######....#.........#",
            "..#................#.........#",
            "..#................#.........#",
            "..#................#.........#",
            "..############################",
            "..............................");

    private final CellMap cells = CellMap.of(ink);
    private final StrokeMap map = StrokeMap.of(ink);
    private final List<Stroke> strokes = Strokes.of(map, ink, cells.plane());
    private final int mark = map.strokeAt(10, 5);
    private final int wall = map.strokeAt(19, 5);
    private final int farWall = map.strokeAt(29, 5);

    @Test
    void theInkInsideAndAroundACell() {
        Set<Integer> cell = Set.of(cells.cellAt(5, 3).number());
        assertThat(InkBeside.touching(strokes, cell)).contains(mark, wall).doesNotContain(farWall);
        assertThat(InkBeside.inside(strokes, cell)).containsExactly(mark);
    }

    @Test
    void theWallBetweenTwoCellsIsInsideBoth() {
        Set<Integer> both =
                Set.of(cells.cellAt(5, 3).number(), cells.cellAt(24, 5).number());
        assertThat(InkBeside.inside(strokes, both)).contains(mark, wall).doesNotContain(farWall);
    }
}
