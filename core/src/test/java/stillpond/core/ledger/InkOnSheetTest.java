package stillpond.core.ledger;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import stillpond.core.Grid;
import stillpond.core.cell.CellMap;
import stillpond.core.colour.Srgb;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.fill.Places;
import stillpond.core.ink.InkPlane;
import stillpond.core.palette.Card;
import stillpond.core.palette.Palette;
import stillpond.core.palette.Swatch;
import stillpond.core.render.SmallSheet;
import stillpond.core.stroke.StrokeMap;

class InkOnSheetTest {

    private static final Swatch COAT = new Swatch(UUID.randomUUID(), "Coat", Srgb.ofHex("#2f6f5e"));
    private static final Swatch SEAM = new Swatch(UUID.randomUUID(), "Seam", Srgb.ofHex("#123d33"));
    private static final Card JUNIPER = new Card(UUID.randomUUID(), "Juniper", "", List.of(COAT, SEAM));

    private final InkPlane ink = Grid.ink(
            "....................",
            "...##.........##....",
            "...##.........##....",
            "...##.........##....",
            "....................");

    private final CellMap cells = CellMap.of(ink);
    private final StrokeMap strokes = StrokeMap.of(ink);

    @Test
    void aSwatchOnInkAloneIsWornThere() {
        PartsOnSheet parts = parts(Map.of(0, Fill.flat(COAT.id()), place(14, 2), Fill.flat(SEAM.id())));

        PartsOnSheet.Place seam = parts.worn().get(SEAM.id());
        assertThat(seam.xStart()).isEqualTo(14);
        assertThat(seam.yStart()).isEqualTo(1);
        assertThat(seam.width()).isEqualTo(2);
        assertThat(seam.height()).isEqualTo(3);
        assertThat(seam.pixels()).isEqualTo(6);
        assertThat(parts.beside().get(SEAM.id())).isEqualTo(Set.of(JUNIPER.id()));
    }

    @Test
    void aRegionThatWearsTheSwatchTooIsWhatIsShown() {
        PartsOnSheet parts = parts(Map.of(0, Fill.flat(COAT.id()), place(14, 2), Fill.flat(COAT.id())));
        assertThat(parts.worn().get(COAT.id()).width()).isEqualTo(20);
    }

    private int place(int x, int y) {
        return Places.ofStroke(strokes.strokeAt(x, y));
    }

    private PartsOnSheet parts(Map<Integer, Fill> worn) {
        InkOnSheet onSheet = new InkOnSheet(SmallSheet.strokesOf(strokes, 480).plane(), ink);
        return PartsOnSheet.of(
                cells.plane(), new int[] {0}, Fills.of(worn), Optional.of(onSheet), new Palette(List.of(JUNIPER)));
    }
}
