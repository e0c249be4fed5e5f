package stillpond.core.ink;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;

class RegistrationTest {

    @Test
    void aPageLiesOnItself() {
        InkPlane page = page(600, 400, 0, 0);
        assertThat(Registration.place(page, page)).isEqualTo(Placing.SAME);
    }

    @Test
    void aShiftedScanIsFoundToThePixel() {
        Placing placing = Registration.place(page(600, 400, 0, 0), page(600, 400, 13, -7));
        assertThat(placing).isEqualTo(new Placing(1, 1, 13, -7));
    }

    @Test
    void aScanAtTwiceTheSizeIsFoundToo() {
        Placing placing = Registration.place(page(600, 400, 0, 0), doubled(page(600, 400, 6, 4)));
        assertThat(placing.xThere(300)).isCloseTo(612, within(2));
        assertThat(placing.yThere(200)).isCloseTo(408, within(2));
    }

    private static InkPlane page(int width, int height, int dx, int dy) {
        Random random = new Random(9);
        byte[] density = new byte[width * height];
        for (int box = 0; box < 25; box++) {
            int x = 40 + random.nextInt(width - 160) + dx;
            int y = 40 + random.nextInt(height - 160) + dy;
            int side = 20 + random.nextInt(70);
            for (int i = 0; i < side; i++) {
                density[y * width + x + i] = (byte) 255;
                density[(y + i) * width + x] = (byte) 255;
            }
        }
        return new InkPlane(width, height, density, 128);
    }

    private static InkPlane doubled(InkPlane ink) {
        int width = ink.widthPx() * 2;
        byte[] density = new byte[width * ink.heightPx() * 2];
        for (int i = 0; i < density.length; i++) {
            density[i] = ink.density()[i / width / 2 * ink.widthPx() + i % width / 2];
        }
        return new InkPlane(width, ink.heightPx() * 2, density, 128);
    }
}
