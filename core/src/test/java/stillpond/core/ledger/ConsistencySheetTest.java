package stillpond.core.ledger;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import stillpond.core.colour.Srgb;
import stillpond.core.ledger.ConsistencySheet.Acceptance;
import stillpond.core.ledger.ConsistencySheet.Key;
import stillpond.core.palette.Card;
import stillpond.core.palette.Palette;
import stillpond.core.palette.Swatch;
import stillpond.core.palette.SwatchColours;

/** One coat on three sheets of a scene, the last of which shows it in another colour; and a colour on no card on the first. */
class ConsistencySheetTest {

    /** L* of these greys is 50 and 60, so that they are 9.6 apart: of greys CIEDE2000 is the difference in lightness over S_L of their mean, here 1.06 (Sharma, Wu and Dalal, 2005). */
    private static final Srgb GREY = new Srgb(119, 119, 119);

    private static final Srgb LIGHTER = new Srgb(145, 145, 145);

    private final Swatch coat = new Swatch(new UUID(0, 1), "Coat", GREY);
    private final Swatch tried = new Swatch(new UUID(0, 2), "Tried", LIGHTER);
    private final Palette palette = new Palette(List.of(
            new Card(new UUID(1, 1), "Juniper", "", List.of(coat)),
            new Card(new UUID(1, 2), "Loose", "", Card.Kind.LOOSE, false, List.of(tried))));
    private final List<PartsTable.Column> columns = List.of(
            column(1, palette, coat, tried), column(2, palette, coat), column(3, swatch -> Optional.of(LIGHTER), coat));

    private static PartsTable.Column column(int sheet, SwatchColours colours, Swatch... worn) {
        PartsOnSheet.Place place = new PartsOnSheet.Place(0, 7, 3, 3, 0, 0, 9, 9, 50);
        Map<UUID, PartsOnSheet.Place> places = new HashMap<>();
        for (Swatch swatch : worn) {
            places.put(swatch.id(), place);
        }
        return new PartsTable.Column(
                new UUID(2, sheet), new UUID(3, 3), new PartsOnSheet(places, Map.of(), List.of(), Set.of()), colours);
    }

    private ConsistencySheet sheet(Map<Key, Acceptance> accepted) {
        PartsTable table = PartsTable.of(columns, palette, palette.cards());
        return ConsistencySheet.of(table, columns, List.of("One", "Two", "Three"), accepted);
    }

    @Test
    void howFarAPartIsFromThoseBesideItIsTold() {
        List<ConsistencySheet.Cell> coats = sheet(Map.of()).lines().get(0).cells();
        assertThat(coats.get(2).entry().apart()).isEqualTo(9.6, within(0.1));
        assertThat(coats.get(2).entry().mark()).isEqualTo(PartsTable.Mark.OFF);
        assertThat(coats.get(2).entry().words()).isEqualTo("lighter than beside it");
        assertThat(coats.get(0).standsOut()).isFalse();
    }

    @Test
    void whatIsAcceptedIsNotOpenAnyMore() {
        assertThat(sheet(Map.of()).open()).isEqualTo(2);
        Key key = new Key(new UUID(2, 1), tried.id(), PartsTable.Mark.LOOSE);
        ConsistencySheet accepted = sheet(Map.of(key, new Acceptance("Wren", "3 May", "a flare")));
        assertThat(accepted.open()).isEqualTo(1);
        assertThat(new String(accepted.csv(), StandardCharsets.UTF_8)).contains(",0.0,on no card,Wren,3 May,a flare");
        Key elsewhere = new Key(new UUID(2, 2), tried.id(), PartsTable.Mark.LOOSE);
        assertThat(sheet(Map.of(elsewhere, new Acceptance("Wren", "", ""))).open())
                .as("on another sheet it says nothing")
                .isEqualTo(2);
    }

    @Test
    void aSignatureIsAboutColoursAndMarksAndNotAboutWhatWasAccepted() {
        Key key = new Key(new UUID(2, 1), tried.id(), PartsTable.Mark.LOOSE);
        assertThat(sheet(Map.of(key, new Acceptance("Wren", "3 May", "a flare")))
                        .signed())
                .isEqualTo(sheet(Map.of()).signed());
        assertThat(Set.of(sheet(Map.of()).signed().split("\n")))
                .contains("Juniper\tCoat\t\t#777777 NOTHING\t#777777 NOTHING\t#919191 OFF");
    }
}
