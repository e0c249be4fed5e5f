package stillpond.core.shadow;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.function.IntPredicate;
import org.junit.jupiter.api.Test;
import stillpond.core.Grid;
import stillpond.core.cell.Box;
import stillpond.core.cell.CellMap;
import stillpond.core.cell.CellPlane;
import stillpond.core.colour.BlendMode;
import stillpond.core.fill.Fills;
import stillpond.core.ink.InkPlane;
import stillpond.core.ledger.CellGroups;

class ShadowedCellsTest {

    private static final int SIDE = 60;

    /** A box in the middle of the sheet with a wall down its middle, and a hole in its left half. */
    private static final CellMap MAP = CellMap.of(ink());

    private static final int OUTSIDE = MAP.cellAt(2, 2).number();
    private static final int LEFT = MAP.cellAt(13, 30).number();
    private static final int RIGHT = MAP.cellAt(40, 30).number();
    private static final int HOLE = MAP.cellAt(21, 30).number();

    private static InkPlane ink() {
        String[] rows = new String[SIDE];
        for (int y = 0; y < SIDE; y++) {
            StringBuilder row = new StringBuilder();
            for (int x = 0; x < SIDE; x++) {
                boolean isFrame = x >= 10 && x <= 50 && y >= 10 && y <= 50;
                boolean isEdge = x == 10 || x == 50 || y == 10 || y == 50 || x == 30;
                boolean isHole = x >= 16 && x <= 26 && y >= 25 && y <= 35;
                boolean isHoleEdge = x == 16 || x == 26 || y == 25 || y == 35;
                row.append(isFrame && isEdge || isHole && isHoleEdge ? '#' : '.');
            }
            rows[y] = row.toString();
        }
        return Grid.ink(rows);
    }

    private static Shadow shadow(int number, Form form, double edge, int... cells) {
        return new Shadow(
                number,
                number,
                "Shadow",
                new Base.Cells(Arrays.stream(cells).boxed().toList()),
                form,
                BlendMode.MULTIPLY,
                20,
                100,
                edge);
    }

    private static LaidShadow laid(Shadow shadow, double strokePx) {
        Set<Integer> cells = shadow.base().cells(CellGroups.NONE, Fills.none());
        return LaidShadow.of(shadow, cells, MAP.graph(), strokePx, 1);
    }

    private static ShadowedCells lay(LaidShadow... shadows) {
        return ShadowedCells.of(MAP.plane(), List.of(shadows), MAP.cells().size());
    }

    private static final Form BAND = Form.ofText("drawn 0,20! 60,20! 60,40! 0,40!");

    @Test
    void whichShadowsLieOnCellsIsToldOfThoseUnderOthersToo() {
        Pieces pieces = lay(
                        laid(shadow(5, BAND, 0, LEFT, RIGHT), 1),
                        laid(shadow(6, BAND, 0, RIGHT), 1),
                        laid(shadow(7, Form.ofText("drawn 0,52! 60,52! 60,58! 0,58!"), 0, RIGHT), 1))
                .pieces();
        assertThat(pieces.shadowsOn(Set.of(RIGHT))).containsExactly(5, 6);
        assertThat(pieces.shadowsOn(Set.of(LEFT))).containsExactly(5);
        assertThat(pieces.shadowsOn(Set.of(HOLE, OUTSIDE))).isEmpty();
    }

    @Test
    void aShapeShowsOnlyWhereItLiesInItsBase() {
        ShadowedCells shadowed = lay(laid(shadow(5, BAND, 0, RIGHT), 1));
        for (int y = 0; y < SIDE; y++) {
            for (int x = 0; x < SIDE; x++) {
                int cell = MAP.plane().numberAt(x, y);
                int number = shadowed.plane().numberAt(x, y);
                boolean isIn = cell == RIGHT && y >= 20 && y < 40;
                assertThat(number >= MAP.cells().size()).isEqualTo(isIn);
                if (isIn) {
                    assertThat(shadowed.pieces().parent(number)).isEqualTo(RIGHT);
                    assertThat(shadowed.pieces().shadow(number)).isEqualTo(5);
                    assertThat(shadowed.pieces().level(number)).isEqualTo(Pieces.LEVELS);
                } else {
                    assertThat(number).isEqualTo(cell);
                }
            }
        }
    }

    @Test
    void shadowsLieOnEachOtherInTheirOrder() {
        Form column = Form.ofText("drawn 35,0! 45,0! 45,60! 35,60!");
        ShadowedCells shadowed = lay(laid(shadow(5, BAND, 0, RIGHT), 1), laid(shadow(9, column, 0, RIGHT), 1));
        int both = shadowed.plane().numberAt(40, 30);
        assertThat(shadowed.pieces().shadow(both)).isEqualTo(9);
        int below = shadowed.pieces().parent(both);
        assertThat(shadowed.pieces().shadow(below)).isEqualTo(5);
        assertThat(shadowed.plane().numberAt(48, 30)).isEqualTo(below);
        assertThat(shadowed.pieces().parent(shadowed.plane().numberAt(40, 15))).isEqualTo(RIGHT);
    }

