package stillpond.core.colour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

class SrgbTest {

    @Test
    void hexCodesComeBackAsTheyWere() {
        assertThat(Srgb.ofHex("#2F6f5e").hex()).isEqualTo("#2f6f5e");
        assertThat(Srgb.ofHex("#000001")).isEqualTo(new Srgb(0, 0, 1));
    }

    @Test
    void otherCodesAreRefusedWithTheCode() {
        assertThatThrownBy(() -> Srgb.ofHex("#12345")).hasMessageContaining("'#12345'");
        assertThatThrownBy(() -> Srgb.ofHex("green")).hasMessageContaining("'green'");
    }

    /** WCAG 2.2: black on white is 21:1; #767676 is the darkest grey commonly quoted at 4.54:1 on white. */
    @Test
    void contrastFollowsWcag() {
        Srgb white = new Srgb(255, 255, 255);
        assertThat(new Srgb(0, 0, 0).contrastWith(white)).isEqualTo(21.0, within(1e-9));
        assertThat(white.contrastWith(Srgb.ofHex("#767676"))).isEqualTo(4.54, within(0.005));
    }
}
