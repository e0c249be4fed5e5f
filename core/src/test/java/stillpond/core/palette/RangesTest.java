package stillpond.core.palette;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import stillpond.core.colour.Mixing;
import stillpond.core.colour.Oklch;
import stillpond.core.colour.Srgb;

class RangesTest {

    private static final Ranges.Named SEA = named("Sea", "#3f7c8f");
    private static final Ranges.Named CLAY = named("Clay", "#b0684a");

    private static Ranges.Named named(String name, String hex) {
        return new Ranges.Named(name, new SwatchSteps.From(UUID.nameUUIDFromBytes(name.getBytes()), Srgb.ofHex(hex)));
    }

    private static List<SwatchSteps.Step> range(String words, List<Ranges.Range> all) {
        return all.stream()
                .filter(range -> range.words().equals(words))
                .findFirst()
                .orElseThrow()
                .steps();
    }

    @Test
    void betweenTwoColoursLieEvenSteps() {
        List<SwatchSteps.Step> between = range("Sea to Clay", Ranges.of(List.of(SEA, CLAY), 3));

        assertThat(between.stream().map(SwatchSteps.Step::colour))
                .isEqualTo(Mixing.ramp(List.of(SEA.from().colour(), CLAY.from().colour()), 5)
                        .subList(1, 4));
    }

    @Test
    void familiesGoLighterAndDarker() {
        List<Ranges.Range> all = Ranges.of(List.of(SEA), 4);

        double before = Oklch.of(SEA.from().colour()).lightness();
        for (SwatchSteps.Step step : range("Sea, lighter", all)) {
            assertThat(Oklch.of(step.colour()).lightness()).isGreaterThan(before);
            before = Oklch.of(step.colour()).lightness();
        }
        before = Oklch.of(SEA.from().colour()).lightness();
        for (SwatchSteps.Step step : range("Sea, darker", all)) {
            assertThat(Oklch.of(step.colour()).lightness()).isLessThan(before);
            before = Oklch.of(step.colour()).lightness();
        }
    }

    @Test
    void warmAndCoolTurnTheHueTowardsOrangeAndAzureAsLightAsItWas() {
        List<Ranges.Range> all = Ranges.of(List.of(SEA, CLAY), 4);

        Oklch sea = Oklch.of(SEA.from().colour());
        Oklch cooler = Oklch.of(range("Sea, cooler", all).get(3).colour());
        assertThat(cooler.lightness()).isCloseTo(sea.lightness(), within(0.01));
        assertThat(Math.abs(cooler.hue() - 240)).isLessThan(Math.abs(sea.hue() - 240));
        Oklch clay = Oklch.of(CLAY.from().colour());
        Oklch warmer = Oklch.of(range("Clay, warmer", all).get(3).colour());
        assertThat(Math.abs(warmer.hue() - 60)).isLessThan(Math.abs(clay.hue() - 60));
    }

    @Test
    void aGreyTakesSomeWarmth() {
        List<Ranges.Range> all = Ranges.of(List.of(named("Stone", "#808080")), 2);

        assertThat(Oklch.of(range("Stone, warmer", all).get(1).colour()).hue()).isCloseTo(60, within(8.0));
        assertThat(Oklch.of(range("Stone, cooler", all).get(1).colour()).hue()).isCloseTo(240, within(8.0));
    }

    @Test
    void everyStepFollowsItsSample() {
        for (Ranges.Range range : Ranges.of(List.of(SEA, CLAY), 5)) {
            for (SwatchSteps.Step step : range.steps()) {
                Paint.Tied tied = (Paint.Tied) Paint.ofText(step.paint().text());
                Srgb source = tied.source().equals(SEA.from().swatch())
                        ? SEA.from().colour()
                        : CLAY.from().colour();
                assertThat(tied.tie().of(source, any -> CLAY.from().colour())).isEqualTo(step.colour());
            }
        }
    }
}
