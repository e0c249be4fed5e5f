package stillpond.bench.flats;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferInt;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import stillpond.core.ink.Picture;

class CasesTest {

    private static final int SIDE = 400;
    private static final int MARGIN = 36;

    @Test
    void inkAndFlatsOfAColouredDrawingBecomeACase() {
        Case made = made(coloured()).orElseThrow();
        assertThat(made.width()).isEqualTo(SIDE + 2 * MARGIN);
        assertThat(made.regions()).hasSize(2);
        assertThat(label(made, 100, 200)).isNotEqualTo(label(made, 300, 200)).isGreaterThan(1);
        assertThat(label(made, 10, 10)).isEqualTo(1);
        assertThat(made.regions())
                .allSatisfy(region -> assertThat(Support.of(region.support())).isEqualTo(Support.CLOSED));
        assertThat(made.line().getRaster().getSample(100 + MARGIN, 200 + MARGIN, 0))
                .isEqualTo(255);
        assertThat(made.line().getRaster().getSample(50 + MARGIN, 200 + MARGIN, 0))
                .isLessThan(40);
    }

    /** A highlight without ink around it belongs to what it lies on. */
    @Test
    void coloursThatNoInkPartsAreOneRegion() {
        BufferedImage drawing = coloured();
        Graphics2D pen = drawing.createGraphics();
        pen.setColor(Color.PINK);
        pen.fillOval(80, 180, 40, 40);
        pen.dispose();
        Case made = made(drawing).orElseThrow();
        assertThat(label(made, 100, 200)).isEqualTo(label(made, 100, 120));
    }

    @Test
    void aDrawingInGradientsIsNone() {
        BufferedImage drawing = coloured();
        for (int y = 60; y < 340; y++) {
            for (int x = 60; x < 195; x++) {
                drawing.setRGB(x, y, 0xff000000 | x << 16 | y / 2 << 8 | 200);
            }
        }
        assertThat(made(drawing)).isEmpty();
    }

    @Test
    void cutGapsOpenInkAndLeaveTheTruth() {
        Case made = made(coloured()).orElseThrow();
        Case gapped = GapCutter.cut(made, new Random(1));
        assertThat(gapped.truth()).isEqualTo(made.truth());
        assertThat(inkPixels(gapped)).isLessThan(inkPixels(made));
        assertThat(inkPixels(made)).isEqualTo(inkPixels(made(coloured()).orElseThrow()));
    }

    @Test
    void aDrawingIsKnownAgainAtAnotherSize() {
        BufferedImage line = made(coloured()).orElseThrow().line();
        BufferedImage half = new BufferedImage(300, 300, BufferedImage.TYPE_BYTE_GRAY);
        Graphics2D pen = half.createGraphics();
        pen.setColor(Color.WHITE);
        pen.fillRect(0, 0, 300, 300);
        pen.drawImage(line, 40, 40, 240, 240, null);
        pen.dispose();
        assertThat(new SameDrawing(line).isLike(new SameDrawing(half))).isTrue();
        assertThat(new SameDrawing(line)
                        .isLike(new SameDrawing(CaseMaker.fitting(1).line())))
                .isFalse();
    }

    /** The MD5 of "bo_reed" begins with the byte 60, that of "joe_smith" with one that leaves 2 when divided by 5. */
    @Test
    void drawingsOfArtistsThatAreKeptApartAreLeftOut() {
        assertThat(ClipartCases.firstByteOfMd5("bo_reed")).isEqualTo(60);
        assertThat(ClipartCases.isLeftOut("cup_02_bo_reed")).isTrue();
        assertThat(ClipartCases.isLeftOut("hat_bo_reed_17")).isTrue();
        assertThat(ClipartCases.isLeftOut("hat_joe_smith_01")).isFalse();
    }

    private static int label(Case made, int x, int y) {
        return made.truth()[(y + MARGIN) * made.width() + x + MARGIN];
    }

    private static int inkPixels(Case made) {
        return FlatsBench.ink(made).inkPixels();
    }

    private static Optional<Case> made(BufferedImage drawing) {
        int[] argb = ((DataBufferInt) drawing.getRaster().getDataBuffer()).getData();
        return ColouredDrawing.toCase("made", new Picture(SIDE, SIDE, argb), ColouredDrawing.Limits.MEASURED);
    }

    /** Two boxes side by side in red and blue, outlined, on white. */
    private static BufferedImage coloured() {
        BufferedImage drawing = new BufferedImage(SIDE, SIDE, BufferedImage.TYPE_INT_ARGB);
        Graphics2D pen = drawing.createGraphics();
        pen.setColor(Color.WHITE);
        pen.fillRect(0, 0, SIDE, SIDE);
        pen.setColor(Color.RED);
        pen.fillRect(50, 50, 150, 300);
        pen.setColor(Color.BLUE);
        pen.fillRect(200, 50, 150, 300);
        pen.setColor(Color.BLACK);
        pen.setStroke(new BasicStroke(8));
        pen.drawRect(50, 50, 150, 300);
        pen.drawRect(200, 50, 150, 300);
        pen.dispose();
        return drawing;
    }
}
