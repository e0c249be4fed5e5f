package stillpond.core.colour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class ColourModelTest {

    @ParameterizedTest
    @EnumSource
    void numbersLeadBackToTheirColour(ColourModel model) {
        for (int packed = 0; packed < 1 << 24; packed += 77_777) {
            Srgb colour = Srgb.ofPacked(packed);
            assertThat(model.show(model.numbersOf(colour)).colour()).isEqualTo(colour);
        }
    }

    @ParameterizedTest
    @EnumSource
    void aModelIsFoundByItsId(ColourModel model) {
        assertThat(ColourModel.find(model.id())).contains(model);
    }

    /** The green of W3C CSS Color 4. */
    @Test
    void theNumbersAreThoseOfTheStandard() {
        Srgb green = Srgb.ofHex("#008000");

        assertThat(ColourModel.OKLCH.numbersOf(green))
                .containsExactly(new double[] {51.975, 17.686, 142.495}, within(0.01));
        assertThat(ColourModel.LAB.numbersOf(green))
                .containsExactly(new double[] {46.2775, -47.5621, 48.5837}, within(0.03));
        assertThat(ColourModel.HSL.numbersOf(green)).containsExactly(new double[] {120, 100, 25.1}, within(0.01));
    }

    @Test
    void whatIsBeyondAChannelIsBroughtIntoIt() {
        assertThat(ColourModel.RGB
                        .show(new double[] {300, -4, Double.NaN})
                        .colour()
                        .hex())
                .isEqualTo("#ff0000");
        assertThat(ColourModel.OKLCH.show(new double[] {50, 37, 150}).wasOutside())
                .isTrue();
    }
}
