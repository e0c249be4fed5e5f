package stillpond.core.check;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import stillpond.core.Grid;
import stillpond.core.cell.CellMap;
import stillpond.core.colour.Srgb;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.fill.Places;
import stillpond.core.gap.Dams;
import stillpond.core.gap.Openings;
import stillpond.core.gap.Regions;
import stillpond.core.ink.InkPlane;
import stillpond.core.palette.Card;
import stillpond.core.palette.Palette;
import stillpond.core.palette.Swatch;
import stillpond.core.stroke.StrokeMap;
import stillpond.core.stroke.Strokes;

class LineFindingsTest {

    private static final Swatch COAT = new Swatch(UUID.randomUUID(), "Coat", Srgb.ofHex("#2f6f5e"));
    private static final Swatch SAND = new Swatch(UUID.randomUUID(), "Sand", Srgb.ofHex("#e8d2a6"));
    private static final Swatch DEEP = new Swatch(UUID.randomUUID(), "Deep green", Srgb.ofHex("#123d33"));
    private static final Swatch PICKED = new Swatch(UUID.randomUUID(), "Picked by eye", Srgb.ofHex("#16423a"));
    private static final Palette PALETTE = new Palette(List.of(
            new Card(UUID.randomUUID(), "Juniper", "", List.of(COAT, SAND, DEEP)),
            new Card(UUID.randomUUID(), "Loose", "", Card.Kind.LOOSE, false, List.of(PICKED))));

    /** One wall between two cells. */
    private final InkPlane ink =
            Grid.ink("...........##...........", "...........##...........", "...........##...........");

    private final CellMap cells = CellMap.of(ink);

    @Test
    void aLineLighterThanBothItsSidesIsFound() {
        assertThat(found(COAT, COAT, SAND)).singleElement().isInstanceOfSatisfying(Finding.LightLine.class, light -> {
            assertThat(light.swatch()).isEqualTo(SAND.id());
            assertThat(light.strokes()).hasSize(1);
            assertThat(light.cells()).isEmpty();
        });
    }

    @Test
    void aLineDarkerThanOneOfItsSidesIsNone() {
        assertThat(found(COAT, SAND, DEEP)).isEmpty();
        assertThat(found(SAND, DEEP, COAT)).isEmpty();
    }

    @Test
    void paperIsAsLightAsAnything() {
        assertThat(LineFindings.lighter(sheet(Map.of(0, Fill.flat(COAT.id())), SAND)))
                .isEmpty();
    }

    @Test
    void aLooseColourOnInkIsFoundWithTheCardColourThatItWasMeantFor() {
        assertThat(found(COAT, SAND, PICKED)).singleElement().isInstanceOfSatisfying(Finding.OffCard.class, loose -> {
            assertThat(loose.swatch()).isEqualTo(PICKED.id());
            assertThat(loose.strokes()).hasSize(1);
            assertThat(loose.cells()).isEmpty();
            assertThat(loose.meant()).isEqualTo(Optional.of(DEEP.id()));
        });
    }

    private List<? extends Finding> found(Swatch left, Swatch right, Swatch line) {
        SheetToCheck sheet = sheet(Map.of(0, Fill.flat(left.id()), 1, Fill.flat(right.id())), line);
        List<Finding> found = new ArrayList<>(ColourFindings.offCard(sheet));
        found.addAll(LineFindings.lighter(sheet));
        return found;
    }

    private SheetToCheck sheet(Map<Integer, Fill> byCell, Swatch line) {
        Openings openings = new Openings(cells, List.of(), 2, 1, false);
        Map<Integer, Fill> worn = new HashMap<>(byCell);
        worn.put(Places.ofStroke(0), Fill.flat(line.id()));
        return new SheetToCheck(
                openings,
                Regions.of(openings, Dams.at(1)),
                Fills.of(worn),
                PALETTE,
                Strokes.of(StrokeMap.of(ink), ink, cells.plane()));
    }
}
