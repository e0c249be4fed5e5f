package stillpond.core.line;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import stillpond.core.Grid;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.ink.Placing;
import stillpond.core.stroke.StrokeMap;

class MovedStrokesTest {

    private static final Fill BLUE = Fill.flat(new UUID(0, 1));
    private static final Fill RUST = Fill.flat(new UUID(0, 2));

    private final StrokeMap two = StrokeMap.of(Grid.ink(
            "....................",
            "..###.........###...",
            "..###.........###...",
            "..###.........###...",
            "..###.........###...",
            "..###.........###...",
            "..###.........###...",
            "...................."));

    /** The line on the left is drawn anew in two pieces. */
    private final StrokeMap three = StrokeMap.of(Grid.ink(
            "....................",
            "..###.........###...",
            "..###.........###...",
            "..............###...",
            "..............###...",
            "..###.........###...",
            "..###.........###...",
            "...................."));

    @Test
    void bothPiecesOfALineWearWhatItWore() {
        Fills worn = Fills.of(Map.of(two.strokeAt(3, 3), BLUE, two.strokeAt(15, 3), RUST));

        Fills moved = MovedStrokes.move(worn, two, three, Placing.SAME);

        assertThat(three.count()).isEqualTo(3);
        assertThat(moved.of(three.strokeAt(3, 1))).isEqualTo(BLUE);
        assertThat(moved.of(three.strokeAt(3, 6))).isEqualTo(BLUE);
        assertThat(moved.of(three.strokeAt(15, 3))).isEqualTo(RUST);
    }

    @Test
    void whatWoreNothingWearsNothing() {
        Fills worn = Fills.of(Map.of(two.strokeAt(15, 3), RUST));
        assertThat(MovedStrokes.move(worn, two, three, Placing.SAME).filled()).containsExactly(three.strokeAt(15, 3));
    }
}
