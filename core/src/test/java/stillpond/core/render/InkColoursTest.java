package stillpond.core.render;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import stillpond.core.cell.CellPlane;
import stillpond.core.colour.Srgb;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.ink.InkPlane;
import stillpond.core.ink.Picture;
import stillpond.core.palette.Card;
import stillpond.core.palette.Palette;
import stillpond.core.palette.Swatch;
import stillpond.core.stroke.StrokeMap;

class InkColoursTest {

    private static final Swatch NAVY = new Swatch(new UUID(0, 1), "Navy", Srgb.ofHex("#20406a"));
    private static final Palette PALETTE = new Palette(List.of(new Card(new UUID(0, 9), "Ink", "", List.of(NAVY))));
    private static final int SIDE = 40;

    /** A page of ink whose left half is stroke 0, the other stroke 1; in a plane of half the size. */
    private final StrokeMap halves = new StrokeMap(SIDE, SIDE, plane(SIDE / 2), new int[] {255, 255});

    private final InkColours.Worn navyOnTheLeft =
            InkColours.worn(Fills.of(Map.of(0, Fill.flat(NAVY.id()))), PALETTE, 2);

    @Test
    void aStrokeShowsItsSwatchAndAllOtherInkIsBlack() {
        InkColours ink = navyOnTheLeft.on(halves, Meeting.HARD, 8);
        assertThat(ink.argbAt(19, 5)).isEqualTo(0xff20406a);
        assertThat(ink.argbAt(20, 5)).isEqualTo(0xff000000);
        assertThat(navyOnTheLeft.isBlack()).isFalse();
        assertThat(InkColours.worn(Fills.none(), PALETTE, 2).isBlack()).isTrue();
    }

    /** Half way between both in the middle, and as they are from half a stroke's width on. */
    @Test
    void coloursThatMeetSoftlyRunIntoEachOtherOverTheWidthOfAStroke() {
        InkColours ink = navyOnTheLeft.on(halves, Meeting.SOFT, 8);
        int[] blues = new int[SIDE];
        Arrays.setAll(blues, x -> ink.argbAt(x, 20) & 0xff);
        assertThat(blues[15]).isEqualTo(0x6a);
        assertThat(blues[24]).isZero();
        assertThat((blues[19] + blues[20]) / 2.0).isCloseTo(0x6a / 2.0, within(12.0));
        for (int x = 1; x < SIDE; x++) {
            assertThat(blues[x]).isLessThanOrEqualTo(blues[x - 1]);
        }
    }

    @Test
    void inkThatIsHalfAsDenseShowsHalfOfWhatLiesUnderIt() {
        byte[] density = new byte[SIDE * SIDE];
        Arrays.fill(density, (byte) 128);
        Picture composed = SheetPainter.composed(
                new CellPlane(SIDE, SIDE, new int[SIDE * SIDE]),
                new InkPlane(SIDE, SIDE, density, 100),
                CellColours.of(Fills.none(), PALETTE, Motifs.NONE, 1),
                navyOnTheLeft.on(halves, Meeting.HARD, 8));
        // 0x20 * 128 / 255 + 0xff * 127 / 255, and so on.
        assertThat(composed.argbAt(2, 2)).isEqualTo(0xff8f9fb4);
        assertThat(composed.argbAt(38, 2)).isEqualTo(0xff7f7f7f);
    }

    /** Drawn in blue ink, which is at its densest where it is solid. */
    @Test
    void inkDrawnPaleShowsItsSwatchWhereItIsSolid() {
        byte[] density = new byte[SIDE * SIDE];
        Arrays.fill(density, (byte) 180);
        Arrays.fill(density, 0, SIDE, (byte) 90);
        StrokeMap pale = new StrokeMap(SIDE, SIDE, plane(SIDE / 2), new int[] {180, 180});
        Picture composed = SheetPainter.composed(
                new CellPlane(SIDE, SIDE, new int[SIDE * SIDE]),
                new InkPlane(SIDE, SIDE, density, 60),
                CellColours.of(Fills.none(), PALETTE, Motifs.NONE, 1),
                navyOnTheLeft.on(pale, Meeting.HARD, 8));
        assertThat(composed.argbAt(2, 5)).isEqualTo(0xff20406a);
        // Half covered: (0x20 + 0xff) / 2, and so on.
        assertThat(composed.argbAt(2, 0) & 0xff).isCloseTo((0x6a + 0xff) / 2, within(1));
        assertThat(composed.argbAt(38, 5))
                .as("what wears nothing is as it was drawn")
                .isEqualTo(0xff4b4b4b);
    }

    @Test
    void theVersionTellsColoursApart() {
        String black = InkColours.worn(Fills.none(), PALETTE, 2).version();
        String other = InkColours.worn(Fills.of(Map.of(1, Fill.flat(NAVY.id()))), PALETTE, 2)
                .version();
        assertThat(List.of(black, navyOnTheLeft.version(), other)).doesNotHaveDuplicates();
    }

    private static CellPlane plane(int side) {
        int[] strokes = new int[side * side];
        Arrays.setAll(strokes, i -> i % side < side / 2 ? 0 : 1);
        return new CellPlane(side, side, strokes);
    }
}
