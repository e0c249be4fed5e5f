package stillpond.core.render;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import stillpond.core.gap.Opening;
import stillpond.core.gap.Point;
import stillpond.core.ink.InkPlane;

class AddedInkTest {

    @Test
    void aStrokeIsAsWideAsAskedAndTheDrawnInkStays() {
        InkPlane ink = new InkPlane(20, 9, new byte[180], 128);
        List<Point> line = List.of(new Point(4, 4.5), new Point(16, 4.5));
        Opening opening = new Opening(0, 1, Opening.Kind.ENDS, line, 12, 4, 0.9);
        InkPlane drawn = AddedInk.over(ink, List.of(opening), 3);
        for (int y = 0; y < 9; y++) {
            assertThat(drawn.isInk(y * 20 + 10)).isEqualTo(y >= 3 && y <= 5);
        }
        assertThat(ink.inkPixels()).isZero();
        assertThat(AddedInk.over(ink, List.of(), 3)).isSameAs(ink);
    }
}
