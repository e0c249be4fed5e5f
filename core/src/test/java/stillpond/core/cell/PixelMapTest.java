package stillpond.core.cell;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;

class PixelMapTest {

    @Test
    void keepsTheFirstNumberOfEachPixelAsAMapDoes() {
        PixelMap pixels = new PixelMap();
        Map<Integer, Integer> expected = new HashMap<>();
        Random random = new Random(1);
        for (int i = 0; i < 20_000; i++) {
            int pixel = random.nextInt(30_000) * 64;
            boolean isNew = expected.putIfAbsent(pixel, i) == null;
            assertThat(pixels.putIfAbsent(pixel, i)).isEqualTo(isNew);
        }
        Map<Integer, Integer> found = new HashMap<>();
        pixels.forEach(found::put);
        assertThat(found).isEqualTo(expected);
        assertThat(pixels.get(64 * 7 + 1)).isEqualTo(PixelMap.NONE);
        expected.forEach((pixel, number) -> assertThat(pixels.get(pixel)).isEqualTo(number));
    }
}
