package stillpond.core.gap;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;

class DamStrokeTest {

    /** Upright, at x = 10, 20, 30 and 40, ten pixels long; ever weaker. */
    private static final List<Opening> FOUR =
            List.of(upright(10, 0.9), upright(20, 0.5), upright(30, 0.2), upright(40, 0.01));

    private static Opening upright(int x, double strength) {
        return new Opening(0, 1, Opening.Kind.ENDS, List.of(new Point(x, 0), new Point(x, 10)), 10, 2, strength);
    }

    private static List<Point> along(double y, double... xs) {
        return Arrays.stream(xs).mapToObj(x -> new Point(x, y)).toList();
    }

    @Test
    void aLineMeansWhatItCrossesButForTheWeakest() {
        assertThat(DamStroke.crossed(FOUR, along(5, 15, 50))).containsExactly(1, 2);
        assertThat(DamStroke.crossed(FOUR, along(11, 0, 50))).as("beside them").isEmpty();
        assertThat(DamStroke.crossed(FOUR, along(5, 15))).as("a mere point").isEmpty();
    }

    @Test
    void aClickMeansTheNearestWithinItsReach() {
        assertThat(DamStroke.nearest(FOUR, new Point(14, 12), 8)).hasValue(0);
        assertThat(DamStroke.nearest(FOUR, new Point(16, 5), 8)).hasValue(1);
        assertThat(DamStroke.nearest(FOUR, new Point(40, 5), 8)).as("too weak").isEmpty();
        assertThat(DamStroke.nearest(FOUR, new Point(10, 18), 8))
                .as("just as far")
                .isEmpty();
    }

    @Test
    void aBrushMeansWhatAWiderReachWouldDamOrANarrowerOneLeaveOpen() {
        List<Point> over = along(5, 10, 20, 30, 40);
        assertThat(DamStroke.brushed(FOUR, over, 3, 0.6, false)).containsExactly(0, 1, 2);
        assertThat(DamStroke.brushed(FOUR, over, 3, 0.7, false)).containsExactly(0, 1);
        assertThat(DamStroke.brushed(FOUR, over, 3, 0.2, true)).containsExactly(2, 3);
        assertThat(DamStroke.brushed(FOUR, along(9, 30), 3, 0.6, false))
                .as("its middle is too far")
                .isEmpty();
    }
}
