package stillpond.core.blockin;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import stillpond.core.cell.Box;
import stillpond.core.cell.Cell;
import stillpond.core.cell.CellGraph;
import stillpond.core.cell.PlanePatch;
import stillpond.core.gap.Point;

class ShapeMapTest {

    @Test
    void aDiscCoversItsArea() {
        int area = Pages.areas(Pages.shapes(Pages.disc(1, 200, 150, 100)), 400, 300)[1];

        assertThat(area).isCloseTo((int) Math.round(Math.PI * 100 * 100), within(40));
    }

    @Test
    void aRectangleCoversThePixelsWhoseMiddlesItHas() {
        ShapeMap map = ShapeMap.of(Pages.shapes(Pages.rectangle(1, 10.5, 20, 30.5, 40)), 100, 100);

        Cell cell = map.graph().cells().get(1);
        assertThat(cell.box()).isEqualTo(new Box(10, 20, 30, 40));
        assertThat(cell.areaPx()).isEqualTo(400);
        assertThat(map.graph().cells().get(0).areaPx()).isEqualTo(10_000 - 400);
    }

    @Test
    void theShapeInFrontIsSeen() {
        Shape under = Pages.rectangle(1, 0, 0, 60, 60);
        Shape over = Pages.rectangle(2, 30, 30, 90, 90);

        assertThat(ShapeMap.of(Pages.shapes(under, over), 100, 100).plane().numberAt(40, 40))
                .isEqualTo(2);
        assertThat(ShapeMap.of(Pages.shapes(under, over).tuckedUnder(2, Set.of(1)), 100, 100)
                        .plane()
                        .numberAt(40, 40))
                .isEqualTo(1);
    }

    @Test
    void aHoleShowsWhatLiesBehind() {
        Shape ring = new Shape(
                2,
                List.of(
                        Pages.disc(1, 50, 50, 40).loops().get(0),
                        Pages.disc(1, 50, 50, 20).loops().get(0)),
                Edge.NONE);
        ShapeMap map = ShapeMap.of(Pages.shapes(Pages.rectangle(1, 0, 0, 100, 100), ring), 100, 100);

        assertThat(map.plane().numberAt(50, 50)).isEqualTo(1);
        assertThat(map.plane().numberAt(50, 20)).isEqualTo(2);
    }

    @Test
    void whatIsHiddenWhollyHasNoPixelAndLiesNowhere() {
        ShapeMap map =
                ShapeMap.of(Pages.shapes(Pages.disc(1, 50, 50, 20), Pages.rectangle(2, 0, 0, 100, 100)), 100, 100);

        assertThat(map.graph().cells().get(1).areaPx()).isZero();
        assertThat(map.graph().cells().get(0).areaPx()).isZero();
        assertThat(map.graph().borders()).isEmpty();
    }

    @Test
    void aShapeCrossingItselfIsFilledAsOneSeesItsOutside() {
        Shape star = Shape.of(
                1,
                new stillpond.core.shadow.Outline(List.of(
                        stillpond.core.shadow.Knot.straight(50, 0),
                        stillpond.core.shadow.Knot.straight(80, 95),
                        stillpond.core.shadow.Knot.straight(0, 35),
                        stillpond.core.shadow.Knot.straight(100, 35),
                        stillpond.core.shadow.Knot.straight(20, 95))));

        assertThat(star.crossesItself()).isTrue();
        assertThat(ShapeMap.of(Pages.shapes(star), 100, 100).plane().numberAt(50, 50))
                .isEqualTo(1);
    }

    /** Whatever is done to shapes, what is made anew around them is what a page made from nothing has. */
    @Test
    void changesGiveWhatAFreshPageGives() {
        Random random = new Random(18);
        ShapeMap map = new ShapeMap(240, 180);
        Shapes shapes = Shapes.NONE;
        for (int round = 0; round < 60; round++) {
            shapes = changed(shapes, random);
            map.become(shapes);

            ShapeMap fresh = ShapeMap.of(shapes, 240, 180);
            assertThat(map.plane().numbers()).isEqualTo(fresh.plane().numbers());
            assertThat(map.ink().density()).isEqualTo(fresh.ink().density());
            assertSame(map.graph(), fresh.graph());
        }
    }

