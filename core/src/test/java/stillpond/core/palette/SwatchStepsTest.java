package stillpond.core.palette;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import stillpond.core.colour.Oklab;
import stillpond.core.colour.Oklch;
import stillpond.core.colour.Srgb;
import stillpond.core.refusal.Refusal;

class SwatchStepsTest {

    private static final SwatchSteps.From RED = from("#b5483a");
    private static final SwatchSteps.From GREEN = from("#4f7f52");
    private static final SwatchSteps.From BLUE = from("#39628f");

    private static SwatchSteps.From from(String hex) {
        return new SwatchSteps.From(UUID.nameUUIDFromBytes(hex.getBytes()), Srgb.ofHex(hex));
    }

    @Test
    void twelveHuesAreThirtyDegreesApartAndAsLightAndAsStrong() {
        List<SwatchSteps.Step> hues = SwatchSteps.around(RED, 12);

        Oklch first = Oklch.of(hues.get(0).colour());
        for (int i = 0; i < 12; i++) {
            Oklch hue = Oklch.of(hues.get(i).colour());
            assertThat(hue.lightness()).isCloseTo(Oklch.of(RED.colour()).lightness(), within(0.004));
            assertThat(hue.chroma()).isCloseTo(first.chroma(), within(0.004));
            double turn = (hue.hue() - first.hue() - 30 * i + 720 + 180) % 360 - 180;
            assertThat(turn).isCloseTo(0, within(3.0));
        }
    }

    @Test
    void huesFollowTheSwatchThatTheyComeFrom() {
        for (SwatchSteps.Step step : SwatchSteps.around(RED, 7)) {
            Paint.Tied tied = (Paint.Tied) Paint.ofText(step.paint().text());
            assertThat(tied.source()).isEqualTo(RED.swatch());
            assertThat(tied.tie().of(RED.colour(), any -> RED.colour())).isEqualTo(step.colour());
        }
    }

    @Test
    void aColourThatCanBeTurnedAllAroundIsTheFirstItself() {
        assertThat(SwatchSteps.around(from("#8a8078"), 5).get(0).same()).isPresent();
    }

    @Test
    void stepsBetweenSwatchesAreEvenAndTied() {
        List<SwatchSteps.Step> steps = SwatchSteps.between(List.of(RED, GREEN), 5);

        assertThat(steps.get(0).same()).contains(RED.swatch());
        assertThat(steps.get(4).same()).contains(GREEN.swatch());
        double whole = Oklab.of(RED.colour()).distanceTo(Oklab.of(GREEN.colour()));
        for (int i = 1; i < 5; i++) {
            assertThat(Oklab.of(steps.get(i - 1).colour())
                            .distanceTo(Oklab.of(steps.get(i).colour())))
                    .isCloseTo(whole / 4, within(0.004));
        }
        Paint.Tied middle = (Paint.Tied) steps.get(2).paint();
        assertThat(middle.tie().of(RED.colour(), any -> GREEN.colour()))
                .isEqualTo(steps.get(2).colour());
    }

    @Test
    void threePrimariesAndWhatLiesBetweenCloseTheCircle() {
        List<SwatchSteps.Step> circle = SwatchSteps.circle(List.of(RED, GREEN, BLUE), 3);

        assertThat(circle).hasSize(12);
        assertThat(circle.get(4).same()).contains(GREEN.swatch());
        assertThat(circle.get(8).same()).contains(BLUE.swatch());
        Paint.Tied last = (Paint.Tied) circle.get(11).paint();
        assertThat(last.source()).isEqualTo(BLUE.swatch());
        assertThat(last.tie()).isEqualTo(new Tie.Mix(RED.swatch(), 0.75));
    }

    @Test
    void tooManyStepsAreRefused() {
        assertThatThrownBy(() -> SwatchSteps.around(RED, 1000))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("2 to 360");
    }
}
