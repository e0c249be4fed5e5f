package stillpond.core.colour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import stillpond.core.colour.Adjustment.HueRange;

class AdjustmentTest {

    private static final Srgb COAT = Srgb.ofHex("#2f6f5e");
    private static final Srgb BRICK = Srgb.ofHex("#c0392b");
    private static final Srgb GREY = Srgb.ofHex("#8a8a8a");

    @Test
    void aShiftMovesEveryColourByTheSameSteps() {
        Adjustment darker = new Adjustment(-0.1, 0, 0, Optional.empty(), false, false);
        for (Srgb colour : List.of(COAT, GREY, BRICK)) {
            assertThat(Oklch.of(darker.of(colour)).lightness())
                    .isCloseTo(Oklch.of(colour).lightness() - 0.1, within(0.006));
        }
    }

    @Test
    void onlyARangeOfHuesIsConcernedAndItsEdgesAreSoft() {
        double hue = Oklch.of(COAT).hue();
        assertThat(turned(new HueRange(hue, 20, 0))).isCloseTo(40, within(2.0));
        assertThat(turned(new HueRange(hue + 30, 20, 40))).isCloseTo(20, within(2.0));
        assertThat(turned(new HueRange(hue + 180, 60, 40))).isZero();
        Adjustment greens = new Adjustment(0, 0, 40, Optional.of(new HueRange(hue, 60, 20)), false, false);
        assertThat(greens.of(BRICK)).isEqualTo(BRICK);
        assertThat(greens.of(GREY)).as("a grey has no hue").isEqualTo(GREY);
    }

    @Test
    void skinAndNeutralsCanBeSpared() {
        Adjustment warm = new Adjustment(0, 0.03, 15, Optional.empty(), true, true);
        for (String skin : List.of("#f0c8a8", "#c68863", "#8d5a3c", "#5b3a29")) {
            assertThat(warm.of(Srgb.ofHex(skin))).isEqualTo(Srgb.ofHex(skin));
        }
        assertThat(warm.of(GREY)).isEqualTo(GREY);
        assertThat(warm.of(COAT)).isNotEqualTo(COAT);
        assertThat(warm.of(BRICK)).isNotEqualTo(BRICK);
    }

    @Test
    void whatMakesNoSenseIsRefused() {
        assertThatThrownBy(() -> new Adjustment(2, 0, 0, Optional.empty(), false, false))
                .hasMessageContaining("lightness");
        assertThatThrownBy(() -> new Adjustment(0, Double.NaN, 0, Optional.empty(), false, false))
                .hasMessageContaining("chroma");
    }

    private static double turned(HueRange range) {
        Srgb to = new Adjustment(0, 0, 40, Optional.of(range), false, false).of(COAT);
        return Math.abs(Hue.arc(Oklch.of(COAT).hue(), Oklch.of(to).hue()));
    }
}
