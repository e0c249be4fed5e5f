package stillpond.app.shelf;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.simple.JdbcClient;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.Sheets;
import stillpond.app.support.Drawings;
import stillpond.app.support.TestPond;
import stillpond.app.support.Visitor;
import stillpond.app.support.Work;

class KeptProjectsTest {

    private final TestPond pond = TestPond.shared();
    private Work work;
    private Visitor lead;
    private Visitor colourist;
    private String at;

    @BeforeEach
    void begin() {
        work = Work.begin(pond);
        lead = Visitor.signedIn(pond, work.person());
        colourist = Visitor.signedIn(pond, work.colourist());
        at = "/shelf/" + work.project();
    }

    private int open(Visitor visitor) {
        return visitor.get("/projects/" + work.project()).statusCode();
    }

    @Test
    void aProjectIsRenamedAndAnEmptyTitleIsRefused() {
        lead.submit(at + "/rename", "title", "The Ebb Post");
        assertThat(lead.get("/").body()).contains("The Ebb Post");
        lead.submit(at + "/rename", "title", "  ");
        assertThat(lead.get("/").body()).contains("Give the project a title", "The Ebb Post");
    }

    @Test
    void whatIsPutAwayCanStillBeOpened() {
        lead.submit(at + "/put-away");
        assertThat(lead.get("/").body()).contains("Put away", "Take out");
        assertThat(open(colourist)).isEqualTo(200);
        lead.submit(at + "/take-out");
        assertThat(lead.get("/").body()).doesNotContain("Take out");
    }

    @Test
    void nobodyGetsIntoWhatIsRemovedUntilALeadBringsItBack() {
        lead.submit(at + "/remove");
        assertThat(open(lead)).isEqualTo(404);
        assertThat(open(colourist)).isEqualTo(404);
        assertThat(colourist.get("/").body()).doesNotContain("Bring back");
        assertThat(lead.get("/").body()).contains("Bring back");
        lead.submit(at + "/bring-back");
        assertThat(open(colourist)).isEqualTo(200);
    }

    private Sheet copied() {
        UUID copy = pond.bean(JdbcClient.class)
                .sql("select p.id from project p join member m on m.project_id = p.id"
                        + " where m.account_id = ? and p.title = 'Copy of Test book'")
                .param(work.account())
                .query(UUID.class)
                .single();
        return pond.bean(Sheets.class).inProject(copy).get(0);
    }

    @Test
    void aCopyHasTheSheetsWithTheirFillsAndIsChangedAlone() {
        Sheet sheet = work.bring(Drawings.threeBoxes());
        work.lay(sheet, work.coat().id(), 500, 1000);
        lead.submit(at + "/copy", "fills", "true");
        assertThat(lead.get("/").body()).contains("Copied.", "Copy of Test book");
        Sheets sheets = pond.bean(Sheets.class);
        Sheet copy = copied();
        assertThat(copy.title()).isEqualTo(sheet.title());
        assertThat(sheets.fills(copy.layer()).filled())
                .isEqualTo(sheets.fills(sheet.layer()).filled())
                .isNotEmpty();
        work.lay(sheet, work.scarf().id(), 1500, 1000);
        assertThat(sheets.fills(copy.layer()).filled())
                .hasSizeLessThan(sheets.fills(sheet.layer()).filled().size());
    }

    @Test
    void aCopyWithoutFillsIsToBeLaidAnew() {
        Sheet sheet = work.bring(Drawings.threeBoxes());
        work.lay(sheet, work.coat().id(), 500, 1000);
        lead.submit(at + "/copy", "fills", "false");
        Sheets sheets = pond.bean(Sheets.class);
        assertThat(sheets.fills(copied().layer()).filled()).isEmpty();
        assertThat(sheets.fills(sheet.layer()).filled()).isNotEmpty();
    }

    @Test
    void onlyALeadCopies() {
        assertThat(colourist.submit(at + "/copy", "fills", "true").statusCode()).isEqualTo(403);
    }

    @Test
    void theSheetThatIsChosenStandsForTheProjectFirst() {
        Sheet first = work.bringSmall(Drawings.threeBoxes());
        Sheet second = work.bringSmall(Drawings.threeBoxesLower());
        String inProject = "/projects/" + work.project() + "/sheets/";
        lead.submit(inProject + second.id() + "/cover");
        String shelf = lead.get("/").body();
        assertThat(shelf.indexOf(second.id() + "/small.png"))
                .isPositive()
                .isLessThan(shelf.indexOf(first.id() + "/small.png"));
        lead.submit(inProject + first.id() + "/cover");
        shelf = lead.get("/").body();
        assertThat(shelf.indexOf(first.id() + "/small.png")).isLessThan(shelf.indexOf(second.id() + "/small.png"));
        assertThat(colourist.submit(inProject + second.id() + "/cover").statusCode())
                .isEqualTo(403);
    }
}
