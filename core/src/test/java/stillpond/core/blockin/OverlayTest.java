package stillpond.core.blockin;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import stillpond.core.gap.Point;
import stillpond.core.refusal.Refusal;
import stillpond.core.shadow.Knot;
import stillpond.core.shadow.Outline;

class OverlayTest {

    private static final int SIZE = 200;

    private static boolean[] inside(List<Outline> loops) {
        return loops.isEmpty() ? new boolean[SIZE * SIZE] : Pages.inside(loops, SIZE, SIZE);
    }

    private static int differing(boolean[] one, boolean[] other) {
        int count = 0;
        for (int i = 0; i < one.length; i++) {
            count += one[i] == other[i] ? 0 : 1;
        }
        return count;
    }

    /** Discs and boxes at random: all that either has, and what the first has alone, but for pixels on the borders. */
    @Test
    void whatIsJoinedAndSubtractedIsWhatPixelsSay() {
        Random random = new Random(4);
        for (int round = 0; round < 40; round++) {
            Shape one = Pages.disc(1, 60 + random.nextInt(80), 60 + random.nextInt(80), 20 + random.nextInt(40));
            double x = random.nextInt(120);
            double y = random.nextInt(120);
            Shape other = round % 2 == 0
                    ? Pages.disc(2, x + 30, y + 30, 15 + random.nextInt(40))
                    : Pages.rectangle(2, x, y, x + 20 + random.nextInt(50), y + 20 + random.nextInt(50));
            boolean[] first = inside(one.loops());
            boolean[] second = inside(other.loops());
            boolean[] both = new boolean[first.length];
            boolean[] alone = new boolean[first.length];
            for (int i = 0; i < both.length; i++) {
                both[i] = first[i] || second[i];
                alone[i] = first[i] && !second[i];
            }

            assertThat(differing(inside(Overlay.joined(List.of(one, other))), both))
                    .isLessThan(12);
            assertThat(differing(inside(Overlay.without(one, List.of(other))), alone))
                    .isLessThan(12);
        }
    }

    @Test
    void neighboursThatShareABorderBecomeOneWithoutIt() {
        List<Outline> joined =
                Overlay.joined(List.of(Pages.rectangle(1, 20, 20, 60, 60), Pages.rectangle(2, 60, 20, 120, 60)));

        assertThat(joined).hasSize(1);
        assertThat(joined.get(0).knots()).hasSize(6);
        assertThat(Flat.doubleArea(Flat.polygon(joined.get(0))) / 2).isEqualTo(100 * 40);
    }

    @Test
    void bordersOfOtherLengthsAreSharedAsFarAsTheyGo() {
        List<Outline> joined =
                Overlay.joined(List.of(Pages.rectangle(1, 20, 20, 60, 60), Pages.rectangle(2, 60, 30, 120, 50)));

        assertThat(joined).hasSize(1);
        assertThat(Flat.doubleArea(Flat.polygon(joined.get(0))) / 2).isEqualTo(40 * 40 + 60 * 20);
    }

    @Test
    void whatLiesApartStaysInParts() {
        assertThat(Overlay.joined(List.of(Pages.disc(1, 40, 40, 20), Pages.disc(2, 140, 140, 20))))
                .hasSize(2);
    }

    @Test
    void subtractingTheMiddleLeavesAHoleAndAllOfItNothing() {
        Shape disc = Pages.disc(1, 100, 100, 60);

        List<Outline> ring = Overlay.without(disc, List.of(Pages.disc(2, 100, 100, 20)));
        assertThat(ring).hasSize(2);
        assertThat(new Shape(1, ring, Edge.NONE).has(100, 100)).isFalse();
        assertThat(new Shape(1, ring, Edge.NONE).has(100, 60)).isTrue();
        assertThat(Overlay.without(disc, List.of(Pages.rectangle(2, 0, 0, 200, 200))))
                .isEmpty();
    }

    @Test
    void whatCrossesItselfIsRefused() {
        Shape tie = Shape.of(
                1,
                new Outline(List.of(
                        Knot.straight(10, 10), Knot.straight(90, 90), Knot.straight(90, 10), Knot.straight(10, 90))));

        assertThatThrownBy(() -> Overlay.joined(List.of(tie, Pages.disc(2, 50, 50, 30))))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("crosses itself");
    }

