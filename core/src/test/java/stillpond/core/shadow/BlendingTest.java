package stillpond.core.shadow;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import stillpond.core.colour.BlendMode;
import stillpond.core.colour.Oklab;
import stillpond.core.colour.Oklch;
import stillpond.core.colour.Srgb;

class BlendingTest {

    private static final Optional<Srgb> WORN = Optional.of(Srgb.ofHex("#8040c0"));
    private static final int SAND = 0xffc0a060;

    private static Shadow shadow(BlendMode mode, int darker, int strength, String form) {
        return new Shadow(1, 0, "Shadow", new Base.Cells(List.of(0)), Form.ofText(form), mode, darker, strength, 0);
    }

    private static Shadow drawn(BlendMode mode, int strength) {
        return shadow(mode, 20, strength, "drawn 0,0 9,0 9,9");
    }

    /** B(cb, cs) = cb x cs: 192 x 128 / 255, 160 x 64 / 255, 96 x 192 / 255. */
    @Test
    void multipliesAsTheStandardSays() {
        assertThat(Blending.over(SAND, drawn(BlendMode.MULTIPLY, 100), WORN, Pieces.LEVELS))
                .isEqualTo(0xff602848);
    }

    /** B(cb, cs) = cb + cs - cb x cs. */
    @Test
    void screensAsTheStandardSays() {
        assertThat(Blending.over(SAND, drawn(BlendMode.SCREEN, 100), WORN, Pieces.LEVELS))
                .isEqualTo(0xffe0b8d8);
    }

    /** Half of the way, by strength or by how much of it is there: co = cs x as + cb x (1 - as). */
    @Test
    void strengthAndCoverMixWithWhatLiesUnderIt() {
        int half = 0xff906454;
        assertThat(Blending.over(SAND, drawn(BlendMode.MULTIPLY, 50), WORN, Pieces.LEVELS))
                .isEqualTo(half);
        assertThat(Blending.over(SAND, drawn(BlendMode.MULTIPLY, 100), WORN, Pieces.LEVELS / 2))
                .isEqualTo(half);
        assertThat(Blending.over(SAND, drawn(BlendMode.MULTIPLY, 0), WORN, Pieces.LEVELS))
                .isEqualTo(SAND);
    }

    /** Where nothing lies under it, the source shows: Cs = (1 - ab) x Cs + ab x B(Cb, Cs). */
    @Test
    void onClearPaperASwatchShowsAsItIs() {
        assertThat(Blending.over(0, drawn(BlendMode.MULTIPLY, 100), WORN, Pieces.LEVELS))
                .isEqualTo(0xff8040c0);
        assertThat(Blending.over(0, drawn(BlendMode.MULTIPLY, 40), WORN, Pieces.LEVELS))
                .isEqualTo(0x668040c0);
        assertThat(Blending.over(0, drawn(BlendMode.MULTIPLY, 100), Optional.empty(), Pieces.LEVELS))
                .isZero();
    }

    /** Destination-out: ao = ab x (1 - as). */
    @Test
    void aGrainLetsThePaperThroughOrShowsItsSwatch() {
        Shadow grain = shadow(BlendMode.MULTIPLY, 20, 50, "grain 4 7");
        assertThat(Blending.over(SAND, grain, Optional.empty(), Pieces.LEVELS)).isEqualTo(0x80c0a060);
        assertThat(Blending.over(SAND, grain, Optional.empty(), Pieces.LEVELS / 2))
                .isEqualTo(0xbfc0a060);
        assertThat(Blending.over(SAND, grain, WORN, Pieces.LEVELS)).isEqualTo(0xff906454);
    }

    @Test
    void withoutASwatchItIsWhatLiesUnderItBroughtDownInLightness() {
        int shaded = Blending.over(SAND, drawn(BlendMode.SCREEN, 100), Optional.empty(), Pieces.LEVELS);
        Oklch before = Oklch.of(Srgb.ofPacked(SAND & 0xffffff));
        Oklch after = Oklch.of(Srgb.ofPacked(shaded & 0xffffff));
        assertThat(after.lightness()).isCloseTo(before.lightness() - 0.2, within(0.005));
        assertThat(after.hue()).isCloseTo(before.hue(), within(2.0));

        int lit = Blending.over(
                SAND, shadow(BlendMode.NORMAL, -10, 100, "drawn 0,0 9,0 9,9"), Optional.empty(), Pieces.LEVELS);
        assertThat(Oklab.of(Srgb.ofPacked(lit & 0xffffff)).lightness())
                .isCloseTo(before.lightness() + 0.1, within(0.005));

        int pale = 0x80c0a060;
        assertThat(Blending.over(pale, drawn(BlendMode.NORMAL, 100), Optional.empty(), Pieces.LEVELS) >>> 24)
                .as("opacity stays")
                .isEqualTo(0x80);
    }

    /** A rim under its base is seen through it as far as that is clear: co = cb x ab + cs x (1 - ab). */
    @Test
    void aRimCoversWhatIsBehindAndShowsThroughWhatIsAbove() {
        Shadow rim = shadow(BlendMode.MULTIPLY, 20, 100, "rim 4 round under");
        assertThat(Blending.over(SAND, rim, WORN, Pieces.LEVELS)).isEqualTo(0xff8040c0);
        assertThat(Blending.over(SAND, rim, WORN, 2 * Pieces.LEVELS)).isEqualTo(SAND);
        assertThat(Blending.over(0, rim, WORN, 2 * Pieces.LEVELS)).isEqualTo(0xff8040c0);
        int half = Blending.over(0x80c0a060, rim, WORN, 2 * Pieces.LEVELS);
        assertThat(half >>> 24).isEqualTo(255);
        assertThat(half >> 16 & 0xff).isCloseTo((192 * 128 + 128 * 127) / 255, within(1));
        assertThat(Blending.over(SAND, rim, Optional.empty(), Pieces.LEVELS))
                .as("no swatch")
                .isEqualTo(0xff000000);
    }
}
