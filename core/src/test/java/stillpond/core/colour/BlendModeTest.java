package stillpond.core.colour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Arrays;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class BlendModeTest {

    /** Worked out by hand from the formulas of the standard, of rust under dusk blue: 204, 102, 51 are 0.8, 0.4, 0.2 and 51, 102, 153 are 0.2, 0.4, 0.6. */
    @ParameterizedTest
    @CsvSource({
        "normal,       51 102 153",
        "multiply,     41  41  31",
        "screen,      214 163 173",
        "overlay,     173  82  61",
        "darken,       51 102  51",
        "lighten,     204 102 153",
        "color-dodge, 255 170 128",
        "color-burn,    0   0   0",
        "hard-light,   82  82  92",
        "soft-light,  180  90  64",
        "difference,  153   0 102",
        "exclusion,   173 122 143",
        "hue,          65 142 218",
        "saturation,  178 110  76",
        "color,        86 137 188",
        "luminosity,  169  67  16",
    })
    void theFormulasOfTheStandard(String mode, String expected) {
        int[] rgb = Arrays.stream(expected.strip().split("\\s+"))
                .mapToInt(Integer::parseInt)
                .toArray();
        Srgb blended = BlendMode.ofName(mode).blend(new Srgb(204, 102, 51), new Srgb(51, 102, 153));
        assertThat(new int[] {blended.red(), blended.green(), blended.blue()}).containsExactly(rgb);
    }

    /** Section 10: hard light is overlay with the layers swapped; section 10.2: the luminosity of the result is that of the backdrop, or of the source. */
    @ParameterizedTest
    @EnumSource(names = {"HUE", "SATURATION", "COLOR", "LUMINOSITY"})
    void wholeModesKeepTheLuminosityThatTheyName(BlendMode mode) {
        Random random = new Random(4);
        for (int i = 0; i < 200; i++) {
            Srgb backdrop = colour(random);
            Srgb source = colour(random);
            Srgb kept = mode == BlendMode.LUMINOSITY ? source : backdrop;
            assertThat(lum(mode.blend(backdrop, source))).isBetween(lum(kept) - 1, lum(kept) + 1);
            assertThat(BlendMode.HARD_LIGHT.blend(backdrop, source))
                    .isEqualTo(BlendMode.OVERLAY.blend(source, backdrop));
        }
    }

    @Test
    void namesAreThoseOfTheStandard() {
        assertThat(BlendMode.ofName(BlendMode.COLOR_DODGE.standardName())).isEqualTo(BlendMode.COLOR_DODGE);
        assertThatThrownBy(() -> BlendMode.ofName("dazzle")).hasMessage("'dazzle' is no blend mode.");
    }

    private static Srgb colour(Random random) {
        return new Srgb(random.nextInt(256), random.nextInt(256), random.nextInt(256));
    }

    private static double lum(Srgb colour) {
        return 0.3 * colour.red() + 0.59 * colour.green() + 0.11 * colour.blue();
    }
}
