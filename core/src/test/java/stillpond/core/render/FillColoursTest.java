package stillpond.core.render;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import stillpond.core.colour.Oklab;
import stillpond.core.colour.Srgb;
import stillpond.core.fill.Fill;

class FillColoursTest {

    private static final UUID BLACK = new UUID(0, 1);
    private static final UUID WHITE = new UUID(0, 2);
    private static final UUID LOST = new UUID(0, 3);
    private static final Map<UUID, Srgb> SHOWN = Map.of(BLACK, new Srgb(0, 0, 0), WHITE, new Srgb(255, 255, 255));

    @Test
    void aGradientRunsFromEndToEndAndStaysBeyondThem() {
        FillColours colours = of("linear 100% 10 0 20 0 0% " + BLACK + " 100% " + WHITE);

        assertThat(colours.argb())
                .hasSize(FillColours.STEPS)
                .startsWith(0xff000000)
                .endsWith(0xffffffff);
        assertThat(colours.argbAt(0, 5)).isEqualTo(0xff000000);
        assertThat(colours.argbAt(25, 5)).isEqualTo(0xffffffff);
        assertThat(colours.argbAt(15, 5) & 0xff).isBetween(0x50, 0x80);
    }

    @Test
    void aPatternHasAsManyColoursAsAMotifCanAskForTheLastOneStandingForTheRest() {
        FillColours colours = of("pattern 50% 0 0 20 0 stripes plain " + BLACK + " " + LOST + " " + WHITE);

        assertThat(colours.argb()).containsExactly(0x80000000, 0x80ffffff, 0x80ffffff, 0x80ffffff);
        assertThat(colours.mean()).isEqualTo(0x80bfbfbf);
    }

    /** OKLab of black is 0, of white 1: at n % of black the lightness is what is left. */
    @Test
    void aToneIsASwatchMixedWithWhiteAndOpaque() {
        for (int percent : new int[] {10, 40, 90}) {
            int argb = of("tone " + percent + "% " + BLACK).argb()[0];
            assertThat(argb >>> 24).isEqualTo(255);
            assertThat(Oklab.of(Srgb.ofPacked(argb & 0xffffff)).lightness())
                    .isCloseTo(1 - percent / 100.0, within(0.005));
        }
        assertThat(of("tone 40% " + LOST).argb()).containsExactly(FillColours.CLEAR);
    }

    @Test
    void whatHasNoSwatchLeftShowsNothing() {
        assertThat(of(LOST.toString()).argb()).containsExactly(FillColours.CLEAR);
        assertThat(of("linear 100% 10 0 20 0 0% " + LOST + " 100% " + LOST).mean())
                .isEqualTo(FillColours.CLEAR);
        assertThat(of("none").argb()).containsExactly(FillColours.CLEAR);
    }

    private static FillColours of(String fill) {
        return FillColours.of(Fill.ofText(fill), swatch -> Optional.ofNullable(SHOWN.get(swatch)));
    }
}
