package stillpond.core.colour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.awt.color.ColorSpace;
import java.awt.color.ICC_Profile;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;

class PrintConditionTest {

    /** Installed from Debian's package libgs-common. */
    private static final Path PROFILE = Path.of("/usr/share/color/icc/ghostscript/default_cmyk.icc");

    @Test
    void paperWhiteNeedsNoInkAndAStrongGreenIsNotPrintable() throws IOException {
        PrintCondition press = PrintCondition.of(Files.readAllBytes(PROFILE));
        Cmyk white = press.inks(new Srgb(255, 255, 255));
        assertThat(white.cyan() + white.magenta() + white.yellow() + white.black())
                .isLessThan(0.02);
        Srgb green = new Srgb(0, 255, 0);
        assertThat(press.isPrintable(green)).isFalse();
        assertThat(press.isPrintable(press.printable(green))).isTrue();
        assertThat(press.isPrintable(Srgb.ofHex("#b8a58a"))).isTrue();
    }

    @Test
    void whatIsNoProfileOfInksIsToldApart() {
        assertThatThrownBy(() -> PrintCondition.of(new byte[] {1, 2, 3})).hasMessageContaining("no ICC colour profile");
        byte[] rgb = ICC_Profile.getInstance(ColorSpace.CS_sRGB).getData();
        assertThatThrownBy(() -> PrintCondition.of(rgb)).hasMessageContaining("cyan, magenta, yellow and black");
    }
}
