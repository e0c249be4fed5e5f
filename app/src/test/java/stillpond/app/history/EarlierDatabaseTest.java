package stillpond.app.history;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.simple.JdbcClient;
import stillpond.app.palette.Palettes;
import stillpond.app.palette.Stagings;
import stillpond.app.project.Projects;
import stillpond.app.sheet.LayerGroups;
import stillpond.app.sheet.MadeChange;
import stillpond.app.sheet.PageFrames;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.SheetCast;
import stillpond.app.sheet.Sheets;
import stillpond.app.sheet.UndoableChanges;
import stillpond.app.sheet.WornSwatches;
import stillpond.app.support.TestDatabase;
import stillpond.app.support.TestPond;
import stillpond.core.cell.Box;
import stillpond.core.colour.Srgb;
import stillpond.core.fill.Fills;
import stillpond.core.history.UndoLine;
import stillpond.core.ledger.CellGroup;
import stillpond.core.palette.Card;
import stillpond.core.palette.Palette;
import stillpond.core.palette.Swatch;
import stillpond.core.palette.Wardrobe;

/** A database of the version that kept three logs comes up with everything in it, and every step can still be taken back. */
class EarlierDatabaseTest {

    private static TestPond pond;

    private final UUID project = id("select id from project");
    private final UUID lead = id("select account_id from member where role = 'LEAD'");
    private final UUID colourist = id("select account_id from member where role = 'COLOURIST'");
    private final UUID sheet = id("select id from sheet");
    private final Steps steps = pond.bean(Steps.class);

    @BeforeAll
    static void comeUp() throws IOException, SQLException {
        TestDatabase database = TestDatabase.create();
        Flyway.configure()
                .dataSource(database.url(), database.user(), database.password())
                .target("16")
                .load()
                .migrate();
        try (var rows = Objects.requireNonNull(EarlierDatabaseTest.class.getResourceAsStream("/db/v16.sql"));
                var connection = DriverManager.getConnection(database.url(), database.user(), database.password());
                var statement = connection.createStatement()) {
            statement.execute(new String(rows.readAllBytes(), StandardCharsets.UTF_8));
        }
        pond = TestPond.over(database);
    }

    @AfterAll
    static void goDown() {
        pond.close();
    }

    private static UUID id(String query) {
        return pond.bean(JdbcClient.class).sql(query).query(UUID.class).single();
    }

    @Test
    void everythingIsThereAndGoesBackStepByStep() {
        assertThat(pond.bean(Projects.class).get(project).title()).isEqualTo("Test book");
        assertThat(pond.bean(LayerGroups.class).of(present().layer().id()).groups())
                .extracting(CellGroup::name)
                .containsExactly("Coats");
        assertThat(pond.bean(PageFrames.class).of(sheet)).contains(new Box(5, 5, 290, 190));
        assertThat(pond.bean(SheetCast.class).said(sheet))
                .containsExactly(swatchCard().id());
        String coat = swatch("Coat").id().toString();
        String scarf = swatch("Scarf").id().toString();
        String gradient = "linear 100% 0 0 90 0 0% SWATCH 100% " + scarf;
        assertThat(texts(1, 2, 3)).containsExactly(gradient.replace("SWATCH", coat), coat, scarf);
        assertThat(pond.bean(WornSwatches.class).where(List.of(swatch("Scarf").id())))
                .as("in the gradient too")
                .singleElement()
                .satisfies(where -> assertThat(where.regions()).isEqualTo(3));

        UndoLine<MadeChange> line = line(lead);
        assertThat(line.undoable())
                .extracting(MadeChange::words)
                .containsExactly(
                        "Filled 1 cell",
                        "Cut the line art anew",
                        "Removed a swatch",
                        "Changed Coat",
                        "Filled 1 cell",
                        "Filled 1 cell",
                        "Added Lining");
        assertThat(line.redoable()).extracting(MadeChange::words).containsExactly("Filled 1 cell");
        assertThat(line(colourist).undoable())
                .extracting(MadeChange::words)
                .startsWith("Filled 1 cell", "Removed a wardrobe of Juniper");

        UUID removedWardrobe = line(colourist).undoable().get(1).id();
        steps.undo(project, colourist, removedWardrobe);
        assertThat(pond.bean(Stagings.class).of(project).wardrobes(swatchCard().id()))
                .extracting(Wardrobe::name)
                .containsExactly("Oilskins");

        int cells = present().layer().cellCount();
        undoLatest("Filled 1 cell");
        assertThat(texts(3)).as("as the other left it").containsExactly(coat);
        undoLatest("Cut the line art anew");
        assertThat(present().layer().cellCount()).isEqualTo(cells - 1);
        undoLatest("Removed a swatch");
        String lining = swatch("Lining").id().toString();
        assertThat(texts(1, 2)).containsExactly(gradient.replace("SWATCH", lining), lining);
        undoLatest("Changed Coat");
        assertThat(palette().colourOf(swatch("Coat").id())).contains(Srgb.ofHex("#2f6f5e"));
        assertThat(palette().colourOf(swatch("Scarf").id())).contains(Srgb.ofHex("#d2603f"));
        undoLatest("Filled 1 cell");
        undoLatest("Filled 1 cell");
        assertThat(texts(1, 2, 3)).containsExactly("none", "none", coat);
        undoLatest("Added Lining");
        assertThat(swatchCard().swatches()).extracting(Swatch::name).containsExactly("Coat", "Scarf");
        assertThat(line(lead).redoable()).hasSize(8);
    }

    private UndoLine<MadeChange> line(UUID person) {
        return pond.bean(UndoableChanges.class).of(project, person, sheet, 50).changes();
    }

    private void undoLatest(String words) {
        MadeChange latest = line(lead).undoable().get(0);
        assertThat(latest.words()).isEqualTo(words);
        steps.undo(project, lead, latest.id());
    }

    private List<String> texts(int... cells) {
        Fills fills = pond.bean(Sheets.class).fills(present().layer());
        return Arrays.stream(cells).mapToObj(cell -> fills.of(cell).text()).toList();
    }

    private Sheet present() {
        return pond.bean(Sheets.class).get(project, sheet);
    }

    private Palette palette() {
        return pond.bean(Palettes.class).of(project);
    }

    private Card swatchCard() {
        return palette().cards().stream()
                .filter(card -> card.name().equals("Juniper"))
                .findFirst()
                .orElseThrow();
    }

    private Swatch swatch(String name) {
        return swatchCard().swatches().stream()
                .filter(each -> each.name().equals(name))
                .findFirst()
                .orElseThrow();
    }
}
