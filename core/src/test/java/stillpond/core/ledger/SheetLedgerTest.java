package stillpond.core.ledger;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import stillpond.core.colour.Srgb;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Opacity;
import stillpond.core.fill.Span;
import stillpond.core.fill.Stop;
import stillpond.core.gap.Dams;
import stillpond.core.region.RegionMap;
import stillpond.core.region.Rooms;

class SheetLedgerTest {

    private final UUID coat = UUID.randomUUID();
    private final UUID sea = UUID.randomUUID();
    private final Fill gradient = new Fill.Gradient(
            Fill.Course.LINEAR,
            new Span(0, 0, 10, 0),
            List.of(new Stop(0, sea), new Stop(100, coat)),
            new Opacity(100));
    private final RegionMap rooms = new Rooms(4, 1).open(0, 1, 3, 0.1).at(Dams.at(0.5));
    private final List<Fill> worn = List.of(Fill.flat(coat), Fill.flat(coat), gradient, Fill.NONE);

    @Test
    void everyCellCountsOnceUnderWhatItWears() {
        List<SheetLedger.Row> rows = SheetLedger.of(rooms, worn, cell -> true);

        assertThat(rows)
                .extracting(SheetLedger.Row::fill)
                .containsExactlyInAnyOrder(Fill.flat(coat), gradient, Fill.NONE);
        assertThat(rows.get(0)).satisfies(row -> {
            assertThat(row.cells()).containsExactly(0, 1);
            assertThat(row.regions()).as("two cells are one region").isEqualTo(1);
            assertThat(row.share()).isEqualTo(0.5);
        });
        assertThat(rows.stream().mapToDouble(SheetLedger.Row::share).sum()).isEqualTo(1);
    }

    @Test
    void onlyWhatIsMeantIsCounted() {
        assertThat(SheetLedger.of(rooms, worn, cell -> cell == 3))
                .extracting(SheetLedger.Row::fill)
                .containsExactly(Fill.NONE);
    }

    @Test
    void rowsComeInTheOrderAskedFor() {
        ColourOrder.Row red = new ColourOrder.Row("Hatband", 1, Srgb.ofHex("#c03020"), 0.1, 9);
        ColourOrder.Row pale = new ColourOrder.Row("sand", 0, Srgb.ofHex("#f0e8d0"), 0.5, 2);
        ColourOrder.Row blue = new ColourOrder.Row("Coat", 2, Srgb.ofHex("#203080"), 0.3, 5);

        assertThat(sorted(ColourOrder.AREA, red, pale, blue)).containsExactly(pale, blue, red);
        assertThat(sorted(ColourOrder.COUNT, red, pale, blue)).containsExactly(red, blue, pale);
        assertThat(sorted(ColourOrder.LIGHTNESS, red, pale, blue)).containsExactly(pale, red, blue);
        assertThat(sorted(ColourOrder.HUE, blue, pale, red)).containsExactly(red, pale, blue);
        assertThat(sorted(ColourOrder.CARD, red, pale, blue)).containsExactly(pale, red, blue);
        assertThat(sorted(ColourOrder.NAME, red, pale, blue)).containsExactly(blue, red, pale);
    }

    private static List<ColourOrder.Row> sorted(ColourOrder order, ColourOrder.Row... rows) {
        Comparator<ColourOrder.Row> comparator = order.comparator();
        return Stream.of(rows).sorted(comparator).toList();
    }
}
