package stillpond.core.colour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class ColourModelsTest {

    /** Every 17th value of each channel: the corners, the greys and what lies between. */
    static Stream<Srgb> cube() {
        return IntStream.range(0, 16 * 16 * 16)
                .mapToObj(i -> new Srgb(17 * (i % 16), 17 * (i / 16 % 16), 17 * (i / 256)));
    }

    @Test
    void everyModelLeadsBackToTheSameColour() {
        cube().forEach(colour -> {
            LinearRgb light = LinearRgb.of(colour);
            assertThat(light.clipped()).isEqualTo(colour);
            assertThat(LinearRgb.of(light.xyz()).clipped()).isEqualTo(colour);
            for (White white : White.values()) {
                Lab lab = Lab.of(colour, white);
                assertThat(LinearRgb.of(lab.lch().lab().xyz()).clipped()).isEqualTo(colour);
            }
            assertThat(Gamut.show(Oklch.of(colour))).isEqualTo(new Gamut.Shown(colour, false));
            assertThat(Hsv.of(colour).srgb()).isEqualTo(colour);
            assertThat(Hsl.of(colour).srgb()).isEqualTo(colour);
        });
    }

    /** The table of the author of OKLab, given there to three digits. */
    @ParameterizedTest
    @CsvSource({
        "0.950, 1.000, 1.089, 1.000, 0.000, 0.000",
        "1.000, 0.000, 0.000, 0.450, 1.236, -0.019",
        "0.000, 1.000, 0.000, 0.922, -0.671, 0.263",
        "0.000, 0.000, 1.000, 0.153, -1.415, -0.449"
    })
    void oklabAgreesWithItsAuthor(double x, double y, double z, double l, double a, double b) {
        Oklab found = Oklab.of(new Xyz(x, y, z));
        assertThat(found.lightness()).isCloseTo(l, within(1.5e-3));
        assertThat(found.a()).isCloseTo(a, within(1.5e-3));
        assertThat(found.b()).isCloseTo(b, within(1.5e-3));
    }

    /** W3C CSS Color 4 gives {@code lab(46.2775% -47.5621 48.5837)} for the named colour green. */
    @Test
    void labUnderD50AgreesWithCss() {
        Lab green = Lab.of(new Srgb(0, 128, 0), White.D50);
        assertThat(green.lightness()).isCloseTo(46.2775, within(0.01));
        assertThat(green.a()).isCloseTo(-47.5621, within(0.02));
        assertThat(green.b()).isCloseTo(48.5837, within(0.02));
    }

    @Test
    void whatCannotBeShownLosesChromaAloneAndIsTold() {
        Oklch wanted = new Oklch(0.7, 0.4, 150);
        Gamut.Shown shown = Gamut.show(wanted);
        assertThat(shown.wasOutside()).isTrue();
        Oklch now = Oklch.of(shown.colour());
        assertThat(now.lightness()).isCloseTo(0.7, within(0.004));
        assertThat(now.hue()).isCloseTo(150, within(1.0));
        assertThat(now.chroma()).isLessThan(0.4).isGreaterThan(0.15);
    }

    @ParameterizedTest
    @MethodSource("cube")
    void nudgesAreEvenSteps(Srgb colour) {
        Oklch from = Oklch.of(colour);
        assertThat(Nudge.LIGHTER
                        .of(Nudge.DARKER.of(new Oklch(0.5, 0.1, from.hue())))
                        .lightness())
                .isCloseTo(0.5, within(1e-9));
        double warm = Math.abs(Hue.arc(Nudge.WARMER.of(from).hue(), 55));
        assertThat(warm).isLessThanOrEqualTo(Math.abs(Hue.arc(from.hue(), 55)) + 1e-9);
    }

    @Test
    void rampsAreEvenAndKeepTheirEnds() {
        Srgb navy = Srgb.ofHex("#1b2a49");
        Srgb sand = Srgb.ofHex("#e8d8b0");
        List<Srgb> ramp = Mixing.ramp(List.of(navy, sand), 7);
        assertThat(ramp).hasSize(7).startsWith(navy).endsWith(sand);
        double whole = Oklab.of(navy).distanceTo(Oklab.of(sand));
        for (int i = 1; i < ramp.size(); i++) {
            assertThat(Oklab.of(ramp.get(i - 1)).distanceTo(Oklab.of(ramp.get(i))))
                    .isCloseTo(whole / 6, within(0.004));
        }
    }

    @Test
    void aTenthAgainAndAgainNearsTheOther() {
        Srgb from = new Srgb(200, 30, 30);
        Srgb to = new Srgb(20, 60, 200);
        Srgb now = from;
        double away = Oklab.of(from).distanceTo(Oklab.of(to));
        for (int i = 0; i < 8; i++) {
            now = Mixing.mix(now, to, 0.1);
            double next = Oklab.of(now).distanceTo(Oklab.of(to));
            assertThat(next).isBetween(0.85 * away, 0.95 * away);
            away = next;
        }
    }

    @Test
    void namesArePlain() {
        assertThat(ColourNames.suggest(new Srgb(255, 255, 255))).isEqualTo("White");
        assertThat(ColourNames.suggest(Srgb.ofHex("#2f6f5e"))).containsIgnoringCase("green");
        assertThat(ColourNames.suggest(Srgb.ofHex("#d2603f"))).containsIgnoringCase("orange");
    }

    @Test
    void webSafeColoursAreMultiplesOfAFifth() {
        assertThat(Snap.webSafe(new Srgb(25, 26, 255))).isEqualTo(new Srgb(0, 51, 255));
    }

    @Test
    void theNearestOfSeveralColoursIsNamedByItsPlace() {
        List<Srgb> cards = List.of(Srgb.ofHex("#d2603f"), Srgb.ofHex("#2f6f5e"), Srgb.ofHex("#2f6f5e"));
        assertThat(Snap.nearest(Srgb.ofHex("#2f7060"), cards)).hasValue(1);
        assertThat(Snap.nearest(Srgb.ofHex("#2f7060"), List.of())).isEmpty();
    }
}
