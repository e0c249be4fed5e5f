package stillpond.app.shelf;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import stillpond.app.account.Accounts;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.SheetState;
import stillpond.app.sheet.Sheets;
import stillpond.app.support.Drawings;
import stillpond.app.support.TestPond;
import stillpond.app.support.Visitor;
import stillpond.app.support.Work;

class SheetWorkTest {

    private final TestPond pond = TestPond.shared();
    private Work work;
    private Visitor lead;
    private String name;
    private Visitor colourist;
    private Sheet sheet;
    private String at;

    @BeforeEach
    void begin() {
        work = Work.begin(pond);
        lead = Visitor.signedIn(pond, work.person());
        name = work.colourist();
        colourist = Visitor.signedIn(pond, name);
        sheet = work.bringSmall(Drawings.threeBoxes());
        at = "/projects/" + work.project() + "/sheets/" + sheet.id();
    }

    private Sheet now() {
        return pond.bean(Sheets.class).get(work.project(), sheet.id());
    }

    private UUID id() {
        return pond.bean(Accounts.class).find(name).orElseThrow().id();
    }

    private String lay(Visitor visitor) {
        return visitor.post(
                        at + "/changes",
                        "[{\"id\":\"" + UUID.randomUUID() + "\",\"kind\":\"lay\",\"layer\":\""
                                + sheet.layer().id() + "\",\"fills\":{\""
                                + work.coat().id() + "\":[2]}}]")
                .body();
    }

    @Test
    void whoTakesASheetInHandIsNamedWithWhatIsLeft() {
        colourist.submit(at + "/take");
        assertThat(now().inHandOf()).contains(id());
        assertThat(now().state()).isEqualTo(SheetState.IN_WORK);
        assertThat(lead.get("/projects/" + work.project()).body()).contains("In hand", name, "in work");
        colourist.submit(at + "/put-down");
        assertThat(now().inHandOf()).isEmpty();
    }

    @Test
    void ofTwoWhoTakeTheSameSheetTheSecondIsTold() {
        colourist.submit(at + "/take");
        lead.submit(at + "/take");
        assertThat(lead.get("/projects/" + work.project()).body()).contains(name + " took &#39;" + sheet.title());
        assertThat(now().inHandOf()).contains(id());
        lead.submit(at + "/take", "from", id().toString());
        assertThat(now().inHandOf()).contains(work.account());
        assertThat(lay(colourist)).as("it is said, not enforced").doesNotContain("refused");
    }

    @Test
    void whatIsDoneIsNotFilledUntilALeadOpensItAgain() {
        lead.submit(at + "/state", "state", "DONE");
        assertThat(lay(colourist)).contains("is done. A lead opens it again");
        assertThat(pond.bean(Sheets.class).fills(now().layer()).filled()).isEmpty();
        assertThat(colourist.submit(at + "/state", "state", "IN_WORK").statusCode())
                .isEqualTo(403);
        lead.submit(at + "/state", "state", "IN_WORK");
        lay(colourist);
        assertThat(pond.bean(Sheets.class).fills(now().layer()).filled()).isNotEmpty();
    }

    @Test
    void aSheetIsGivenToWhoeverMayWorkOnIt() {
        lead.submit(at + "/give", "to", id().toString());
        assertThat(now().inHandOf()).contains(id());
        UUID stranger = pond.openAccount("s" + UUID.randomUUID());
        lead.submit(at + "/give", "to", stranger.toString());
        assertThat(lead.get("/projects/" + work.project()).body()).contains("Only a colourist or a lead");
        assertThat(now().inHandOf()).contains(id());
    }

    @Test
    void aSceneIsGivenAsAWholeButForWhatIsDone() {
        Sheet second = work.bringSmall(Drawings.threeBoxesLower());
        String scene = "/projects/" + work.project() + "/scenes/" + work.scene() + "/give";
        assertThat(lead.get("/projects/" + work.project()).body()).contains("Whom to give all its sheets to");
        assertThat(colourist.get("/projects/" + work.project()).body()).doesNotContain("Whom to give");
        assertThat(colourist.submit(scene, "to", id().toString()).statusCode()).isEqualTo(403);
        lead.submit(at + "/state", "state", "DONE");
        lead.submit(scene, "to", id().toString());
        assertThat(now().inHandOf()).isEmpty();
        assertThat(pond.bean(Sheets.class).get(work.project(), second.id()).inHandOf())
                .contains(id());
    }

    @Test
    void whatIsSaidOfASceneIsSaidOfItsSheetsAndDoneOnlyByALead() {
        Sheet second = work.bringSmall(Drawings.threeBoxesLower());
        String scene = "/projects/" + work.project() + "/scenes/" + work.scene() + "/state";
        colourist.submit(scene, "state", "TO_LOOK_AT");
        assertThat(now().state()).isEqualTo(SheetState.TO_LOOK_AT);
        assertThat(lead.get("/projects/" + work.project()).body()).contains("to be looked at");
        assertThat(colourist.submit(scene, "state", "DONE").statusCode()).isEqualTo(403);
        assertThat(now().state()).isEqualTo(SheetState.TO_LOOK_AT);
        lead.submit(scene, "state", "DONE");
        assertThat(pond.bean(Sheets.class).get(work.project(), second.id()).state())
                .isEqualTo(SheetState.DONE);
        assertThat(lay(colourist)).contains("is done");
    }
}
