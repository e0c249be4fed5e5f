package stillpond.core.ink;

import static org.assertj.core.api.Assertions.assertThat;

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
        InkPlane ink = InkFinder.find(new Picture(5, 1, new int[] {paper, paper, pencil, paper, pencil}));
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
}
