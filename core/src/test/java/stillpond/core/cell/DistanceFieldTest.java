package stillpond.core.cell;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class DistanceFieldTest {

    @Test
    void agreesWithLookingAtEverySite() {
        Random random = new Random(11);
        for (int round = 0; round < 30; round++) {
            int width = 1 + random.nextInt(40);
            int height = 1 + random.nextInt(40);
            boolean[] site = new boolean[width * height];
            for (int i = 0; i < site.length; i++) {
                site[i] = random.nextInt(30) == 0;
            }
            DistanceField field = DistanceField.to(width, height, i -> site[i]);
            for (int i = 0; i < site.length; i++) {
                assertThat(field.distancePx(i)).isCloseTo(naive(site, width, i), within(1e-9));
                assertThat(field.nearest(i) < 0 || site[field.nearest(i)]).isTrue();
            }
        }
    }

    private static double naive(boolean[] site, int width, int at) {
        return IntStream.range(0, site.length)
                .filter(i -> site[i])
                .mapToDouble(i -> Math.hypot(i % width - at % width, i / width - at / width))
                .min()
                .orElse(Double.POSITIVE_INFINITY);
    }
}
