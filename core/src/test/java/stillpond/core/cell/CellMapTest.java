package stillpond.core.cell;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import stillpond.core.Grid;
import stillpond.core.ink.InkPlane;

class CellMapTest {

    @Test
    void inkGoesToTheNearerSide() {
        CellMap map = CellMap.of(Grid.ink(
                "....###...", //
                "....###...",
                "....###...",
                "....###..."));
        assertThat(Grid.letters(map.plane()))
                .containsExactly(
                        "aaaaaabbbb", // the middle column is as near to both, and goes left
                        "aaaaaabbbb",
                        "aaaaaabbbb",
                        "aaaaaabbbb");
    }

    @Test
    void cornersDoNotConnect() {
        CellMap map = CellMap.of(Grid.ink(
                "...####", //
                "...####", "...####", "###....", "###....", "###...."));
        assertThat(map.cells()).hasSize(2);
        assertThat(map.plane().numberAt(2, 2)).isZero();
        assertThat(map.plane().numberAt(3, 3)).isEqualTo(1);
    }

    @Test
    void pinholesCountAsInk() {
        CellMap map = CellMap.of(Grid.ink(
                "....#####....", //
                "....##..#....",
                "....##..#....",
                "....#####...."));
        assertThat(map.cells()).hasSize(2);
        assertThat(map.plane().numberAt(7, 1)).isEqualTo(1);
    }

    @Test
    void aSheetOfPinholesAloneKeepsThem() {
        CellMap map = CellMap.of(Grid.ink("..#..", "..#.."));
        assertThat(map.cells()).extracting(Cell::areaPx).containsExactly(6, 4);
    }

    @Test
    void allInkIsRefused() {
        assertThatThrownBy(() -> CellMap.of(Grid.ink("##", "##"))).hasMessageContaining("all ink");
    }

    @Test
    void aPageWithoutInkIsOneCell() {
        CellMap map = CellMap.of(Grid.ink(".....", ".....", "....."));
        assertThat(map.cells()).containsExactly(new Cell(0, 15, new Box(0, 0, 5, 3), 1, 1, 2.0));
        assertThat(map.borders()).isEmpty();
    }

    @Test
    void bordersCountSharedEdges() {
        CellMap map = CellMap.of(Grid.ink(
                "...#...", //
                "...#...", "...#...", "#######", ".......", "......."));
        assertThat(Grid.letters(map.plane()))
                .containsExactly("aaaabbb", "aaaabbb", "aaaabbb", "aaacbbb", "ccccccc", "ccccccc");
        assertThat(map.borders()).containsExactly(new Border(0, 1, 3), new Border(0, 2, 5), new Border(1, 2, 4));
    }

    @ParameterizedTest
    @ValueSource(ints = {0, 5, 30, 50, 70})
    void agreesWithTheObviousWayOnRandomInk(int inkPercent) {
        Random random = new Random(20_261_124 + inkPercent);
        InkPlane ink = blots(random, 37, 29, inkPercent);
        NaiveCells naive = new NaiveCells(ink);
        CellMap map = CellMap.of(ink);

        assertThat(map.cells()).hasSize(naive.cells);
        for (int i = 0; i < naive.paper.length; i++) {
            int cell = map.plane().numbers()[i];
            if (naive.paper[i] >= 0) {
                assertThat(cell).isEqualTo(naive.paper[i]);
            } else {
                assertThat(naive.squaredToCell(i, cell)).isEqualTo(naive.squaredToAnyCell(i));
            }
        }
        map.cells().forEach(cell -> assertMeasuresAreRight(map, naive, cell));
    }

    private static void assertMeasuresAreRight(CellMap map, NaiveCells naive, Cell cell) {
        int[] numbers = map.plane().numbers();
        assertThat((long) cell.areaPx())
                .isEqualTo(IntStream.of(numbers).filter(n -> n == cell.number()).count());
        int deepest = IntStream.range(0, numbers.length)
                .filter(i -> naive.paper[i] == cell.number())
                .boxed()
                .max((a, b) -> naive.squaredToWall(a) == naive.squaredToWall(b)
                        ? Integer.compare(b, a)
                        : Long.compare(naive.squaredToWall(a), naive.squaredToWall(b)))
                .orElseThrow();
        assertThat(cell.deepestY() * naive.width + cell.deepestX()).isEqualTo(deepest);
        assertThat(cell.depthPx()).isEqualTo(Math.sqrt(naive.squaredToWall(deepest)));
    }

    /** Tall enough for several strips of rows: what one strip knows must reach the others. */
    @Test
    void cellsAcrossStripsAreMeasuredWhole() {
        int width = 12;
        int height = 1300;
        byte[] density = new byte[width * height];
        for (int y = 0; y < height; y++) {
            density[y * width + 5] = (byte) 255;
        }
        CellMap map = CellMap.of(new InkPlane(width, height, density, 128));
        assertThat(map.cells())
                .extracting(Cell::box)
                .containsExactly(new Box(0, 0, 6, height), new Box(6, 0, width, height));
        assertThat(map.cells()).extracting(Cell::areaPx).containsExactly(6 * height, 6 * height);
        assertThat(map.cells().get(0))
                .extracting(Cell::deepestX, Cell::deepestY)
                .containsExactly(2, 2);
        assertThat(map.borders()).isEqualTo(List.of(new Border(0, 1, height)));
    }

    /** Round blots rather than single pixels, so that there are cells of every size. */
    private static InkPlane blots(Random random, int width, int height, int inkPercent) {
        byte[] density = new byte[width * height];
        int wanted = width * height * inkPercent / 100;
        int inked = 0;
        while (inked < wanted) {
            int middle = random.nextInt(density.length);
            for (int i = 0; i < density.length; i++) {
                int dx = i % width - middle % width;
                int dy = i / width - middle / width;
                if (dx * dx + dy * dy <= 2 && density[i] == 0) {
                    density[i] = (byte) 255;
                    inked++;
                }
            }
        }
        return new InkPlane(width, height, density, 128);
    }
}
