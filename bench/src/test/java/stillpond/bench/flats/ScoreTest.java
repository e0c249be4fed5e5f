package stillpond.bench.flats;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.util.List;
import org.junit.jupiter.api.Test;
import stillpond.core.gap.Openings;

class ScoreTest {

    private static final int SIDE = 240;

    /** The fringes of a region are set to 0 in the truth; the area in its entry still counts them. */
    @Test
    void areasAreCountedFromTheLabelsNotTakenFromTheEntry() {
        Case box = box(2 * 160 * 160);
        int[] truth = box.truth();
        for (int i = 0; i < truth.length; i++) {
            truth[i] = truth[i] == 2 && i % SIDE < 60 ? Case.DO_NOT_CARE : truth[i];
        }
        Score.Click click = Score.of(box, Openings.of(FlatsBench.ink(box))).get(0);
        assertThat(click.areaPx()).isEqualTo((int)
                java.util.Arrays.stream(truth).filter(label -> label == 2).count());
        assertThat(click.iou()).isGreaterThan(0.99);
        assertThat(click.isHit() && click.isHitPlain()).isTrue();
        assertThat(click.isCutNeedlessly() || click.isSavedByDams()).isFalse();
        assertThat(click.pieces()).isEqualTo(1);
    }

    @Test
    void aGapIsSavedByDams() {
        Case box = box(160 * 160);
        Graphics2D pen = box.line().createGraphics();
        pen.setColor(Color.WHITE);
        pen.fillRect(115, 30, 8, 20);
        pen.dispose();
        Score.Click click = Score.of(box, Openings.of(FlatsBench.ink(box))).get(0);
        assertThat(click.isSavedByDams()).isTrue();
        assertThat(click.plainIou()).isLessThan(0.85);
    }

    @Test
    void borderBackedByInkMakesTheClass() {
        assertThat(List.of(0.9995, 0.96, 0.81, 0.3))
                .map(Support::of)
                .containsExactly(Support.CLOSED, Support.HAIRLINE, Support.GAPPED, Support.OPEN);
    }

    private static Case box(int areaInTheEntry) {
        BufferedImage page = new BufferedImage(SIDE, SIDE, BufferedImage.TYPE_BYTE_GRAY);
        Graphics2D pen = page.createGraphics();
        pen.setColor(Color.WHITE);
        pen.fillRect(0, 0, SIDE, SIDE);
        pen.setColor(Color.BLACK);
        pen.setStroke(new BasicStroke(6));
        pen.drawRect(40, 40, 160, 160);
        pen.dispose();
        int[] truth = new int[SIDE * SIDE];
        for (int i = 0; i < truth.length; i++) {
            int x = i % SIDE;
            int y = i / SIDE;
            boolean inside = x > 43 && x < 197 && y > 43 && y < 197;
            boolean outside = x < 36 || x > 204 || y < 36 || y > 204;
            truth[i] = inside ? 2 : outside ? 1 : Case.DO_NOT_CARE;
        }
        return new Case(
                "box", page, truth, List.of(new Case.TruthRegion(2, areaInTheEntry, 1, SIDE / 2, SIDE / 2, 76)));
    }
}
