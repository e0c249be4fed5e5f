package stillpond.core.handon;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Arrays;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import stillpond.core.cell.Box;
import stillpond.core.handon.Framing.Size;
import stillpond.core.handon.Framing.Trim;
import stillpond.core.ink.Picture;
import stillpond.core.refusal.Refusal;

class FramingTest {

    private static final int RED = 0xffc03020;
    private static final int BLUE = 0xff2040a0;

    @Test
    void trimsToWhatIsLaidWithAMarginAsFarAsThePageGoes() {
        Picture picture = picture(40, 30);
        assertThat(size(new Framing(Trim.LAID, 0, new Size.Times(1)), picture)).isEqualTo("11x8");
        assertThat(size(new Framing(Trim.LAID, 3, new Size.Times(1)), picture)).isEqualTo("17x14");
        assertThat(size(new Framing(Trim.LAID, 100, new Size.Times(1)), picture))
                .isEqualTo("40x30");
    }

    @Test
    void trimsToThePageFrameOrElseLeavesThePageWhole() {
        Framing toFrame = new Framing(Trim.FRAME, 0, new Size.Times(1));
        Picture framed = toFrame.of(picture(40, 30), Optional.of(new Box(5, 5, 25, 20)));
        assertThat(framed.widthPx()).isEqualTo(20);
        assertThat(framed.argbAt(5, 5)).isEqualTo(RED);
        assertThat(size(toFrame, picture(40, 30))).isEqualTo("40x30");
    }

    @Test
    void aWholeFactorMakesSquaresOfPixels() {
        Picture twice = new Framing(Trim.LAID, 0, new Size.Times(2)).of(picture(40, 30), Optional.empty());
        assertThat(twice.widthPx()).isEqualTo(22);
        assertThat(twice.argbAt(0, 0)).isEqualTo(RED);
        assertThat(twice.argbAt(11, 1)).isEqualTo(RED);
        assertThat(twice.argbAt(12, 1)).isEqualTo(BLUE);
    }

    @Test
    void noSizeBringsAColourThatWasNotThere() {
        Picture picture = picture(400, 300);
        for (int side : new int[] {37, 150, 399, 401, 977}) {
            Picture other = new Framing(Trim.NOTHING, 0, new Size.LongSide(side)).of(picture, Optional.empty());
            assertThat(other.widthPx()).isEqualTo(side);
            assertThat(colours(other)).as("%d px", side).isSubsetOf(colours(picture));
        }
    }

    @Test
    void resolutionFollowsTheSize() {
        Picture picture = picture(40, 30);
        Framing half = new Framing(Trim.NOTHING, 0, new Size.LongSide(20));
        assertThat(half.scale(picture, half.of(picture, Optional.empty()), Optional.empty()))
                .isEqualTo(0.5);
    }

    @Test
    void refusesWhatCannotBe() {
        Picture clear = new Picture(10, 10, new int[100]);
        assertThatThrownBy(() -> new Framing(Trim.LAID, 0, new Size.Times(1)).of(clear, Optional.empty()))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("Nothing is laid");
        assertThatThrownBy(() -> new Size.Times(0)).isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> new Size.LongSide(40_000)).isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> new Framing(Trim.NOTHING, -1, new Size.Times(1)))
                .isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> new Framing(Trim.NOTHING, 0, new Size.Times(16))
                        .of(new Picture(1000, 1000, new int[1_000_000]), Optional.empty()))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("megapixels");
    }

    /** Clear, with 11 by 8 pixels laid from 10, 10 on: red and blue. */
    private static Picture picture(int width, int height) {
        int[] argb = new int[width * height];
        for (int y = 10; y < 18; y++) {
            Arrays.fill(argb, y * width + 10, y * width + 16, RED);
            Arrays.fill(argb, y * width + 16, y * width + 21, BLUE);
        }
        return new Picture(width, height, argb);
    }

    private static String size(Framing framing, Picture picture) {
        Picture framed = framing.of(picture, Optional.empty());
        return framed.widthPx() + "x" + framed.heightPx();
    }

    private static Set<Integer> colours(Picture picture) {
        return Arrays.stream(picture.argb()).boxed().collect(Collectors.toSet());
    }
}
