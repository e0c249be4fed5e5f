package stillpond.core.blockin;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import stillpond.core.gap.Point;
import stillpond.core.refusal.Refusal;
import stillpond.core.shadow.Knot;
import stillpond.core.shadow.Outline;

class DividingTest {

    private static final Point MIDDLE = new Point(150, 150);
    private static final Shapes DISC = Pages.shapes(Pages.disc(1, 150, 150, 100));

    private static Dividing.Divided evenly(Shapes shapes, int number, Even even) {
        return Dividing.divide(shapes, number, even.lines(shapes.get(number), MIDDLE));
    }

    @Test
    void twelveSpokesMakeTwelveEqualPartsAndLeaveNoPixelBetween() {
        Dividing.Divided divided = evenly(DISC, 1, new Even.Spokes(12, 7));

        assertThat(divided.parts()).hasSize(12);
        assertThat(divided.shapes().lines()).isEmpty();
        int[] areas = Pages.areas(divided.shapes(), 300, 300);
        int whole = Pages.areas(DISC, 300, 300)[1];
        int sum = 0;
        for (int part : divided.parts()) {
            sum += areas[part];
            assertThat(areas[part]).isCloseTo(whole / 12, within(40));
        }
        assertThat(sum).isCloseTo(whole, within(12));
        assertNothingInside(divided.shapes());
    }

    /** No ground shows within 98 pixels of the middle of the disc. */
    private static void assertNothingInside(Shapes shapes) {
        ShapeMap map = ShapeMap.of(shapes, 300, 300);
        for (int y = 0; y < 300; y++) {
            for (int x = 0; x < 300; x++) {
                if (Math.hypot(x - 149.5, y - 149.5) < 98) {
                    assertThat(map.plane().numberAt(x, y)).isNotZero();
                }
            }
        }
    }

    @Test
    void ringsAreDiscsWithHoles() {
        Dividing.Divided divided = evenly(DISC, 1, new Even.Rings(4));

        assertThat(divided.parts()).hasSize(4);
        assertThat(divided.shapes().all().stream().map(shape -> shape.loops().size()))
                .containsExactlyInAnyOrder(2, 2, 2, 1);
        int[] areas = Pages.areas(divided.shapes(), 300, 300);
        for (int ring = 0; ring < 4; ring++) {
            assertThat(areas[divided.parts().get(3 - ring)])
                    .isCloseTo((int) Math.round(Math.PI * 25 * 25 * (2 * ring + 1)), within(30));
        }
        assertNothingInside(divided.shapes());
    }

    @Test
    void stripsAndGrids() {
        Shapes banner = Pages.shapes(Pages.rectangle(1, 20, 20, 220, 120));

        Dividing.Divided strips = evenly(banner, 1, new Even.Strips(5, 0));
        assertThat(strips.parts()).hasSize(5);
        for (int part : strips.parts()) {
            assertThat(Pages.areas(strips.shapes(), 300, 300)[part]).isEqualTo(4000);
        }
        Dividing.Divided grid = evenly(banner, 1, new Even.Grid(4, 2, 0));
        assertThat(grid.parts()).hasSize(8);
        for (int part : grid.parts()) {
            assertThat(Pages.areas(grid.shapes(), 300, 300)[part]).isEqualTo(2500);
        }
    }

    @Test
    void spokesAndRingsTogether() {
        Shapes halves = evenly(DISC, 1, new Even.Spokes(2, 0)).shapes();
        List<Integer> parts = new ArrayList<>();
        Shapes now = halves;
        for (int half : List.of(1, 2)) {
            Dividing.Divided divided = Dividing.divide(now, half, new Even.Rings(3).lines(now.get(half), MIDDLE));
            now = divided.shapes();
            parts.addAll(divided.parts());
        }

        assertThat(parts).hasSize(6).doesNotHaveDuplicates();
        assertNothingInside(now);
    }

    @Test
    void aLineDrawnNearlyFromBorderToBorderMeetsItExactly() {
        LooseLine line =
                Dividing.drawn(List.of(new Point(54, 150), new Point(150, 160), new Point(245, 150)), DISC, 1, 12, 1);
        Dividing.Divided divided = Dividing.divide(DISC, 1, List.of(line));

        assertThat(divided.parts()).hasSize(2);
        assertNothingInside(divided.shapes());
    }

    @Test
    void aLineThatRunsOverTheBorderDividesToo() {
        LooseLine line = Dividing.drawn(List.of(new Point(20, 150), new Point(290, 150)), DISC, 1, 5, 1);

        assertThat(Dividing.divide(DISC, 1, List.of(line)).parts()).hasSize(2);
    }

