package stillpond.core.stack;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import stillpond.core.cell.CellMap;
import stillpond.core.ink.InkFinder;
import stillpond.core.ink.InkPlane;
import stillpond.core.ink.Picture;
import stillpond.core.refusal.Refusal;
import stillpond.core.stroke.Stroke;
import stillpond.core.stroke.StrokeMap;
import stillpond.core.stroke.Strokes;

class SplitInkTest {

    private static final int SIDE = 60;

    /** A bar across the page and a stem below it. */
    private final InkPlane ink = tee();

    private final CellMap cells = CellMap.of(ink);
    private final StrokeMap map = StrokeMap.of(ink);
    private final List<Stroke> strokes = Strokes.of(map, ink, cells.plane());

    @Test
    void everyStrokeThatBordersWhatGoesGoesWholeAndNothingIsLostOrDoubled() {
        SplitInk split = SplitInk.of(ink, cells.plane(), Set.of(cell(5, 50)), map, strokes);
        assertThat(density(split.going(), 30, 50)).as("the stem").isEqualTo(255);
        assertThat(density(split.going(), 5, 21)).as("the bar above it").isEqualTo(255);
        assertThat(density(split.going(), 55, 21)).as("the bar beside it").isZero();
        for (int y = 0; y < SIDE; y++) {
            for (int x = 0; x < SIDE; x++) {
                assertThat(density(split.going(), x, y) + density(split.staying(), x, y))
                        .isEqualTo(ink.density()[y * SIDE + x] & 0xff);
            }
        }
    }

    @Test
    void whatIsReadFromThePicturesIsTheInkThatWentIn() {
        SplitInk split = SplitInk.of(ink, cells.plane(), Set.of(cell(5, 50)), map, strokes);
        InkPlane again = InkFinder.find(split.going());
        assertThat(again.density()[50 * SIDE + 30] & 0xff).isEqualTo(255);
        assertThat(again.density()[21 * SIDE + 55] & 0xff).isZero();
    }

    @Test
    void withoutStrokesEachPixelGoesWithItsCell() {
        SplitInk split = SplitInk.of(ink, cells.plane(), Set.of(cell(5, 50)), null, List.of());
        assertThat(density(split.going(), 28, 50))
                .as("the left half of the stem")
                .isEqualTo(255);
        assertThat(density(split.going(), 31, 50)).as("its right half").isZero();
        assertThat(density(split.staying(), 31, 50)).isEqualTo(255);
    }

    @Test
    void nothingIsSplitIfAllWouldGoOrNone() {
        Set<Integer> all = Set.of(cell(30, 5), cell(5, 50), cell(50, 50));
        assertThatThrownBy(() -> SplitInk.of(ink, cells.plane(), all, map, strokes))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("nothing would stay");
        assertThatThrownBy(() -> SplitInk.of(ink, cells.plane(), Set.of(), map, strokes))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("No ink");
    }

    @Test
    void theInkOfOthersCountsWhereTheyLieByTheirOwnThreshold() {
        InkPlane own = new InkPlane(3, 1, new byte[] {0, (byte) 255, 0}, 128);
        InkPlane pale = new InkPlane(2, 1, new byte[] {60, 30}, 50);
        InkPlane visible =
                VisibleInk.of(own, List.of(new VisibleInk.Other(pale, -1, 0), new VisibleInk.Other(pale, 2, 0)));
        assertThat(isInk(visible, 0)).as("under its threshold there too").isFalse();
        assertThat(isInk(visible, 1)).isTrue();
        assertThat(isInk(visible, 2)).as("ink there, though pale").isTrue();
        assertThat(own.density()[2]).as("its own ink stays").isZero();
    }

    private static boolean isInk(InkPlane ink, int x) {
        return (ink.density()[x] & 0xff) >= ink.threshold();
    }

    private int cell(int x, int y) {
        return cells.cellAt(x, y).number();
    }

    private static int density(Picture picture, int x, int y) {
        return picture.argbAt(x, y) >>> 24;
    }

    private static InkPlane tee() {
        byte[] density = new byte[SIDE * SIDE];
        for (int i = 0; i < density.length; i++) {
            int x = i % SIDE;
            int y = i / SIDE;
            boolean isBar = y >= 20 && y < 24;
            boolean isStem = x >= 28 && x < 32 && y >= 20;
            density[i] = (byte) (isBar || isStem ? 255 : 0);
        }
        return new InkPlane(SIDE, SIDE, density, 128);
    }
}
