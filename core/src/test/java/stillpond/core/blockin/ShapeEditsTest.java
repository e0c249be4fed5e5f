package stillpond.core.blockin;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import stillpond.core.gap.Point;
import stillpond.core.refusal.Refusal;

class ShapeEditsTest {

    private static final Shapes TWO =
            Pages.shapes(Pages.rectangle(1, 20, 20, 100, 100), Pages.rectangle(2, 100, 20, 180, 100));

    private static int ground(Shapes shapes) {
        return Pages.areas(shapes, 200, 200)[0];
    }

    @Test
    void whatIsDrawnLiesInFrontAndSharesBorders() {
        ShapeEdit drawn = ShapeEdits.draw(TWO, Drawn.rectangle(new Point(24, 103), new Point(96, 150)), false, 6);

        assertThat(drawn.chosen()).containsExactly(3);
        assertThat(drawn.order()).containsExactly(1, 2, 3);
        assertThat(ground(drawn.after())).isLessThan(40_000 - 2 * 6400 - 72 * 49);
    }

    @Test
    void whatIsDrawnPastANeighbourIsTuckedUnder() {
        ShapeEdit drawn = ShapeEdits.draw(TWO, Drawn.ellipse(new Point(60, 60), new Point(140, 190)), true, 6);

        assertThat(drawn.order()).containsExactly(3, 1, 2);
        int[] areas = Pages.areas(drawn.after(), 200, 200);
        assertThat(areas[1]).isEqualTo(6400);
        assertThat(areas[2]).isEqualTo(6400);
    }

    @Test
    void aPointWhereShapesMeetIsOnePoint() {
        int before = ground(TWO);
        ShapeEdit moved = KnotEdits.move(TWO, new KnotEdits.At(1, 0, 1), new Point(110, 30), false);

        assertThat(moved.put()).hasSize(2);
        assertThat(moved.after().get(2).loops().get(0).knots().get(0).x()).isEqualTo(110);
        assertThat(ground(moved.after())).isBetween(before + 790, before + 810);
    }

    @Test
    void aPointAloneLeavesTheNeighbourAsItIs() {
        ShapeEdit moved = KnotEdits.move(TWO, new KnotEdits.At(1, 0, 1), new Point(90, 20), true);

        assertThat(moved.put()).hasSize(1);
        assertThat(ground(moved.after())).isGreaterThan(ground(TWO));
    }

    @Test
    void aPointOnASharedBorderIsAddedMovedAndDroppedInBoth() {
        ShapeEdit added = KnotEdits.add(TWO, 1, new Point(101, 60));
        assertThat(added.put()).hasSize(2);
        int knot = -1;
        for (int i = 0; i < 5; i++) {
            knot = added.after().get(1).loops().get(0).knots().get(i).y() == 60 ? i : knot;
        }
        KnotEdits.At at = new KnotEdits.At(1, 0, knot);

        Shapes moved =
                KnotEdits.move(added.after(), at, new Point(120, 60), false).after();
        assertThat(ground(moved)).isEqualTo(ground(TWO));
        assertThat(Pages.areas(moved, 200, 200)[1]).isGreaterThan(6400);

        Shapes round = KnotEdits.bend(moved, at).after();
        assertThat(ground(round)).isEqualTo(ground(TWO));
        assertThat(Pages.areas(round, 200, 200)[1]).isGreaterThan(Pages.areas(moved, 200, 200)[1]);

        assertThat(KnotEdits.drop(moved, at).after().get(2).loops().get(0).knots())
                .hasSize(4);
    }

    @Test
    void aPointSnapsToPointsFirstThenToBorders() {
        assertThat(KnotEdits.snapped(TWO, new Point(97, 17), List.of(), 6)).contains(new Point(100, 20));
        assertThat(KnotEdits.snapped(TWO, new Point(60, 17), List.of(), 6)).contains(new Point(60, 20));
        assertThat(KnotEdits.snapped(TWO, new Point(60, 17), List.of(1), 6)).isEmpty();
    }

    @Test
    void copiesWearWhatTheOriginalsWear() {
        ShapeEdit copied = ShapeEdits.duplicate(TWO, Set.of(2));

        assertThat(copied.like()).isEqualTo(Map.of(3, 2));
        assertThat(copied.chosen()).containsExactly(3);
    }

    @Test
    void joinedShapesAreOneAndTheOthersGo() {
        ShapeEdit joined = ShapeEdits.join(TWO, Set.of(1, 2));

        assertThat(joined.order()).containsExactly(1);
        assertThat(Pages.areas(joined.after(), 200, 200)[1]).isEqualTo(2 * 6400);
        assertThatThrownBy(() -> ShapeEdits.join(TWO, Set.of(1))).isInstanceOf(Refusal.class);
    }

    @Test
    void theFrontmostIsCutOutOfTheOthers() {
        Shapes three = TWO.putting(List.of(Pages.rectangle(3, 60, 40, 140, 60)));
        ShapeEdit cut = ShapeEdits.subtract(three, Set.of(1, 2, 3));

        int[] without = Pages.areas(cut.after().without(Set.of(3)), 200, 200);
        assertThat(without[1]).isEqualTo(6400 - 800);
        assertThat(without[2]).isEqualTo(6400 - 800);
        assertThat(ShapeEdits.subtract(TWO.putting(List.of(Pages.rectangle(3, 0, 0, 110, 110))), Set.of(1, 3))
                        .order())
                .containsExactly(2, 3);
    }

    @Test
    void partsOfWhatIsDividedWearWhatItWore() {
        ShapeEdit divided = ShapeEdits.divide(
                TWO, 2, new Even.Strips(4, 90).lines(TWO.get(2), TWO.get(2).middle()));

        assertThat(divided.chosen()).containsExactly(2, 3, 4, 5);
        assertThat(divided.like()).isEqualTo(Map.of(3, 2, 4, 2, 5, 2));
    }

    @Test
    void aLassoChoosesWhatItRunsAround() {
        List<Point> lasso = List.of(new Point(0, 0), new Point(130, 0), new Point(130, 120), new Point(0, 120));

        assertThat(ShapeEdits.within(TWO, lasso)).containsExactly(1);
    }

    @Test
    void turnedAndMirroredShapesKeepTheirArea() {
        Point middle = ShapeEdits.middle(TWO, Set.of(1, 2));
        ShapeEdit turned = ShapeEdits.place(
                TWO,
                Set.of(1, 2),
                at -> new Point(middle.x() - (at.y() - middle.y()), middle.y() + at.x() - middle.x()));

        assertThat(turned.after().get(1).areaPx()).isEqualTo(6400);
        assertThat(turned.put()).hasSize(2);
    }

    @Test
    void sharingABorderAfterwards() {
        Shapes apart = Pages.shapes(Pages.rectangle(1, 20, 20, 100, 100), Pages.rectangle(2, 104, 20, 180, 100));

        assertThat(ground(ShapeEdits.share(apart, 2, 8).after())).isEqualTo(40_000 - 2 * 6400);
        assertThatThrownBy(() -> ShapeEdits.share(TWO.without(Set.of(1)), 2, 8))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("No other shape");
    }
}
