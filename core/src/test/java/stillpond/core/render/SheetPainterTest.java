package stillpond.core.render;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import stillpond.core.Grid;
import stillpond.core.cell.CellMap;
import stillpond.core.colour.Srgb;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.ink.InkPlane;
import stillpond.core.ink.Picture;
import stillpond.core.palette.Card;
import stillpond.core.palette.Palette;
import stillpond.core.palette.Swatch;

class SheetPainterTest {

    private static final Swatch COAT = new Swatch(new UUID(0, 1), "Coat", Srgb.ofHex("#2f6f5e"));
    private static final Palette PALETTE =
            new Palette(List.of(new Card(new UUID(0, 9), "Juniper", "oilskins", List.of(COAT))));

    private final InkPlane ink = Grid.ink("...#....", "...#....", "...#....");
    private final CellMap map = CellMap.of(ink);
    private final CellColours colours = CellColours.of(
            Fills.of(Map.of(0, Fill.flat(COAT.id()))),
            PALETTE,
            Motifs.NONE,
            map.cells().size());

    @Test
    void flatsRunUnderTheInkAndNothingIsBlended() {
        Picture flats = SheetPainter.flats(map.plane(), colours);
        assertThat(flats.argbAt(0, 1)).isEqualTo(0xff2f6f5e);
        assertThat(flats.argbAt(3, 1)).isEqualTo(0xff2f6f5e);
        assertThat(flats.argbAt(4, 1)).isZero();
    }

    @Test
    void composedShowsInkOverFlatsOverPaper() {
        Picture composed = SheetPainter.composed(map.plane(), ink, colours, InkColours.BLACK);
        assertThat(composed.argbAt(0, 1)).isEqualTo(0xff2f6f5e);
        assertThat(composed.argbAt(3, 1)).isEqualTo(0xff000000);
        assertThat(composed.argbAt(4, 1)).isEqualTo(0xffffffff);
    }

    @Test
    void aFillWhoseSwatchIsGoneShowsPaper() {
        CellColours gone = CellColours.of(Fills.of(Map.of(0, Fill.flat(new UUID(0, 2)))), PALETTE, Motifs.NONE, 2);
        assertThat(SheetPainter.flats(map.plane(), gone).argbAt(0, 0)).isZero();
    }

    @Test
    void theSmallSheetAveragesInkAndKeepsEveryColourPure() {
        InkPlane large = Grid.ink(
                "....##..", //
                "....##..",
                "....##..",
                "....##..");
        SmallSheet small = SmallSheet.of(CellMap.of(large).plane(), large, 4);
        assertThat(small.ink().widthPx()).isEqualTo(4);
        assertThat(small.ink().heightPx()).isEqualTo(2);
        assertThat(small.ink().density()).startsWith(0, 0, -1, 0);
        assertThat(small.paint(colours, InkColours.BLACK).argbAt(0, 0)).isEqualTo(0xff2f6f5e);
    }
}
