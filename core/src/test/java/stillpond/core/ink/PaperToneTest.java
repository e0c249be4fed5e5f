package stillpond.core.ink;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.Random;
import org.junit.jupiter.api.Test;

class PaperToneTest {

    private static final int SIDE = 400;

    @Test
    void aDrawingOnPureWhiteStaysAsItIs() {
        byte[] drawing = new byte[SIDE * SIDE];
        drawFrame(drawing, 255);
        drawing[7] = 3;
        assertThat(PaperTone.takeOut(SIDE, SIDE, drawing)).isSameAs(drawing);
    }

    /** Paper that darkens from 10 to 90 across the page under grain: no one threshold would part it from pale ink of 150. */
    @Test
    void inkStandsAloneAfterAShadowIsTakenOut() {
        byte[] scan = shadowWithGrain();
        drawFrame(scan, 150);
        byte[] clean = PaperTone.takeOut(SIDE, SIDE, scan);
        int grain = 0;
        for (int y = 0; y < SIDE; y++) {
            for (int x = 0; x < SIDE; x++) {
                int density = clean[y * SIDE + x] & 0xff;
                if (isFrame(x, y)) {
                    assertThat(density).as("ink at %d, %d", x, y).isGreaterThan(30);
                } else if (density > 0) {
                    grain++;
                }
            }
        }
        assertThat(grain).isLessThan(SIDE * SIDE / 500);
    }

    @Test
    void aBlackPatchIsNoPaper() {
        byte[] scan = shadowWithGrain();
        for (int y = 100; y < 220; y++) {
            for (int x = 100; x < 220; x++) {
                scan[y * SIDE + x] = (byte) 250;
            }
        }
        byte[] clean = PaperTone.takeOut(SIDE, SIDE, scan);
        assertThat(clean[160 * SIDE + 160] & 0xff).isGreaterThan(230);
    }

    @Test
    void aPageAllInkIsNoDarkPaper() {
        byte[] black = new byte[SIDE * SIDE];
        Arrays.fill(black, (byte) 255);
        assertThat(PaperTone.takeOut(SIDE, SIDE, black)).isSameAs(black);
    }

    private static byte[] shadowWithGrain() {
        Random random = new Random(5);
        byte[] scan = new byte[SIDE * SIDE];
        for (int i = 0; i < scan.length; i++) {
            scan[i] = (byte) Math.max(0, Math.round(10 + 80.0 * (i % SIDE) / SIDE + 6 * random.nextGaussian()));
        }
        return scan;
    }

    private static void drawFrame(byte[] page, int density) {
        for (int i = 0; i < page.length; i++) {
            if (isFrame(i % SIDE, i / SIDE)) {
                page[i] = (byte) density;
            }
        }
    }

    private static boolean isFrame(int x, int y) {
        int edge = Math.min(Math.min(x, SIDE - 1 - x), Math.min(y, SIDE - 1 - y));
        return edge >= 60 && edge < 66;
    }
}
