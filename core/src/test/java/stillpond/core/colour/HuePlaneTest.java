package stillpond.core.colour;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class HuePlaneTest {

    private static final int WIDTH = 64;
    private static final int HEIGHT = 50;

    private final int[] plane = HuePlane.of(29.2, 0.32, WIDTH, HEIGHT);

    private Srgb at(int x, int y) {
        return Srgb.ofPacked(plane[y * WIDTH + x] & 0xffffff);
    }

    @Test
    void greysLieToTheLeftFromWhiteToBlack() {
        Srgb light = at(0, 1);
        Srgb dark = at(0, HEIGHT - 4);
        assertThat(light.relativeLuminance()).isGreaterThan(0.9);
        assertThat(dark.relativeLuminance()).isLessThan(0.01);
    }

    /** The primaries lie on the edge of what sRGB has: red at 0.628, 0.2577, 29.23 degrees (B. Ottosson, "A perceptual color space for image processing", 2020). */
    @Test
    void redLiesWhereItsNumbersSay() {
        int y = (int) ((1 - 0.628) * HEIGHT);
        int edge = (int) (0.2577 / 0.32 * WIDTH);
        assertThat(at(edge - 2, y).hex()).startsWith("#f");
        assertThat(plane[y * WIDTH + edge + 2]).as("no such colour").isZero();
        assertThat(plane[y * WIDTH + WIDTH - 1]).isZero();
    }
}
