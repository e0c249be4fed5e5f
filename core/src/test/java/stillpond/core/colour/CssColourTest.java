package stillpond.core.colour;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class CssColourTest {

    /** The examples of one green, and others, in W3C CSS Color 4. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "green | #008000",
                "rgb(0% 50.2% 0%) | #008000",
                "hsl(120deg 100% 25.1%) | #008000",
                "hwb(120 0% 49.8%) | #008000",
                "lab(46.2775% -47.5621 48.5837) | #008000",
                "lch(46.2775% 67.9892 134.3912) | #008000",
                "oklab(51.975% -0.1403 0.10768) | #008000",
                "oklch(51.975% 0.17686 142.495) | #008000",
                "color(srgb 0 0.502 0) | #008000",
                "color(srgb-linear 0 0.21586 0) | #008000",
                "color(xyz 0.07719 0.15438 0.02573) | #008000",
                "rgb(46 139 87) | #2e8b57",
                "rgba(46, 139, 87, 0.5) | #2e8b57",
                "rgb(46 139 87 / 50%) | #2e8b57",
                "hsl(0.5turn 100% 50%) | #00ffff",
                "hsl(200grad 100% 50%) | #00ffff",
                "hsl(none 0% 100%) | #ffffff",
                "RebeccaPurple | #663399",
                "#abc | #aabbcc",
                "#ABCD | #aabbcc",
                "#aabbccdd | #aabbcc"
            })
    void readsWhatStyleSheetsWrite(String text, String hex) {
        assertThat(CssColour.of(text)).map(Srgb::hex).contains(hex);
    }

    @Test
    void readsAllNamedColours() {
        assertThat(CssColour.of("aliceblue")).map(Srgb::hex).contains("#f0f8ff");
        assertThat(CssColour.of("yellowgreen")).map(Srgb::hex).contains("#9acd32");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "greenish",
                "rgb(1 2)",
                "rgb(1 2 3 4 5)",
                "rgb(1 2 x)",
                "rgb(1 2 3 /)",
                "rgb(1e999d 0 0)",
                "#12",
                "#ggg",
                "lab(1 2",
                "color(none 1 1 1)",
                "rgb(NaN 0 0)"
            })
    void saysSoOfWhatIsNoColour(String text) {
        assertThat(CssColour.of(text)).isEmpty();
    }
}