    /** Random windows of a page give what the whole page gives. */
    @Test
    void aPartOfAPageIsLaidAsTheWholeIs() {
        List<LaidShadow> shadows = List.of(
                laid(shadow(1, Form.ofText("rim 4 mitred"), 0, LEFT, RIGHT), 1),
                laid(shadow(2, Form.ofText("side 70 6"), 3, LEFT), 1),
                laid(shadow(4, Form.ofText("grain 3 5"), 0, RIGHT), 1),
                laid(shadow(5, Form.ofText("soft 5"), 0, LEFT), 1),
                laid(shadow(3, Form.ofText("drawn 5,20 55,15 50,45! 8,44"), 8, LEFT, RIGHT), 1));
        Pieces pieces = new Pieces(MAP.cells().size());
        CellWindow whole = CellWindow.of(MAP.plane());
        int[] wanted = ShadowedCells.numbers(whole, whole.box(), shadows, pieces);
        double margin = shadows.stream().mapToDouble(LaidShadow::marginPx).max().orElseThrow();
        Random random = new Random(11);
        for (int round = 0; round < 40; round++) {
            int x = random.nextInt(50);
            int y = random.nextInt(50);
            Box inner = new Box(x, y, x + 1 + random.nextInt(59 - x), y + 1 + random.nextInt(59 - y));
            Box around = Boxes.grown(inner, margin).common(whole.box());
            int[] numbers = ShadowedCells.numbers(new CellWindow(around, cut(around)), inner, shadows, pieces);
            for (int i = 0; i < numbers.length; i++) {
                int at = (y + i / inner.widthPx()) * SIDE + x + i % inner.widthPx();
                assertThat(numbers[i]).isEqualTo(wanted[at]);
            }
        }
    }

    private static int[] cut(Box box) {
        int[] cells = new int[box.widthPx() * box.heightPx()];
        for (int i = 0; i < cells.length; i++) {
            cells[i] = MAP.plane().numberAt(box.xStart() + i % box.widthPx(), box.yStart() + i / box.widthPx());
        }
        return cells;
    }

    @Test
    void aStripOnOneSideIsWhatAMovedCopyLeaves() {
        ShadowedCells shadowed = lay(laid(shadow(2, Form.ofText("side 90 6"), 0, RIGHT), 0));
        assertThat(lit(shadowed)).allMatch(at -> MAP.plane().numbers()[at] == RIGHT);
        for (int y = 12; y < 49; y++) {
            int cell = MAP.plane().numberAt(40, y);
            boolean isMovedOut = MAP.plane().numberAt(40, Math.min(SIDE - 1, y + 6)) != cell;
            boolean isAtTheEdge =
                    MAP.plane().numberAt(40, y + 3) != MAP.plane().numberAt(40, Math.min(SIDE - 1, y + 9));
            if (!isAtTheEdge) {
                assertThat(shadowed.plane().numberAt(40, y) != cell).isEqualTo(isMovedOut);
            }
        }
    }

    @Test
    void aRoundRimIsAllThatIsNearToTheBaseAndBehindIt() {
        int[] figure = {LEFT, RIGHT, HOLE};
        ShadowedCells shadowed = lay(laid(shadow(1, Form.ofText("rim 5 round"), 0, figure), 2));
        IntPredicate isFigure = at -> MAP.plane().numbers()[at] != OUTSIDE;
        Set<Integer> lit = Set.copyOf(lit(shadowed));
        for (int at = 0; at < SIDE * SIDE; at++) {
            // Five pixels from the edge of ink that is two wide; edges are softened over two pixels.
            double away = isFigure.test(at) ? 0 : distance(at, isFigure);
            if (away == 0 || away <= 5 || away > 8) {
                assertThat(lit.contains(at)).isEqualTo(away > 0 && away <= 5);
            }
        }
    }

    private static double distance(int from, IntPredicate to) {
        double least = Double.POSITIVE_INFINITY;
        for (int at = 0; at < SIDE * SIDE; at++) {
            if (to.test(at)) {
                least = Math.min(least, Math.hypot(at % SIDE - from % SIDE, at / SIDE - from / SIDE));
            }
        }
        return least;
    }

    @Test
    void aMitredRimHasCornersWhereARoundOneIsRounded() {
        int[] figure = {LEFT, RIGHT, HOLE};
        ShadowedCells round = lay(laid(shadow(1, Form.ofText("rim 6 round"), 0, figure), 0));
        ShadowedCells mitred = lay(laid(shadow(1, Form.ofText("rim 6 mitred"), 0, figure), 0));
        Box box = MAP.cells().get(RIGHT).box();
        int x = box.xEndExclusive() + 5;
        int y = box.yStart() - 6;
        assertThat(round.plane().numberAt(x, y)).isEqualTo(OUTSIDE);
        assertThat(mitred.plane().numberAt(x, y)).isNotEqualTo(OUTSIDE);
        assertThat(mitred.plane().numberAt(x + 4, y - 4)).as("beyond the tip").isEqualTo(OUTSIDE);
        assertThat(lit(mitred)).containsAll(lit(round));
    }

