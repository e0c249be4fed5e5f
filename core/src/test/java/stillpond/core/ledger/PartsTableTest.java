package stillpond.core.ledger;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import stillpond.core.cell.CellPlane;
import stillpond.core.colour.Srgb;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.palette.Card;
import stillpond.core.palette.Light;
import stillpond.core.palette.LightRule;
import stillpond.core.palette.LitPalette;
import stillpond.core.palette.Palette;
import stillpond.core.palette.Swatch;
import stillpond.core.palette.SwatchColours;

/** Sheets are letters: each is a cell of its own, and says what it wears. */
class PartsTableTest {

    private final Map<Character, Swatch> swatches = new HashMap<>();
    private final Card girl = card("Girl", "Coat C", "Scarf S", "Boots B");
    private final Card badger = card("Badger", "Waistcoat W", "Fur F", "Cap P");
    private final Card loose =
            new Card(UUID.randomUUID(), "Loose", "", Card.Kind.LOOSE, false, List.of(swatch("Tried X")));
    private final Palette palette = new Palette(List.of(girl, badger, loose));
    private final UUID scene = UUID.randomUUID();

    private static final String GIRL = """
            SSSSSSSSSSSS
            SSSSSSSSSSSS
            CCCCCCCCCCCC
            CCCCCCCCCCCC
            BBBBBBBBBBBB
            BBBBBBBBBBBB""";

    private static final String BADGER = """
            PPPPPPPP
            FFFFFFFF
            WWWWWWWW
            WWWWWWWW""";

    /** A patch of the badger's waistcoat on the girl's coat, where it meets the scarf too. */
    private static final String PATCHED = """
            SSSSSSSSSSSS
            SSSSSSSSSSSS
            CCCWWWWWWCCC
            CCCWWWWWWCCC
            CCCCCCCCCCCC
            BBBBBBBBBBBB""";

    private static final String IN_SAND = """
            FFFFFFFFFFFF
            FFCCCCCCCCFF
            FFCCCCCCCCFF
            FFFFFFFFFFFF""";

    private Card card(String name, String... parts) {
        List<Swatch> own = new ArrayList<>();
        for (String part : parts) {
            own.add(swatch(part));
        }
        return new Card(UUID.randomUUID(), name, "", own);
    }

    /** The last letter stands for it on the sheets. */
    private Swatch swatch(String nameAndLetter) {
        char letter = nameAndLetter.charAt(nameAndLetter.length() - 1);
        Swatch made = new Swatch(
                UUID.randomUUID(),
                nameAndLetter.substring(0, nameAndLetter.length() - 2),
                new Srgb(letter * 37 % 256, letter * 91 % 256, letter * 13 % 256));
        swatches.put(letter, made);
        return made;
    }

    /** With empty paper on both sides. */
    private PartsOnSheet sheet(String letters) {
        return wholeSheet(letters.lines().map(row -> "." + row + ".").collect(Collectors.joining("\n")));
    }

    private PartsOnSheet wholeSheet(String letters) {
        int[] numbers = letters.replace("\n", "").chars().toArray();
        int width = letters.indexOf('\n');
        Map<Integer, Fill> fills = new HashMap<>();
        int[] regionOfCell = new int[128];
        for (int cell = 0; cell < regionOfCell.length; cell++) {
            regionOfCell[cell] = cell;
        }
        for (int letter : numbers) {
            if (swatches.containsKey((char) letter)) {
                fills.put(letter, Fill.flat(swatches.get((char) letter).id()));
            }
        }
        return PartsOnSheet.of(
                new CellPlane(width, numbers.length / width, numbers),
                regionOfCell,
                Fills.of(fills),
                Optional.empty(),
                palette);
    }

    private PartsTable table(List<Card> cards, String... sheets) {
        List<PartsTable.Column> columns = new ArrayList<>();
        for (String sheet : sheets) {
            columns.add(new PartsTable.Column(UUID.randomUUID(), scene, sheet(sheet), palette));
        }
        return PartsTable.of(columns, palette, cards);
    }

