package stillpond.core.adopt;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.util.List;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;
import stillpond.core.colour.Srgb;
import stillpond.core.gap.Openings;
import stillpond.core.ink.InkFinder;
import stillpond.core.ink.InkPlane;
import stillpond.core.ink.Picture;

/** A box parted in two with a disc in its left half. */
class AdoptedFlatsTest {

    private static final Srgb COAT = Srgb.ofHex("#2f6f5e");
    private static final Srgb ALMOST_COAT = Srgb.ofHex("#30705f");
    private static final Srgb SAND = Srgb.ofHex("#dfb981");
    private static final Srgb SUN = Srgb.ofHex("#f4da9f");

    private final InkPlane ink = InkFinder.find(picture(600, 400, pen -> {
        pen.setColor(Color.WHITE);
        pen.fillRect(0, 0, 600, 400);
        pen.setColor(Color.BLACK);
        pen.setStroke(new BasicStroke(7));
        pen.drawRect(40, 40, 520, 320);
        pen.drawLine(300, 40, 300, 360);
        pen.drawOval(120, 140, 110, 110);
    }));
    private final Openings openings = Openings.of(ink);

    @Test
    void cellsTakeTheColourThatMostOfTheirAreaHasAndSoftEdgesVoteForNothing() {
        AdoptedFlats adopted = adopt(smooth(COAT, SAND, SUN), List.of());
        assertThat(adopted.colourByCell().get(cell(70, 70))).isEqualTo(COAT);
        assertThat(adopted.colourByCell().get(cell(450, 200))).isEqualTo(SAND);
        assertThat(adopted.colourByCell().get(cell(175, 195))).isEqualTo(SUN);
        assertThat(adopted.colourByCell().values()).containsOnly(COAT, SAND, SUN);
        assertThat(adopted.colourByCell()).as("nothing lies outside").doesNotContainKey(cell(10, 10));
        assertThat(adopted.edges()).isPositive();
        assertThat(adopted.mixed()).isEmpty();
    }

    @Test
    void nearTwinsAreOneAndAKnownColourIsTheOneKept() {
        assertThat(adopt(smooth(ALMOST_COAT, SAND, COAT), List.of())
                        .colourByCell()
                        .values())
                .containsOnly(ALMOST_COAT, SAND);
        AdoptedFlats known = adopt(smooth(ALMOST_COAT, SAND, SUN), List.of(COAT));
        assertThat(known.colourByCell().values()).containsOnly(COAT, SAND, SUN);
        assertThat(known.folded()).isEqualTo(1);
    }

    @Test
    void aCellWithTwoColoursIsListedWithTheirShares() {
        Picture half = picture(600, 400, pen -> {
            pen.setColor(new Color(SAND.packed()));
            pen.fillRect(300, 40, 260, 110);
            pen.setColor(new Color(COAT.packed()));
            pen.fillRect(300, 150, 260, 210);
        });
        AdoptedFlats adopted = adopt(half, List.of());
        assertThat(adopted.mixed()).singleElement().satisfies(mixed -> {
            assertThat(mixed.cell()).isEqualTo(cell(450, 200));
            assertThat(mixed.colours().keySet()).containsExactly(COAT, SAND);
        });
        assertThat(adopted.colourByCell().get(cell(450, 200))).isEqualTo(COAT);
    }

    @Test
    void flatsOfAnotherSizeFitAndThoseOfAnotherPageAreRefused() {
        Picture small = picture(300, 200, pen -> {
            pen.setColor(new Color(SAND.packed()));
            pen.fillRect(20, 20, 260, 160);
        });
        assertThat(adopt(small, List.of()).colourByCell().get(cell(450, 200))).isEqualTo(SAND);
        assertThatThrownBy(() -> adopt(picture(400, 400, pen -> {}), List.of()))
                .hasMessageContaining("another page")
                .hasMessageContaining("400 x 400");
        assertThatThrownBy(() -> adopt(picture(600, 400, pen -> {}), List.of())).hasMessageContaining("no flats");
    }

    private AdoptedFlats adopt(Picture flats, List<Srgb> known) {
        return AdoptedFlats.of(openings.cells(), ink, flats, known, 2.3);
    }

    private int cell(int x, int y) {
        return openings.cells().plane().numberAt(x, y);
    }

    private static Picture smooth(Srgb left, Srgb right, Srgb disc) {
        return picture(600, 400, pen -> {
            pen.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
            pen.setColor(new Color(left.packed()));
            pen.fillRect(40, 40, 260, 320);
            pen.setColor(new Color(right.packed()));
            pen.fillRect(300, 40, 260, 320);
            pen.setColor(new Color(disc.packed()));
            pen.fillOval(118, 138, 114, 114);
        });
    }

    private static Picture picture(int width, int height, Consumer<Graphics2D> draw) {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_ARGB);
        Graphics2D pen = image.createGraphics();
        draw.accept(pen);
        pen.dispose();
        return new Picture(width, height, image.getRGB(0, 0, width, height, null, 0, width));
    }
}
