package stillpond.core.colour;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;

class PictureColoursTest {

    private static final int WIDTH = 120;
    private static final int SKY = 0xff9ec5d8;
    private static final int SAND = 0xffd9c49a;
    private static final int SCARF = 0xffd2303f;

    /** Half of black and half of white light is #bcbcbc, not #808080. */
    @Test
    void theMeanIsTakenInLinearLightAndWithoutWhatIsClear() {
        int[] argb = {0xff000000, 0xffffffff, 0x00ff0000, 0xffffffff, 0xff000000, 0x00ff0000};
        assertThat(PictureColours.mean(argb, 3, 0, 0, 1)).contains(Srgb.ofHex("#d5d5d5"));
        assertThat(PictureColours.mean(new int[] {0xff000000, 0xffffffff}, 2, 0, 0, 1))
                .contains(Srgb.ofHex("#bcbcbc"));
        assertThat(PictureColours.mean(argb, 3, 1, 0, 0)).contains(new Srgb(255, 255, 255));
        assertThat(PictureColours.mean(argb, 3, 2, 0, 0)).isEmpty();
    }

    @Test
    void aRareStrongAccentIsAmongTheMainColours() {
        int[] argb = new int[WIDTH * 100];
        Arrays.fill(argb, 0, 70 * WIDTH, SKY);
        Arrays.fill(argb, 70 * WIDTH, 100 * WIDTH, SAND);
        Arrays.fill(argb, 40 * WIDTH + 20, 40 * WIDTH + 32, SCARF);
        List<PictureColours.Found> found = PictureColours.main(argb, WIDTH, 5);
        assertThat(found).extracting(each -> each.colour().opaqueArgb()).containsExactly(SKY, SAND, SCARF);
        assertThat(found.get(0).share()).isBetween(0.69, 0.71);
        PictureColours.Found scarf = found.get(2);
        assertThat(argb[scarf.y() * WIDTH + scarf.x()]).isEqualTo(SCARF);
    }

    @Test
    void aPictureWithNothingOpaqueHasNone() {
        assertThat(PictureColours.main(new int[400], 20, 5)).isEmpty();
    }
}