    private static Shapes changed(Shapes shapes, Random random) {
        List<Shape> all = shapes.all();
        int kind = all.size() < 3 ? 0 : random.nextInt(5);
        Shape some = all.isEmpty() ? null : all.get(random.nextInt(all.size()));
        double x = random.nextInt(260) - 10;
        double y = random.nextInt(200) - 10;
        return switch (kind) {
            case 0, 1 ->
                shapes.putting(List.of(Pages.disc(shapes.free(1).get(0), x, y, 5 + random.nextInt(50))
                        .edged(new Edge(random.nextInt(3) * 4, random.nextBoolean()))));
            case 2 -> shapes.without(Set.of(some.number()));
            case 3 -> shapes.moving(Set.of(some.number()), random.nextInt(5) - 2);
            default -> shapes.putting(List.of(some.placed(point -> new Point(point.x() + x / 10, point.y() + y / 10))));
        };
    }

    /** Where cells lie deepest may differ among places that are as deep. */
    private static void assertSame(CellGraph one, CellGraph other) {
        assertThat(one.borders()).isEqualTo(other.borders());
        for (int number = 0; number < one.count(); number++) {
            Cell cell = one.cells().get(number);
            if (number < other.count()) {
                assertThat(cell).isEqualTo(other.cells().get(number));
            } else {
                assertThat(cell.areaPx()).isZero();
            }
        }
    }

    @Test
    void aDragTellsTheCellsAnewWhenItIsOver() {
        ShapeMap map = ShapeMap.of(Pages.shapes(Pages.disc(1, 60, 60, 30), Pages.disc(2, 90, 60, 20)), 200, 200);
        List<PlanePatch> former = List.of(PlanePatch.of(map.plane(), new Box(0, 0, 200, 200)));
        for (int step = 1; step <= 5; step++) {
            double by = 10 * step;
            map.show(map.shapes().putting(List.of(Pages.disc(2, 90 + by, 60, 20))));
        }
        map.settle(former);

        assertSame(map.graph(), ShapeMap.of(map.shapes(), 200, 200).graph());
    }

    @Test
    void anOutlineIsInkOfItsWidthThatTheShapeInFrontHides() {
        Shape inked = Pages.rectangle(1, 20, 20, 80, 80).edged(new Edge(6, false));
        ShapeMap map = ShapeMap.of(Pages.shapes(inked, Pages.rectangle(2, 50, 0, 100, 100)), 100, 100);

        int row = 50 * 100;
        List<Integer> inkOfRow = new ArrayList<>();
        for (int x = 0; x < 100; x++) {
            if (map.ink().isInk(row + x)) {
                inkOfRow.add(x);
            }
        }
        assertThat(inkOfRow).containsExactly(17, 18, 19, 20, 21, 22);
        assertThat(map.strokeAt(20, 50)).isEqualTo(1);
    }

    @Test
    void aTaperedOutlineIsThinWhereItBegins() {
        Shape tapered = Pages.rectangle(1, 20, 20, 80, 80).edged(new Edge(9, true));
        ShapeMap map = ShapeMap.of(Pages.shapes(tapered), 100, 100);

        assertThat(inkAlong(map, 22, true)).isLessThan(inkAlong(map, 79, false));
    }

    private static int inkAlong(ShapeMap map, int at, boolean isColumn) {
        int count = 0;
        for (int i = 0; i < 50; i++) {
            count += map.ink().isInk(isColumn ? i * 100 + at : at * 100 + 50 + i) ? 1 : 0;
        }
        return count;
    }
}
