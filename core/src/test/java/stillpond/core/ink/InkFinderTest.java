package stillpond.core.ink;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;

class InkFinderTest {

    private static final int BLACK = 0xff000000;
    private static final int WHITE = 0xffffffff;
    private static final int CLEAR = 0x00000000;

    @Test
    void transparentIsPaperAndBlackIsFullInk() {
        InkPlane ink = InkFinder.find(new Picture(4, 1, new int[] {CLEAR, WHITE, BLACK, 0x80000000}));
        assertThat(ink.density()).containsExactly((byte) 0, (byte) 0, (byte) 255, (byte) 128);
    }

    @Test
    void theThresholdPartsPaleInkFromGreyPaper() {
        int paper = 0xffe6e0d2;
        int pencil = 0xff8a8a90;
        InkPlane ink = InkFinder.find(
                new Picture(5, 1, new int[] {paper, paper, pencil, paper, pencil}),
                new InkSettings(OptionalInt.empty(), OptionalInt.of(0), Pencil.NONE));
        assertThat(ink.isInk(0)).isFalse();
        assertThat(ink.isInk(2)).isTrue();
        assertThat(ink.inkPixels()).isEqualTo(2);
    }

    @Test
    void halfCoveredEdgesOfACleanDrawingAreHalvedAtTheMiddle() {
        InkPlane ink = InkFinder.find(new Picture(4, 1, new int[] {WHITE, WHITE, BLACK, BLACK}));
        assertThat(ink.threshold()).isBetween(126, 130);
    }

    @Test
    void noiseOnAnEmptyPageIsNotInk() {
        int[] noisy = new int[100];
        for (int i = 0; i < noisy.length; i++) {
            noisy[i] = BLACK | (250 - i % 7) * 0x010101;
        }
        assertThat(InkFinder.find(new Picture(10, 10, noisy)).inkPixels()).isZero();
    }

    /** A black line over slanted blue pencil: the pencil is ink unless it is dropped, the line always is. */
    @Test
    void pencilOfAChosenColourIsDropped() {
        int side = 60;
        int[] argb = new int[side * side];
        Arrays.fill(argb, 0xffffffff);
        for (int i = 0; i < side; i++) {
            argb[i * side + i] = 0xff8ec5ee;
            argb[30 * side + i] = 0xff101010;
        }
        Picture drawing = new Picture(side, side, argb);
        InkSettings all = new InkSettings(OptionalInt.of(40), OptionalInt.empty(), Pencil.NONE);
        InkSettings withoutBlue = new InkSettings(OptionalInt.of(40), OptionalInt.empty(), Pencil.BLUE);
        assertThat(InkFinder.find(drawing, all).inkPixels()).isEqualTo(2 * side - 1);
        assertThat(InkFinder.find(drawing, withoutBlue).inkPixels()).isEqualTo(side);
    }

    @Test
    void spotsUnderTheChosenSizeAreDirt() {
        String[] rows = {"#........", "........#", "...##..#.", "...##....", "........."};
        int[] argb = new int[45];
        for (int i = 0; i < argb.length; i++) {
            argb[i] = rows[i / 9].charAt(i % 9) == '#' ? 0xff000000 : 0xffffffff;
        }
        Picture drawing = new Picture(9, 5, argb);
        assertThat(InkFinder.find(drawing).inkPixels()).isEqualTo(7);
        assertThat(inkLeft(drawing, 2)).isEqualTo(6);
        assertThat(inkLeft(drawing, 3)).isEqualTo(4);
        assertThat(inkLeft(drawing, 5)).isZero();
    }

    private static int inkLeft(Picture drawing, int speckPx) {
        return InkFinder.find(drawing, new InkSettings(OptionalInt.empty(), OptionalInt.of(speckPx), Pencil.NONE))
                .inkPixels();
    }
}
