package stillpond.core.render;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
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

class LooksTest {

    private static final Swatch BLACK = new Swatch(new UUID(0, 1), "Night", Srgb.ofHex("#000000"));
    private static final Swatch WHITE = new Swatch(new UUID(0, 2), "Foam", Srgb.ofHex("#ffffff"));
    private static final Palette PALETTE =
            new Palette(List.of(new Card(new UUID(0, 9), "Tide", "", List.of(BLACK, WHITE))));

    private static final CellPlane PAGE = new CellPlane(101, 101, new int[101 * 101]);

    /** Left half the first colour, right half the second. */
    private static final Motif HALVES = new Motif(
            2,
            IntStream.range(0, Motif.SIDE * Motif.SIDE)
                    .map(place -> place % Motif.SIDE < Motif.SIDE / 2 ? 0 : 0xff0000)
                    .toArray());

    private static Picture paint(String fill, double pixelPx) {
        return SheetPainter.flats(PAGE, colours(fill, pixelPx));
    }

    private static CellColours colours(String fill, double pixelPx) {
        Fills fills = Fills.of(Map.of(
                0,
                Fill.ofText(fill.replace("BLACK", BLACK.id().toString())
                        .replace("WHITE", WHITE.id().toString()))));
        return CellColours.of(fills, PALETTE, name -> Optional.of(HALVES), 1).inPixelsOf(pixelPx);
    }

    /** In OKLab, halfway from black to white is lightness 0.5, whose luminance is its cube: 0.125, in sRGB 99. */
    @Test
    void aLinearGradientIsHalfwayInOklabInItsMiddleAndEvenBeyondItsEnds() {
        Picture picture = paint("linear 100% 20 50 81 50 0% BLACK 100% WHITE", 1);
        assertThat(picture.argbAt(5, 3)).isEqualTo(0xff000000);
        assertThat(picture.argbAt(95, 90)).isEqualTo(0xffffffff);
        assertThat(picture.argbAt(50, 10) & 0xff).isBetween(97, 101);
        assertThat(picture.argbAt(50, 10)).isEqualTo(picture.argbAt(50, 99));
    }

    @Test
    void aRadialGradientRunsInCircles() {
        Picture picture = paint("radial 100% 50 50 90 50 0% BLACK 100% WHITE", 1);
        assertThat(picture.argbAt(70, 50)).isEqualTo(picture.argbAt(50, 70)).isEqualTo(picture.argbAt(50, 29));
        assertThat(picture.argbAt(50, 50) & 0xff).isLessThan(12);
        assertThat(picture.argbAt(0, 0)).isEqualTo(0xffffffff);
    }

    @Test
    void stopsMeetAtAnEdgeWhereTheyStandInOnePlace() {
        Picture picture = paint("linear 100% 0 0 100 0 0% BLACK 50% BLACK 50% WHITE 100% WHITE", 1);
        assertThat(picture.argbAt(48, 0)).isEqualTo(0xff000000);
        assertThat(picture.argbAt(51, 0)).isEqualTo(0xffffffff);
    }

    @Test
    void aStopWithoutASwatchIsLeftOut() {
        Picture picture = paint("linear 100% 0 0 100 0 0% " + new UUID(0, 7) + " 100% WHITE", 1);
        assertThat(picture.argbAt(2, 2)).isEqualTo(0xffffffff);
    }

    @Test
    void aPatternIsLaidTurnedAndMirroredByItsSpan() {
        Picture plain = paint("pattern 100% 10 10 50 10 halves plain BLACK WHITE", 1);
        assertThat(List.of(plain.argbAt(15, 30), plain.argbAt(45, 30), plain.argbAt(55, 30)))
                .containsExactly(0xff000000, 0xffffffff, 0xff000000);
        Picture turned = paint("pattern 100% 10 10 10 50 halves plain BLACK WHITE", 1);
        assertThat(List.of(turned.argbAt(30, 15), turned.argbAt(30, 45))).containsExactly(0xff000000, 0xffffffff);
        Picture mirrored = paint("pattern 100% 10 10 50 10 halves mirrored BLACK WHITE", 1);
        assertThat(mirrored.argbAt(15, 30)).isEqualTo(0xffffffff);
    }

    /** Turned by a quarter, the halves lie above each other: then flipping changes them, mirroring does not, and half the height doubles them. */
    @Test
    void aPatternIsFlippedAndStretchedDownwards() {
        String down = "pattern 100% 50 10 50 50 halves ";
        assertThat(paint(down + "flipped BLACK WHITE", 1).argbAt(30, 15)).isEqualTo(0xff000000);
        assertThat(paint(down + "both BLACK WHITE", 1).argbAt(30, 15)).isEqualTo(0xffffffff);
        Picture across = paint("pattern 100% 10 10 50 10 halves plain:50 BLACK WHITE", 1);
        assertThat(List.of(across.argbAt(15, 30), across.argbAt(45, 30))).containsExactly(0xff000000, 0xffffffff);
    }

    @Test
    void inFlatsAPatternHasOnlyTheColoursOfItsSwatches() {
        Picture turned = paint("pattern 100% 3 7 37 19 halves plain BLACK WHITE", 1);
        assertThat(Arrays.stream(turned.argb()).distinct().toArray()).containsExactlyInAnyOrder(0xff000000, 0xffffffff);
    }

    @Test
    void aPatternTooSmallToBeSeenIsItsMean() {
        InkPlane noInk = new InkPlane(101, 101, new byte[101 * 101], 128);
        Picture picture = SheetPainter.composed(
                PAGE, noInk, colours("pattern 100% 0 0 40 0 halves plain BLACK WHITE", 400), InkColours.BLACK);
        assertThat(picture.argbAt(7, 7) & 0xff).isBetween(126, 129);
        assertThat(picture.argbAt(7, 7)).isEqualTo(picture.argbAt(60, 33));
    }

    @Test
    void whatIsNotOpaqueIsSoInTheFlatsAndLiesOnPaperInTheSheet() {
        assertThat(paint("flat 40% BLACK", 1).argbAt(3, 3)).isEqualTo(0x66000000);
        assertThat(paint("linear 40% 0 0 9 0 0% BLACK 100% BLACK", 1).argbAt(3, 3))
                .isEqualTo(0x66000000);
    }
}
