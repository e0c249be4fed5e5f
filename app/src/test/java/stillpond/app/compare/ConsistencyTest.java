package stillpond.app.compare;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.UUID;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import stillpond.app.palette.Palettes;
import stillpond.app.sheet.Sheet;
import stillpond.app.support.Drawings;
import stillpond.app.support.TestPond;
import stillpond.app.support.Visitor;
import stillpond.app.support.Work;
import stillpond.core.colour.Srgb;
import stillpond.core.palette.Card;
import stillpond.core.palette.Swatch;

/** What is signed before a book is printed: a colour on no card stands out, until it is accepted. */
class ConsistencyTest {

    private final TestPond pond = TestPond.shared();
    private final Work work = Work.begin(pond);
    private final Visitor lead = Visitor.signedIn(pond, work.person());
    private final String at = "/projects/" + work.project() + "/compare/consistency";
    private final UUID tried = UUID.randomUUID();
    private Sheet first;

    @BeforeEach
    void layTwoSheets() {
        Swatch loose = new Swatch(tried, "Tried", Srgb.ofHex("#aa3377"));
        pond.bean(Palettes.class)
                .add(work.project(), new Card(UUID.randomUUID(), "Loose", "", Card.Kind.LOOSE, false, List.of(loose)));
        first = work.bringToDesk(Drawings.threeBoxes());
        Sheet second = work.bringToDesk(Drawings.threeBoxesLower());
        work.lay(first, work.coat().id(), 500, 1000);
        work.lay(first, tried, 1500, 1000);
        work.lay(second, work.coat().id(), 500, 1200);
    }

    private void accept(String... more) {
        String[] fields = {"sheet", first.id().toString(), "swatch", tried.toString(), "mark", "LOOSE"};
        String[] all = new String[fields.length + more.length];
        System.arraycopy(fields, 0, all, 0, fields.length);
        System.arraycopy(more, 0, all, fields.length, more.length);
        lead.submit(at + "/accept", all);
    }

    @Test
    void whatStandsOutIsAcceptedWithAReasonAndThenItIsSigned() {
        assertThat(lead.get(at).body()).contains("One thing stands out", "Loose, Tried", "on no card", "1 still open");
        lead.submit(at + "/sign");
        assertThat(lead.get(at).body()).doesNotContain("Signed by");

        accept("isMeant", "true", "why", "a flare, only here");
        String accepted = lead.get(at).body();
        assertThat(accepted).contains("Nothing is open", "a flare, only here", "accepted by " + work.person());
        lead.submit(at + "/sign");
        assertThat(lead.get(at).body()).contains("Signed by " + work.person(), "nothing has changed since");

        work.lay(first, work.scarf().id(), 500, 1000);
        assertThat(lead.get(at).body()).contains("but something has changed since");

        accept();
        assertThat(lead.get(at).body()).contains("One thing stands out");
    }

    @Test
    void theTableNamesEachPartOnEachSheetThatWearsIt() throws IOException {
        accept("isMeant", "true", "why", "=a flare");
        String csv = new String(lead.download(at + "/table.csv"), StandardCharsets.UTF_8);
        List<CSVRecord> rows = CSVFormat.RFC4180
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .get()
                .parse(new StringReader(csv.substring(1)))
                .getRecords();
        assertThat(rows).extracting(row -> row.get("part")).containsExactly("Coat", "Coat", "Tried");
        assertThat(rows).extracting(row -> row.get("colour")).containsExactly("#2f6f5e", "#2f6f5e", "#aa3377");
        assertThat(rows.get(2).get("stands out")).isEqualTo("on no card");
        assertThat(rows.get(2).get("accepted by")).isEqualTo(work.person());
        assertThat(rows.get(2).get("why")).as("no formula of a spreadsheet").doesNotStartWith("=");

        try (PDDocument pdf = Loader.loadPDF(lead.download(at + "/table.pdf"))) {
            assertThat(new PDFTextStripper().getText(pdf))
                    .contains("Tried on " + first.title() + ": on no card; accepted by " + work.person())
                    .contains("Not signed.");
        }
    }

    @Test
    void aBookIsShownSoManySheetsAtATimeAndWhatStandsOutOnAny() {
        assertThat(lead.get(at + "?from=1").body())
                .contains("Sheets 2 to 2 of 2", "those before", "One thing stands out")
                .doesNotContain("those after");
        assertThat(lead.get(at + "?from=999").body()).contains("Sheets 2 to 2 of 2");
        assertThat(lead.get(at + "?from=-7").body())
                .as("from the first, and all of it")
                .contains("One thing stands out")
                .doesNotContain("Sheets 1 to");
    }

    @Test
    void whatBelongsToAnotherProjectIsNotFound() {
        Work other = Work.begin(pond);
        assertThat(lead.get(at + "?card="
                                + pond.bean(Palettes.class)
                                        .of(other.project())
                                        .cardOf(other.coat().id())
                                        .orElseThrow()
                                        .id())
                        .statusCode())
                .isEqualTo(404);
        assertThat(lead.submit(
                                at + "/accept",
                                "sheet",
                                first.id().toString(),
                                "swatch",
                                other.coat().id().toString(),
                                "mark",
                                "LOOSE",
                                "isMeant",
                                "true")
                        .statusCode())
                .isEqualTo(404);
    }
}
