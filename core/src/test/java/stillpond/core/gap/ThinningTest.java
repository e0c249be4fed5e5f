package stillpond.core.gap;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.geom.Ellipse2D;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import stillpond.core.ink.InkPlane;

class ThinningTest {

    @Test
    void aBarBecomesALine() {
        boolean[] ink = new boolean[20 * 9];
        for (int y = 2; y < 7; y++) {
            Arrays.fill(ink, y * 20 + 2, y * 20 + 18, true);
        }
        boolean[] thin = Thinning.thin(ink, 20, 9);
        for (int i = 0; i < thin.length; i++) {
            assertThat(thin[i] && i / 20 != 4).isFalse();
        }
        assertThat(thin[4 * 20 + 10]).isTrue();
    }

    @Test
    void strokesHaveTheEndsThatOneSees() {
        InkPlane ink = Drawn.of(
                Drawn.line(50, 50, 150, 60),
                Drawn.line(200, 50, 200, 150, 300, 150),
                new Ellipse2D.Double(60, 150, 80, 80),
                Drawn.line(250, 200, 250, 280),
                Drawn.line(210, 240, 290, 240));
        SearchPage page = SearchPage.of(ink);
        List<StrokeEnd> ends = Skeleton.of(page).ends();
        assertThat(ends).hasSize(2 + 2 + 4);
        StrokeEnd first = ends.stream()
                .filter(end -> end.tip().times(1 / page.scale() / 1.5).distanceTo(new Point(47, 50)) < 3)
                .findFirst()
                .orElseThrow();
        assertThat(first.direction().dot(new Point(-100, -10).unit())).isGreaterThan(0.97);
        assertThat(first.isolated()).isTrue();
    }
}