    @Test
    void anEndThatDoesNotMeetIsToldAndExtended() {
        LooseLine line = Dividing.drawn(List.of(new Point(40, 150), new Point(200, 150)), DISC, 1, 5, 1);
        Dividing.Divided open = Dividing.divide(DISC, 1, List.of(line));

        assertThat(open.parts()).containsExactly(1);
        List<Dividing.LooseEnd> ends = Dividing.looseEnds(open.shapes());
        assertThat(ends).hasSize(1);
        assertThat(ends.get(0).at()).isEqualTo(new Point(200, 150));

        Dividing.Divided closed = Dividing.extend(open.shapes(), ends.get(0));
        assertThat(closed.parts()).hasSize(2);
        assertThat(closed.shapes().lines()).isEmpty();
        assertThat(Dividing.looseEnds(closed.shapes())).isEmpty();
        assertNothingInside(closed.shapes());
    }

    @Test
    void linesMeetLines() {
        Shapes now = DISC;
        for (Point end : List.of(new Point(150, 20), new Point(20, 230), new Point(280, 230))) {
            LooseLine spoke = Dividing.drawn(List.of(end, MIDDLE), now, 1, 6, 1);
            Dividing.Divided divided = Dividing.divide(now, 1, List.of(spoke));
            now = divided.shapes();
        }

        assertThat(now.all()).hasSize(3);
        assertNothingInside(now);
    }

    /** Drawn by a hand that trembles, twelve lines still meet in one point. */
    @Test
    void linesThatEndNearOneAnotherMeetInOnePoint() {
        Shapes now = Dividing.divide(
                        DISC,
                        1,
                        List.of(Dividing.drawn(List.of(new Point(20, 150), new Point(290, 150)), DISC, 1, 8, 1)))
                .shapes();
        for (int i = 1; i < 12; i++) {
            if (i == 6) {
                continue;
            }
            double x = Math.cos(i * Math.PI / 6);
            double y = Math.sin(i * Math.PI / 6);
            Shapes before = now;
            int part = now.all().stream()
                    .filter(shape -> shape.has(150 + 50 * x, 150 + 50 * y))
                    .findFirst()
                    .orElseThrow()
                    .number();
            LooseLine line = Dividing.drawn(
                    List.of(new Point(150 + 120 * x, 150 + 120 * y), new Point(150 + i % 3 - 1 + 3 * x, 150 + 3 * y)),
                    before,
                    part,
                    8,
                    1);
            now = Dividing.divide(now, part, List.of(line)).shapes();
        }

        assertThat(now.all()).hasSize(12);
        assertNothingInside(now);
    }

    @Test
    void aPartKeepsTheLinesThatStayOpenInIt() {
        LooseLine open = Dividing.drawn(List.of(new Point(150, 180), new Point(150, 220)), DISC, 1, 1, 1);
        Shapes now = Dividing.divide(DISC, 1, List.of(open)).shapes();
        Dividing.Divided divided = Dividing.divide(
                now, 1, List.of(Dividing.drawn(List.of(new Point(20, 150), new Point(290, 150)), now, 1, 5, 1)));

        assertThat(divided.parts()).hasSize(2);
        assertThat(divided.shapes().lines()).hasSize(1);
        assertThat(divided.shapes().get(divided.shapes().lines().get(0).shape()).has(150, 200))
                .isTrue();
        assertThat(Dividing.looseEnds(divided.shapes())).hasSize(2);
    }

    @Test
    void aNeighbourGetsThePointsWhereItsBorderIsMet() {
        Shape left = Pages.disc(1, 100, 150, 80);
        Abutting.Abutted right =
                Abutting.abut(Drawn.rectangle(new Point(172, 100), new Point(280, 200)), Pages.shapes(left), 20);
        Shapes shapes = right.shapes().putting(List.of(Shape.of(2, right.outline())));
        LooseLine line = Dividing.drawn(List.of(new Point(10, 155), new Point(200, 140)), shapes, 1, 5, 1);
        Shapes divided = Dividing.divide(shapes, 1, List.of(line)).shapes();

        assertThat(divided.all()).hasSize(3);
        for (int number : List.of(1, 3)) {
            assertThat(divided.get(2).loops().get(0).knots())
                    .anySatisfy(knot -> assertThat(
                                    divided.get(number).loops().get(0).knots())
                            .anyMatch(other -> other.x() == knot.x() && other.y() == knot.y()));
        }
    }

    @Test
    void whatCannotBeDividedIsRefusedInWords() {
        Outline tie = new Outline(
                List.of(Knot.straight(10, 10), Knot.straight(90, 90), Knot.straight(90, 10), Knot.straight(10, 90)));
        Shapes crossed = Pages.shapes(Shape.of(1, tie));

        assertThatThrownBy(() -> evenly(crossed, 1, new Even.Strips(3, 0)))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("crosses itself");
        assertThatThrownBy(() -> new Even.Spokes(1000, 0))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("up to 360 parts at once, not 1000");
        assertThatThrownBy(() -> new Even.Grid(40, 40, 0)).isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> Dividing.drawn(List.of(MIDDLE, MIDDLE), DISC, 1, 5, 1))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("too short");
    }
}