    private static PartsTable.Row row(PartsTable table, String part) {
        return table.rows().stream()
                .filter(row -> row.swatch().name().equals(part))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aPlaceIsTheLargestRegionThatWearsThePart() {
        PartsOnSheet.Place coat = sheet(PATCHED).worn().get(swatches.get('C').id());
        assertThat(coat.cell()).isEqualTo('C');
        assertThat(List.of(coat.xStart(), coat.yStart(), coat.width(), coat.height(), coat.pixels()))
                .containsExactly(1, 2, 12, 3, 24);
        assertThat(coat.y()).isEqualTo(4);
    }

    @Test
    void aPartOfAnotherCardAmongTheGirlsIsForeign() {
        PartsTable table = table(List.of(girl), GIRL, PATCHED, GIRL, GIRL);
        PartsTable.Row stranger = row(table, "Waistcoat");
        assertThat(stranger.among()).contains(girl);
        assertThat(stranger.entries())
                .extracting(PartsTable.Entry::mark)
                .containsExactly(
                        PartsTable.Mark.NOTHING,
                        PartsTable.Mark.FOREIGN,
                        PartsTable.Mark.NOTHING,
                        PartsTable.Mark.NOTHING);
        assertThat(stranger.entries().get(1).words()).isEqualTo("of Badger, among these");
    }

    /** The badger's colours are a wall from edge to edge: the girl stands before it, and of a wall not all has to be seen. */
    @Test
    void nothingIsForeignToAPlaceNorMissingFromIt() {
        String wall = "PPPPPPPPPP\nPPPPPPPPPP\nFFFFFFFFFF\nWWWWWWWWWW";
        String before = "PPPPPPPPPP\nPPCCCCCCPP\nFFCCCCCCFF\nWWWWWWWWWW";
        String half = "PPPPPPPPPP\nPPPPPPPPPP\nWWWWWWWWWW\nWWWWWWWWWW";
        List<PartsTable.Column> columns = new ArrayList<>();
        for (String each : List.of(wall, wall, wall, before, half)) {
            columns.add(new PartsTable.Column(UUID.randomUUID(), scene, wholeSheet(each), palette));
        }
        PartsTable table = PartsTable.of(columns, palette, List.of(badger));
        assertThat(table.count(PartsTable.Mark.FOREIGN)).isZero();
        assertThat(table.count(PartsTable.Mark.MISSING)).isZero();
    }

    @Test
    void whatIsThereOnEverySheetIsNoStranger() {
        PartsTable table = table(List.of(girl), PATCHED, PATCHED, PATCHED, GIRL);
        assertThat(table.count(PartsTable.Mark.FOREIGN)).isZero();
    }

    @Test
    void aFigureBeforeOneBackgroundIsNoStrangerToIt() {
        assertThat(sheet(IN_SAND).strangers()).isEmpty();
    }

    @Test
    void aPartThatTheOthersWearIsMissedOnlyWhereItsCardIs() {
        String barefoot = GIRL.replace('B', 'C');
        PartsTable table = table(List.of(girl), GIRL, GIRL, GIRL, barefoot, BADGER);
        assertThat(row(table, "Boots").entries())
                .extracting(PartsTable.Entry::mark)
                .containsExactly(
                        PartsTable.Mark.NOTHING,
                        PartsTable.Mark.NOTHING,
                        PartsTable.Mark.NOTHING,
                        PartsTable.Mark.MISSING,
                        PartsTable.Mark.NOTHING);
        assertThat(row(table, "Boots").standsOut()).isTrue();
        assertThat(row(table, "Coat").standsOut()).isFalse();
    }

    @Test
    void whatIsOnNoCardIsLoose() {
        PartsTable table = table(List.of(loose), GIRL, GIRL.replace('S', 'X'));
        assertThat(row(table, "Tried").entries())
                .extracting(PartsTable.Entry::mark)
                .containsExactly(PartsTable.Mark.NOTHING, PartsTable.Mark.LOOSE);
    }

    @Test
    void aSheetUnderAnotherLightThanItsNeighboursIsOff() {
        LightRule darker = LightRule.ofText("normal #000000 0 -30 0 0 0");
        SwatchColours dark = new LitPalette(palette, new Light("Dark", darker, Map.of(), Map.of()));
        List<PartsTable.Column> columns = List.of(
                new PartsTable.Column(UUID.randomUUID(), scene, sheet(GIRL), palette),
                new PartsTable.Column(UUID.randomUUID(), scene, sheet(GIRL), dark),
                new PartsTable.Column(UUID.randomUUID(), scene, sheet(GIRL), palette),
                new PartsTable.Column(UUID.randomUUID(), UUID.randomUUID(), sheet(GIRL), dark));
        PartsTable table = PartsTable.of(columns, palette, List.of(girl));
        assertThat(row(table, "Scarf").entries())
                .extracting(PartsTable.Entry::mark)
                .containsExactly(
                        PartsTable.Mark.NOTHING, PartsTable.Mark.OFF, PartsTable.Mark.NOTHING, PartsTable.Mark.NOTHING);
        assertThat(row(table, "Scarf").entries().get(1).words()).isEqualTo("darker than beside it");
    }
}
