package stillpond.app.ledger;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.UUID;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import stillpond.app.palette.Palettes;
import stillpond.app.project.Projects;
import stillpond.app.sheet.Sheet;
import stillpond.app.support.Drawings;
import stillpond.app.support.TestPond;
import stillpond.app.support.Visitor;
import stillpond.app.support.Work;
import stillpond.core.colour.Srgb;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Opacity;
import stillpond.core.fill.Span;
import stillpond.core.fill.Stop;
import stillpond.core.palette.PaletteEdit;
import stillpond.core.palette.Swatch;

/** The ledger of a project: three boxes 300 pixels wide, at 50, 150 and 250. */
class LedgerPageTest {

    private final TestPond pond = TestPond.shared();
    private final Work work = Work.begin(pond);
    private final Visitor visitor = Visitor.signedIn(pond, work.person());
    private final Sheet sheet = work.bringSmall(Drawings.threeBoxes());

    private String ledger(String query) {
        return visitor.get("/projects/" + work.project() + "/ledger" + query).body();
    }

    /** Names of the rows, in their order. */
    private static List<String> rows(String page) {
        return Pattern.compile("<th scope=\"row\"><span>([^<]*)</span>")
                .matcher(page)
                .results()
                .map(row -> row.group(1))
                .toList();
    }

    private static String rowOf(String page, String swatch) {
        int at = page.indexOf("<span>" + swatch + "</span>");
        return page.substring(at, page.indexOf("</tr>", at));
    }

    private static String share(String row) {
        return row.replaceAll("(?s).*?([0-9.]+) %.*", "$1");
    }

    @Test
    void whatWearsASwatchIsCountedAndFoundAgain() {
        work.lay(sheet, work.coat().id(), 50, 100);
        work.lay(sheet, work.coat().id(), 150, 100);
        work.lay(sheet, work.scarf().id(), 250, 100);
        String page = ledger("");
        assertThat(rows(page)).containsExactly("Coat", "Scarf");
        assertThat(rowOf(page, "Coat")).contains("2 regions", "/sheets/" + sheet.id());
        assertThat(rowOf(page, "Scarf")).contains("1 region");
    }

    @Test
    void rowsComeInTheOrderAskedFor() {
        work.lay(sheet, work.scarf().id(), 50, 100);
        work.lay(sheet, work.scarf().id(), 150, 100);
        work.lay(sheet, work.coat().id(), 250, 100);
        assertThat(rows(ledger("?order=COUNT"))).containsExactly("Scarf", "Coat");
        assertThat(rows(ledger("?order=CARD"))).containsExactly("Coat", "Scarf");
        // The scarf is orange, the coat green.
        assertThat(rows(ledger("?order=HUE"))).containsExactly("Scarf", "Coat");
    }

    @Test
    void aSceneTellsOnlyWhatItWears() {
        work.lay(sheet, work.coat().id(), 50, 100);
        UUID other =
                pond.bean(Projects.class).addScene(work.project(), "High tide").id();
        assertThat(rows(ledger("?scene=" + work.scene()))).containsExactly("Coat");
        assertThat(rows(ledger("?scene=" + other))).isEmpty();
        assertThat(rows(ledger("?scene="))).containsExactly("Coat", "Scarf");
    }

    @Test
    void aGradientCountsOnceAsItselfAndItsSwatchesOnlyWhereTheyAreWornAlone() {
        work.lay(sheet, work.coat().id(), 50, 100);
        String alone = share(rowOf(ledger(""), "Coat"));
        work.layFill(
                sheet,
                new Fill.Gradient(
                        Fill.Course.LINEAR,
                        new Span(0, 0, 10, 0),
                        List.of(
                                new Stop(0, work.coat().id()),
                                new Stop(100, work.scarf().id())),
                        new Opacity(100)),
                150,
                100);
        String page = ledger("");
        assertThat(page.replaceAll("(?s).*?>Coat<.*?number\">([0-9.]+) %.*", "$1"))
                .isEqualTo(alone);
        assertThat(page).containsSubsequence("Gradients and patterns", "1 region", "%");
        assertThat(page).containsPattern(">(Coat and Scarf|Scarf and Coat)<");
    }

    @Test
    void twinsAreNamedUpToTheDifferenceAskedFor() {
        UUID card = pond.bean(Palettes.class)
                .of(work.project())
                .cardOf(work.coat().id())
                .orElseThrow()
                .id();
        Swatch twin = new Swatch(UUID.randomUUID(), "Moss", Srgb.ofHex("#30705f"));
        pond.bean(Palettes.class).change(work.project(), work.account(), List.of(new PaletteEdit.Add(card, twin, 2)));
        assertThat(ledger("")).contains("Keep Coat", "Keep Moss").doesNotContain("Keep Scarf");
        assertThat(ledger("?threshold=0.5")).contains("Keep Moss");
        pond.bean(Palettes.class)
                .change(
                        work.project(),
                        work.account(),
                        List.of(new PaletteEdit.Change(new Swatch(twin.id(), "Moss", Srgb.ofHex("#7f9f3e")))));
        assertThat(ledger("")).contains("No two colours are hard to tell apart");
    }

    @Test
    void aSenselessQuestionIsRefusedWithWords() {
        assertThat(ledger("?threshold=0")).contains("Twins are found up to a difference of 20");
        assertThat(ledger("?threshold=NaN")).contains("Twins are found up to a difference of 20");
        assertThat(visitor.get("/projects/" + work.project() + "/ledger?order=TASTE")
                        .statusCode())
                .isEqualTo(400);
    }

    /** Filters bring only the part of the page that is named so; without script the form is sent as it is. */
    @Test
    void filtersBringAPartAndWorkWithoutScript() {
        String page = ledger("");
        assertThat(page)
                .contains("id=\"page\"", "hx-select=\"#page\"", "hx-trigger=\"change\"")
                .contains("<noscript><button class=\"button\">Show</button></noscript>");
    }
}
