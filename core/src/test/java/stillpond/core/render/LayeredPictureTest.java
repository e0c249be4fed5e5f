package stillpond.core.render;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import org.junit.jupiter.api.Test;
import stillpond.core.ink.Picture;

class LayeredPictureTest {

    private static final int RED = 0xffff0000;
    private static final int BLUE = 0xff0000ff;
    private static final int CLEAR = 0;

    @Test
    void anOpaqueLayerHidesWhatLiesBehindAndAClearPlaceIsAWindow() {
        LayeredPicture page = LayeredPicture.onPaper(3, 1);
        page.lay(new Picture(3, 1, new int[] {BLUE, BLUE, CLEAR}), 100, 0, 0);
        page.lay(new Picture(3, 1, new int[] {RED, CLEAR, CLEAR}), 100, 0, 0);
        assertThat(page.picture().argb()).containsExactly(RED, BLUE, 0xffffffff);
    }

    /** Over opaque white, 40 % of red is 0.4 red + 0.6 white. */
    @Test
    void aLayerThatIsPartlyOpaqueLetsTheRestThrough() {
        LayeredPicture page = LayeredPicture.onPaper(1, 1);
        page.lay(new Picture(1, 1, new int[] {RED}), 40, 0, 0);
        assertThat(page.picture().argbAt(0, 0)).isEqualTo(0xffff9999);
    }

    /** Porter and Duff: alpha is a + b (1 - a), and the colour what both have part in it. */
    @Test
    void twoThatAreHalfOpaqueGiveThreeQuarters() {
        LayeredPicture page = LayeredPicture.onClear(1, 1);
        page.lay(new Picture(1, 1, new int[] {BLUE}), 50, 0, 0);
        page.lay(new Picture(1, 1, new int[] {RED}), 50, 0, 0);
        int argb = page.picture().argbAt(0, 0);
        double front = 128 / 255.0;
        double back = front * (1 - front);
        assertThat((argb >>> 24) / 255.0).isCloseTo(front + back, within());
        assertThat((argb >> 16 & 0xff) / 255.0).isCloseTo(front / (front + back), within());
        assertThat((argb & 0xff) / 255.0).isCloseTo(back / (front + back), within());
    }

    @Test
    void aMovedLayerIsCutOffAtTheEdgesOfThePage() {
        int[] four = {1, 2, 3, 4};
        Picture layer =
                new Picture(2, 2, Arrays.stream(four).map(i -> 0xff000000 | i).toArray());
        LayeredPicture page = LayeredPicture.onClear(2, 2);
        page.lay(layer, 100, 1, -1);
        assertThat(page.picture().argb()).containsExactly(0, 0xff000003, 0, 0);
        page.lay(layer, 100, 40, 40);
        page.lay(layer, 100, -40, -40);
        assertThat(page.picture().argb()).containsExactly(0, 0xff000003, 0, 0);
    }

    @Test
    void aShrunkPictureIsTheMeanOfItsPixelsByTheirOpacity() {
        Picture small = Shrunk.to(new Picture(4, 2, new int[] {RED, RED, BLUE, CLEAR, RED, RED, CLEAR, CLEAR}), 2);
        assertThat(small.widthPx()).isEqualTo(2);
        assertThat(small.heightPx()).isEqualTo(1);
        assertThat(small.argbAt(0, 0)).isEqualTo(RED);
        assertThat(small.argbAt(1, 0)).isEqualTo(0x400000ff);
        Picture picture = new Picture(2, 1, new int[] {RED, BLUE});
        assertThat(Shrunk.to(picture, 2)).isSameAs(picture);
    }

    private static org.assertj.core.data.Offset<Double> within() {
        return org.assertj.core.api.Assertions.within(0.003);
    }
}