    @Test
    void holesOfARimAreLeftOrFilledAndItMayLieUnderItsBase() {
        int[] figure = {LEFT, RIGHT};
        int middle = 30 * SIDE + 21;
        int inLeft = 15 * SIDE + 20;
        assertThat(lit(lay(laid(shadow(1, Form.ofText("rim 2 round"), 0, figure), 0))))
                .doesNotContain(middle, inLeft);
        ShadowedCells filled = lay(laid(shadow(1, Form.ofText("rim 2 round filled"), 0, figure), 0));
        assertThat(lit(filled)).contains(middle).doesNotContain(inLeft);
        ShadowedCells under = lay(laid(shadow(1, Form.ofText("rim 2 round under"), 0, figure), 0));
        assertThat(lit(under)).contains(inLeft).doesNotContain(middle);
        assertThat(under.pieces().level(under.plane().numbers()[inLeft])).isEqualTo(2 * Pieces.LEVELS);
    }

    @Test
    void aGrainIsTheSameWhereverItIsLaidAndAnotherWithAnotherSeed() {
        Specks specks = new Specks(4, 7);
        List<Integer> first = lit(lay(laid(shadow(1, Form.ofText("grain 4 7"), 0, RIGHT), 1)));
        for (int at = 0; at < SIDE * SIDE; at++) {
            boolean isIn = MAP.plane().numbers()[at] == RIGHT && specks.at(at % SIDE, at / SIDE) >= 8;
            assertThat(first.contains(at)).isEqualTo(isIn);
        }
        int area = MAP.cells().get(RIGHT).areaPx();
        assertThat(first).hasSizeBetween(area / 4, 3 * area / 4);
        assertThat(lit(lay(laid(shadow(1, Form.ofText("grain 4 8"), 0, RIGHT), 1))))
                .isNotEqualTo(first);
    }

    @Test
    void aSoftEdgeFadesFromTheInkInwards() {
        ShadowedCells shadowed = lay(laid(shadow(1, Form.ofText("soft 6"), 0, RIGHT), 0));
        int last = 0;
        for (int x = 49; x >= 40; x--) {
            int number = shadowed.plane().numberAt(x, 30);
            int level = number == RIGHT ? 0 : shadowed.pieces().level(number);
            assertThat(level).isLessThanOrEqualTo(x == 49 ? Pieces.LEVELS : last + 1);
            last = level;
        }
        assertThat(last).isZero();
        assertThat(shadowed.pieces().level(shadowed.plane().numberAt(49, 30))).isGreaterThan(6);
        assertThat(lit(shadowed)).allMatch(at -> MAP.plane().numbers()[at] == RIGHT);
    }

    @Test
    void tellsWhetherAnythingOfItIsSeen() {
        CellWindow window = CellWindow.of(MAP.plane());
        Form beside = Form.ofText("drawn 0,0! 8,0! 8,8! 0,8!");
        assertThat(laid(shadow(1, beside, 0, RIGHT), 1).shows(window)).isFalse();
        assertThat(laid(shadow(1, BAND, 0, RIGHT), 1).shows(window)).isTrue();
        assertThat(laid(shadow(1, BAND, 0, 999), 1).shows(window))
                .as("a base that is gone")
                .isFalse();
    }

    @Test
    void numbersStayAsTheyAreWhenShadowsAreLaidAgainAndThereIsAnEndToThem() {
        Pieces pieces = new Pieces(3);
        int first = pieces.under(2, 7, 4);
        int second = pieces.under(first, 9, 16);
        assertThat(pieces.under(2, 7, 4)).isEqualTo(first);
        assertThat(pieces.under(first, 9, 16)).isEqualTo(second);
        assertThat(pieces.parent(second)).isEqualTo(first);
        int last = first;
        int before = -1;
        for (int shadow = 0; !pieces.isFull(); shadow++) {
            before = last;
            last = pieces.under(last, shadow % Shadows.MOST, 1);
        }
        assertThat(pieces.count()).isEqualTo(65_536);
        assertThat(last).as("what is too much is not shown").isEqualTo(before);
    }

    /** The pixels that show something. */
    private static List<Integer> lit(ShadowedCells shadowed) {
        CellPlane plane = shadowed.plane();
        List<Integer> lit = new ArrayList<>();
        for (int i = 0; i < plane.numbers().length; i++) {
            if (plane.numbers()[i] >= MAP.cells().size()) {
                lit.add(i);
            }
        }
        return lit;
    }
}
