package stillpond.core.colour;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class ColourVisionTest {

    @ParameterizedTest
    @EnumSource
    void greysLookAsTheyAre(ColourVision vision) {
        for (int grey = 0; grey < 256; grey += 15) {
            Srgb colour = new Srgb(grey, grey, grey);
            assertThat(vision.seen(colour)).isEqualTo(colour);
        }
    }

    /** A red and a green of one lightness: who is weak in either takes them for near the same, who is weak in blue does not. */
    @Test
    void redAndGreenComeNearForThoseWhoAreWeakInEither() {
        Srgb red = Srgb.ofHex("#c8553d");
        Srgb green = Srgb.ofHex("#6f8f2f");
        double usual = Ciede2000.between(red, green);

        assertThat(apart(ColourVision.GREEN_WEAK, red, green)).isLessThan(usual / 2);
        assertThat(apart(ColourVision.BLUE_WEAK, red, green)).isGreaterThan(usual / 2);
    }

    private static double apart(ColourVision vision, Srgb first, Srgb second) {
        return Ciede2000.between(vision.seen(first), vision.seen(second));
    }
}
