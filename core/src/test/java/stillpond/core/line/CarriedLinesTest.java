package stillpond.core.line;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import stillpond.core.cell.Box;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.fill.Places;
import stillpond.core.stroke.Stroke;

class CarriedLinesTest {

    private static final Fill COAT = Fill.flat(new UUID(0, 1));
    private static final Fill SKIN = Fill.flat(new UUID(0, 2));
    private static final Fill GREEN = Fill.flat(new UUID(0, 3));
    private static final Fill RUST = Fill.flat(new UUID(0, 4));

    /** Cells 0 and 1 wear the coat, 2 skin, 3 nothing. */
    private static final Map<Integer, Fill> CELLS = Map.of(0, COAT, 1, COAT, 2, SKIN);

    @Test
    void inkBetweenTheSameFillsGetsTheSameColour() {
        CarriedLines lines = new CarriedLines();
        lines.learn(
                List.of(stroke(0, 40, 0, 1), stroke(1, 40, 0, 2), stroke(2, 40, 2)), worn(Map.of(0, GREEN, 1, RUST)));

        Map<Integer, Fill> laid = lines.on(
                List.of(stroke(0, 9, 2, 1), stroke(1, 9, 1), stroke(2, 9, 1, 0), stroke(3, 9, 2)), worn(Map.of()));

        assertThat(laid)
                .isEqualTo(Map.of(
                        Places.ofStroke(0), RUST,
                        Places.ofStroke(1), GREEN,
                        Places.ofStroke(2), GREEN));
    }

    @Test
    void inkThatWearsSomethingKeepsIt() {
        CarriedLines lines = new CarriedLines();
        lines.learn(List.of(stroke(0, 40, 0, 1)), worn(Map.of(0, GREEN)));
        assertThat(lines.on(List.of(stroke(0, 9, 0, 1)), worn(Map.of(0, RUST)))).isEmpty();
    }

    @Test
    void whereTheSourcesDisagreeInkIsLeftAlone() {
        CarriedLines lines = new CarriedLines();
        lines.learn(List.of(stroke(0, 40, 0, 1), stroke(1, 30, 0, 1)), worn(Map.of(0, GREEN, 1, RUST)));
        assertThat(lines.on(List.of(stroke(0, 9, 0, 1)), worn(Map.of()))).isEmpty();

        lines.learn(List.of(stroke(0, 400, 0, 1)), worn(Map.of(0, GREEN)));
        assertThat(lines.on(List.of(stroke(0, 9, 0, 1)), worn(Map.of()))).containsValue(GREEN);
    }

    @Test
    void inkThatIsBlackThereStaysBlackHere() {
        CarriedLines lines = new CarriedLines();
        lines.learn(List.of(stroke(0, 40, 0, 1), stroke(1, 90, 0, 1)), worn(Map.of(0, GREEN)));
        assertThat(lines.on(List.of(stroke(0, 9, 0, 1)), worn(Map.of()))).isEmpty();
    }

    @Test
    void inkBesideNothingSaysNothing() {
        CarriedLines lines = new CarriedLines();
        lines.learn(List.of(stroke(0, 40, 3)), worn(Map.of(0, GREEN)));
        assertThat(lines.on(List.of(stroke(0, 9, 3)), worn(Map.of()))).isEmpty();
    }

    /** @param byStroke what strokes wear */
    private static Fills worn(Map<Integer, Fill> byStroke) {
        Map<Integer, Fill> worn = new HashMap<>(CELLS);
        byStroke.forEach((stroke, fill) -> worn.put(Places.ofStroke(stroke), fill));
        return Fills.of(worn);
    }

    private static Stroke stroke(int number, double inkPx, int... cells) {
        List<Stroke.Side> sides = Arrays.stream(cells)
                .mapToObj(cell -> new Stroke.Side(cell, 1.0 / cells.length))
                .toList();
        return new Stroke(number, inkPx, new Box(0, 0, 10, 3), sides);
    }
}
