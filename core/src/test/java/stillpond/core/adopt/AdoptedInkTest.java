package stillpond.core.adopt;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import stillpond.core.colour.Srgb;
import stillpond.core.ink.InkFinder;
import stillpond.core.ink.InkPlane;
import stillpond.core.ink.Picture;
import stillpond.core.stroke.StrokeMap;

class AdoptedInkTest {

    private static final int WIDTH = 100;
    private static final int HEIGHT = 40;

    /** Five upright lines on white paper, 6 pixels wide, from left to right. */
    private final Picture drawn = lines(0xff000000, 0xff20406a, 0xff8a2f24, 0xff224468, 0xff1d1d1d);

    private final InkPlane ink = InkFinder.find(drawn);
    private final StrokeMap strokes = StrokeMap.of(ink);

    @Test
    void strokesWearTheFewColoursThatTheyWereDrawnIn() {
        AdoptedInk adopted = AdoptedInk.of(strokes, ink, drawn, List.of());
        Srgb blue = adopted.colourByStroke().get(stroke(1));
        assertThat(blue).isIn(Srgb.ofHex("#20406a"), Srgb.ofHex("#224468"));
        assertThat(adopted.colourByStroke().get(stroke(3)))
                .as("nearly the same blue")
                .isEqualTo(blue);
        assertThat(adopted.colourByStroke().get(stroke(2))).isEqualTo(Srgb.ofHex("#8a2f24"));
    }

    @Test
    void blackInkStaysBlackHoweverItWasScanned() {
        assertThat(AdoptedInk.of(strokes, ink, drawn, List.of()).colourByStroke())
                .doesNotContainKeys(stroke(0), stroke(4));
    }

    @Test
    void aColourOfThePaletteIsTaken() {
        Srgb rust = Srgb.ofHex("#892f24");
        assertThat(AdoptedInk.of(strokes, ink, drawn, List.of(rust)).colourByStroke())
                .containsEntry(stroke(2), rust);
    }

    @Test
    void aPictureOfAnotherSizeIsRefused() {
        Picture small = new Picture(2, 2, new int[4]);
        assertThatThrownBy(() -> AdoptedInk.of(strokes, ink, small, List.of())).hasMessageContaining("another size");
    }

    private int stroke(int line) {
        return strokes.strokeAt(13 + 18 * line, HEIGHT / 2);
    }

    private static Picture lines(int... colours) {
        int[] argb = new int[WIDTH * HEIGHT];
        Arrays.fill(argb, 0xffffffff);
        for (int line = 0; line < colours.length; line++) {
            for (int y = 5; y < HEIGHT - 5; y++) {
                int from = y * WIDTH + 10 + 18 * line;
                Arrays.fill(argb, from, from + 6, colours[line]);
            }
        }
        return new Picture(WIDTH, HEIGHT, argb);
    }
}