    @Test
    void aShapeDrawnBesideAnotherSharesItsBorder() {
        Shapes one = Pages.shapes(Pages.disc(1, 60, 100, 50));
        Outline drawn = Drawn.rectangle(new Point(104, 70), new Point(180, 130));
        Abutting.Abutted abutted = Abutting.abut(drawn, one, 12);

        assertThat(abutted.beside()).containsExactly(1);
        Shapes both = abutted.shapes().putting(List.of(Shape.of(2, abutted.outline())));
        assertNoGroundBetween(both, 75, 125, 105, 170);
        assertThat(Overlay.joined(both.all())).hasSize(1);
    }

    @Test
    void aBorderIsSharedAllAroundAndAcrossThree() {
        Shapes shapes = Pages.shapes(Pages.rectangle(1, 10, 10, 60, 180), Pages.rectangle(2, 140, 10, 190, 180));
        Abutting.Abutted between = Abutting.abut(Drawn.rectangle(new Point(65, 20), new Point(136, 170)), shapes, 8);
        Shapes all = between.shapes().putting(List.of(Shape.of(3, between.outline())));

        assertThat(between.beside()).containsExactly(1, 2);
        assertNoGroundBetween(all, 22, 168, 12, 188);
    }

    private static void assertNoGroundBetween(Shapes shapes, int top, int bottom, int left, int right) {
        ShapeMap map = ShapeMap.of(shapes, SIZE, SIZE);
        for (int y = top; y < bottom; y++) {
            for (int x = left; x < right; x++) {
                assertThat(map.plane().numberAt(x, y)).isNotZero();
            }
        }
    }

    @Test
    void whatOnlyCrossesABorderDoesNotShareIt() {
        Shapes one = Pages.shapes(Pages.disc(1, 60, 100, 50));
        Outline drawn = Drawn.rectangle(new Point(20, 80), new Point(180, 120));

        assertThat(Abutting.abut(drawn, one, 6).outline()).isEqualTo(drawn);
    }

    @Test
    void aBorderThatIsCrossedAtASharpAngleIsNotFollowedAllAround() {
        Shapes leaf = Pages.shapes(ShapeText.shape("2: 60,10! 110,20 110,60 60,60!"));
        Outline drawn = ShapeText.shape("1: 79,5! 120,71 90,115").loops().get(0);
        Outline abutted = Abutting.abut(drawn, leaf, 4).outline();

        double area = Shape.of(1, drawn).areaPx();
        assertThat(Shape.of(1, abutted).areaPx()).isBetween(0.9 * area, 1.1 * area);
    }

    /** Whatever is drawn wherever, what it covers is about what was drawn. */
    @Test
    void sharingBordersNeverMakesAnotherShape() {
        Random random = new Random(9);
        Shapes two = Pages.shapes(Pages.disc(1, 70, 80, 40), Pages.rectangle(2, 112, 30, 180, 160));
        for (int round = 0; round < 300; round++) {
            double x = random.nextInt(150);
            double y = random.nextInt(150);
            Outline drawn = round % 2 == 0
                    ? Drawn.ellipse(
                            new Point(x, y), new Point(x + 20 + random.nextInt(80), y + 20 + random.nextInt(80)))
                    : Drawn.rectangle(
                            new Point(x, y), new Point(x + 20 + random.nextInt(80), y + 20 + random.nextInt(80)));
            Outline abutted = Abutting.abut(drawn, two, 5).outline();
            double area = Shape.of(3, drawn).areaPx();

            assertThat(differing(inside(List.of(abutted)), inside(List.of(drawn))))
                    .as("%s", ShapeText.of(Shape.of(3, drawn)))
                    .isLessThan((int) (60 + 0.25 * area));
        }
    }

    @Test
    void placesFarFromAllStayAsDrawn() {
        Outline drawn = Drawn.ellipse(new Point(10, 10), new Point(30, 30));

        assertThat(Abutting.abut(drawn, Pages.shapes(Pages.disc(1, 150, 150, 20)), 10)
                        .outline())
                .isEqualTo(drawn);
    }
}
