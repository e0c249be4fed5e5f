package stillpond.core.colour;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class ValueStepsTest {

    @ParameterizedTest
    @ValueSource(ints = {2, 3, 5, 8})
    void aRampFallsIntoSoManyGreys(int steps) {
        int[] ramp = new int[256];
        for (int i = 0; i < ramp.length; i++) {
            ramp[i] = 0xff000000 | i << 16 | i << 8 | i;
        }

        int[] flattened = ValueSteps.flattened(ramp, steps);
        assertThat(Arrays.stream(flattened).distinct().count()).isEqualTo(steps);
        assertThat(flattened).isSorted();
    }

    @Test
    void coloursOfOneLightnessAreOneGrey() {
        int red = new Oklch(0.6, 0.1, 30).oklab().linear().clipped().packed();
        int blue = new Oklch(0.6, 0.1, 250).oklab().linear().clipped().packed();
        int[] flattened = ValueSteps.flattened(new int[] {0xff000000 | red, 0xff000000 | blue, 0xffffffff}, 2);

        assertThat(flattened[0]).isEqualTo(flattened[1]);
        assertThat(flattened[2]).isEqualTo(0xffffffff);
    }

    @Test
    void twoTonesStayApartHoweverUnevenTheyAre() {
        int[] picture = new int[1000];
        Arrays.fill(picture, 0xff202020);
        Arrays.fill(picture, 990, 1000, 0xffe0e0e0);

        int[] flattened = ValueSteps.flattened(picture, 2);
        assertThat(flattened[0]).isEqualTo(0xff202020);
        assertThat(flattened[999]).isEqualTo(0xffe0e0e0);
    }

    @Test
    void greysAreAsOpaqueAsTheyWere() {
        assertThat(ValueSteps.grey(new int[] {0x40ff0000})[0] >>> 24).isEqualTo(0x40);
        assertThat(ValueSteps.flattened(new int[] {0x00ffffff, 0xff000000}, 2)[0] >>> 24)
                .isZero();
    }
}
