package stillpond.core.render;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import stillpond.core.blockin.Reference;
import stillpond.core.ink.Picture;

class ReferenceOverTest {

    private static final int WHITE = 0xffffffff;
    private static final int RED = 0xffff0000;
    private static final int BLUE = 0xff0000ff;

    private static Picture plain(int width, int height, int argb) {
        int[] pixels = new int[width * height];
        Arrays.fill(pixels, argb);
        return new Picture(width, height, pixels);
    }

    private static Picture twoHalves(int side) {
        int[] pixels = new int[side * side];
        for (int i = 0; i < pixels.length; i++) {
            pixels[i] = i % side < side / 2 ? RED : BLUE;
        }
        return new Picture(side, side, pixels);
    }

    private static Reference laid(double scale, double degrees, int strength, Reference.Look look) {
        return new Reference(new UUID(0, 1), 10, 10, scale, degrees, strength, look, 2, true);
    }

    @Test
    void itLiesWhereItWasLaidAndClearBesideIt() {
        Picture painted =
                ReferenceOver.painted(plain(20, 20, WHITE), twoHalves(8), laid(1, 0, 100, Reference.Look.COLOURS));
        assertThat(painted.argbAt(5, 10)).isEqualTo(WHITE);
        assertThat(painted.argbAt(6, 6)).isEqualTo(RED);
        assertThat(painted.argbAt(9, 13)).isEqualTo(RED);
        assertThat(painted.argbAt(10, 10)).isEqualTo(BLUE);
        assertThat(painted.argbAt(14, 10)).isEqualTo(WHITE);
    }

    @Test
    void atHalfStrengthTheSheetIsSeenThroughIt() {
        Picture painted =
                ReferenceOver.painted(plain(20, 20, WHITE), plain(8, 8, RED), laid(1, 0, 50, Reference.Look.COLOURS));
        // 128 of 255 over white, by the operator over.
        assertThat(painted.argbAt(10, 10)).isEqualTo(0xffff7f7f);
    }

    @Test
    void turnedByAQuarterLeftIsAbove() {
        Picture painted =
                ReferenceOver.painted(plain(20, 20, WHITE), twoHalves(8), laid(1, 90, 100, Reference.Look.COLOURS));
        assertThat(painted.argbAt(10, 7)).isEqualTo(RED);
        assertThat(painted.argbAt(10, 12)).isEqualTo(BLUE);
    }

    @Test
    void muchSmallerItIsTheMeanOfItsPixels() {
        int[] chequered = new int[80 * 80];
        for (int i = 0; i < chequered.length; i++) {
            chequered[i] = (i % 80 + i / 80) % 2 == 0 ? 0xff000000 : WHITE;
        }
        Picture painted = ReferenceOver.painted(
                plain(20, 20, RED), new Picture(80, 80, chequered), laid(0.1, 0, 100, Reference.Look.COLOURS));
        assertThat(painted.argbAt(10, 10) & 0xff).isBetween(126, 129);
        assertThat(painted.argbAt(5, 10)).isEqualTo(RED);
    }

    @Test
    void itsLookIsKept() {
        int grey = ReferenceOver.painted(plain(20, 20, WHITE), twoHalves(8), laid(1, 0, 100, Reference.Look.GREYS))
                .argbAt(7, 10);
        assertThat(grey & 0xff).isEqualTo(grey >> 8 & 0xff).isEqualTo(grey >> 16 & 0xff);

        int[] ramp = new int[20 * 20];
        for (int i = 0; i < ramp.length; i++) {
            ramp[i] = 0xff000000 | i % 20 * 12 * 0x10101;
        }
        Picture flattened = ReferenceOver.painted(
                plain(20, 20, WHITE), new Picture(20, 20, ramp), laid(1, 0, 100, Reference.Look.VALUES));
        assertThat(Arrays.stream(flattened.argb()).distinct().count()).isEqualTo(2);
    }
}
