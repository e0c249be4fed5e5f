package stillpond.core.stroke;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import java.util.function.IntUnaryOperator;
import org.junit.jupiter.api.Test;
import stillpond.core.Grid;
import stillpond.core.ink.InkPlane;

class InkWidthsTest {

    private static final IntUnaryOperator ONE = pixel -> 0;

    private static final InkPlane LINE = Grid.ink(
            "...............",
            "...............",
            "...............",
            "...............",
            "...............",
            "..###########..",
            "..###########..",
            "..###########..",
            "...............",
            "...............",
            "...............",
            "...............",
            "...............");

    private static byte[] shown(InkPlane ink, double radius) {
        return InkWidths.shown(ink.widthPx(), ink.heightPx(), ink.density(), ONE, new double[] {radius});
    }

    /** The density down the middle of the line, in whole pixels of ink. */
    private static double thickness(byte[] density) {
        double sum = 0;
        for (int y = 0; y < LINE.heightPx(); y++) {
            sum += (density[y * LINE.widthPx() + 7] & 0xff) / 255.0;
        }
        return sum;
    }

    @Test
    void aStrokeGetsWiderAndNarrowerOnBothSidesByPartsOfPixelsToo() {
        assertThat(thickness(shown(LINE, 0))).isEqualTo(3);
        assertThat(thickness(shown(LINE, 2))).isCloseTo(7, within(0.02));
        assertThat(thickness(shown(LINE, 0.5))).isCloseTo(4, within(0.02));
        assertThat(thickness(shown(LINE, -0.5))).isCloseTo(2, within(0.02));
        assertThat(thickness(shown(LINE, -1))).isCloseTo(1, within(0.02));
        assertThat(thickness(shown(LINE, -3))).isZero();
    }

    @Test
    void whatWasDrawnStaysAsItWas() {
        byte[] before = LINE.density().clone();
        shown(LINE, 2);
        assertThat(LINE.density()).isEqualTo(before);
    }

    /** Against looking at every pixel from every pixel. */
    @Test
    void isWhatASlowSearchFinds() {
        Random random = new Random(5);
        int width = 34;
        int height = 27;
        for (double radius : new double[] {0.4, 1, 2.6, -0.3, -1.7}) {
            byte[] drawn = new byte[width * height];
            for (int i = 0; i < drawn.length; i++) {
                drawn[i] = (byte) (random.nextInt(5) == 0 ? random.nextInt(256) : random.nextInt(9) == 0 ? 255 : 0);
            }
            byte[] shown = InkWidths.shown(width, height, drawn, ONE, new double[] {radius});
            for (int i = 0; i < drawn.length; i++) {
                double expected = drawn[i] & 0xff;
                for (int k = 0; k < drawn.length; k++) {
                    double away = Math.hypot(i % width - k % width, i / width - k / width);
                    double share = Math.max(0, Math.min(1, Math.abs(radius) + 1 - away));
                    int there = drawn[k] & 0xff;
                    expected = radius > 0
                            ? Math.max(expected, i == k ? there : there * share)
                            : Math.min(expected, i == k ? there : 255 - (255 - there) * share);
                }
                assertThat((double) (shown[i] & 0xff)).isCloseTo(expected, within(0.51));
            }
        }
    }

    @Test
    void onlyTheStrokesThatAreMeantChange() {
        int width = LINE.widthPx();
        byte[] shown = InkWidths.shown(
                width, LINE.heightPx(), LINE.density(), pixel -> pixel % width < 7 ? 0 : 1, new double[] {2, 0});
        assertThat(shown[4 * width + 4] & 0xff).isEqualTo(255);
        assertThat(shown[4 * width + 11] & 0xff).isZero();
        byte[] narrower = InkWidths.shown(
                width, LINE.heightPx(), LINE.density(), pixel -> pixel % width < 7 ? 0 : 1, new double[] {-1, 0});
        assertThat(narrower[5 * width + 4] & 0xff).isZero();
        assertThat(narrower[5 * width + 11] & 0xff).isEqualTo(255);
    }
}
