package stillpond.core.blockin;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import stillpond.core.gap.Point;
import stillpond.core.refusal.Refusal;

class ShapesTest {

    private static final Shape DISC = Pages.disc(1, 50, 50, 20);
    private static final Shape BOX = Pages.rectangle(2, 10, 10, 40, 40);
    private static final Shape HILL = Pages.disc(3, 90, 90, 30);

    @Test
    void shapesAreTextAndBack() {
        Shape ring = new Shape(
                7, List.of(DISC.loops().get(0), Pages.disc(1, 50, 50, 8).loops().get(0)), new Edge(4.5, true));
        Shapes shapes = new Shapes(
                List.of(BOX, ring),
                List.of(Dividing.drawn(
                        List.of(new Point(15, 15), new Point(20, 25), new Point(35, 20)), Pages.shapes(BOX), 2, 1, 1)));

        assertThat(ShapeText.shapes(ShapeText.of(shapes))).isEqualTo(shapes);
        assertThat(ShapeText.of(BOX)).isEqualTo("2: 10,10! 40,10! 40,40! 10,40!");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "1",
                "x: 0,0! 1,1! 2,0!",
                "1:",
                "1: 0,0! 5,5!",
                "0: 0,0! 5,5! 5,0!",
                "9999: 0,0! 5,5! 5,0!",
                "1 w999: 0,0! 5,5! 5,0!",
                "1 wNaN: 0,0! 5,5! 5,0!",
                "1: 0,0! 1e9,5! 5,0!",
                "1: 0,0! 900000,5! 5,0!"
            })
    void whatIsNoShapeIsRefused(String text) {
        assertThatThrownBy(() -> ShapeText.shape(text)).isInstanceOf(Refusal.class);
    }

    @Test
    void newShapesTakeTheLowestFreeNumbers() {
        Shapes shapes = Pages.shapes(DISC, HILL);

        assertThat(shapes.free(3)).containsExactly(2, 4, 5);
        assertThat(shapes.cells()).isEqualTo(4);
    }

    @Test
    void shapesMoveInTheOrderOneByOneAndTogether() {
        Shapes shapes = Pages.shapes(DISC, BOX, HILL);

        assertThat(numbers(shapes.moving(Set.of(1), 1))).containsExactly(2, 1, 3);
        assertThat(numbers(shapes.moving(Set.of(3), -9))).containsExactly(3, 1, 2);
        assertThat(numbers(shapes.moving(Set.of(1, 2), 1))).containsExactly(3, 1, 2);
        assertThat(numbers(shapes.tuckedUnder(3, Set.of(2)))).containsExactly(1, 3, 2);
    }

    private static List<Integer> numbers(Shapes shapes) {
        return shapes.all().stream().map(Shape::number).toList();
    }

    @Test
    void oneExactlyLikeAnotherIsRefused() {
        Shapes shapes = Pages.shapes(DISC, BOX);

        assertThatThrownBy(() -> shapes.becoming(List.of(DISC.numbered(3)), List.of(1, 2, 3), List.of()))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("exactly like this");
    }

    @Test
    void oneThatCoversNothingIsRefused() {
        Shape line = ShapeText.shape("5: 10,10! 50,50! 90,90!");

        assertThatThrownBy(() -> Pages.shapes(DISC).becoming(List.of(line), List.of(1, 5), List.of()))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("covers nothing");
    }

    @Test
    void threeThousandShapesAreRefusedAndNothingIsLost() {
        List<Shape> many = new ArrayList<>();
        for (int i = 1; i <= 3000; i++) {
            many.add(Pages.rectangle(i, i, 0, i + 1, 10));
        }

        assertThatThrownBy(() -> new Shapes(many, List.of()))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("up to 2,000 shapes; these would be 3000");
    }

    @Test
    void whatIsGoneMeanwhileIsSaid() {
        assertThatThrownBy(() -> Pages.shapes(DISC).becoming(List.of(), List.of(1, 2), List.of()))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("no shape 2");
    }

    @Test
    void figuresAreAsLargeAsTheBoxTheyAreDrawnIn() {
        Shape hexagon = Shape.of(1, Drawn.polygon(new Point(0, 0), new Point(100, 100), 6));

        assertThat(hexagon.areaPx())
                .isCloseTo(1.5 * Math.sqrt(3) * 50 * 50, org.assertj.core.api.Assertions.within(20.0));
        assertThatThrownBy(() -> Drawn.polygon(new Point(0, 0), new Point(9, 9), 2))
                .isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> Drawn.ellipse(new Point(5, 5), new Point(5, 90)))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("too small");
    }
}
