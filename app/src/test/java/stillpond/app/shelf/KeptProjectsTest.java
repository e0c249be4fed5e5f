package stillpond.app.shelf;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
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
}
