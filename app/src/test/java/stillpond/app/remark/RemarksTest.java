package stillpond.app.remark;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import stillpond.app.history.History;
import stillpond.app.project.Role;
import stillpond.app.sheet.ChangeOutcome;
import stillpond.app.sheet.ChangeRequest;
import stillpond.app.sheet.Recuts;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.SheetChanges;
import stillpond.app.sheet.Sheets;
import stillpond.app.support.Drawings;
import stillpond.app.support.TestPond;
import stillpond.app.support.Visitor;
import stillpond.app.support.Work;

class RemarksTest {

    /** In the first box; a unit of the drawing is 5 pixels. */
    private static final int X = 500;

    private static final int Y = 1000;

    private final TestPond pond = TestPond.shared();
    private final Remarks remarks = pond.bean(Remarks.class);
    private Work work;
    private Visitor lead;
    private Sheet sheet;
    private String drawer;
    private String page;

    @BeforeEach
    void begin() {
        work = Work.begin(pond);
        lead = Visitor.signedIn(pond, work.person());
        sheet = work.bring(Drawings.threeBoxes());
        drawer = work.address(sheet) + "/remarks";
        page = "/projects/" + work.project() + "/remarks";
    }

    private HttpResponse<String> pin(Visitor visitor, int x, int y, String body) {
        return visitor.submit(drawer, "x", String.valueOf(x), "y", String.valueOf(y), "body", body);
    }

    private Remarks.Remark only() {
        assertThat(remarks.inProject(work.project())).hasSize(1);
        return remarks.inProject(work.project()).get(0);
    }

    @Test
    void itIsPinnedAnsweredDoneAndOpenedAgain() {
        assertThat(pin(lead, X, Y, "Hatband as on <page 3>").body()).contains("Hatband as on &lt;page 3&gt;");
        Visitor colourist = Visitor.signedIn(pond, work.colourist());
        String at = drawer + "/" + only().id();
        assertThat(colourist.submit(at + "/ANSWER", "body", "Like this?").body())
                .contains("Like this?");
        assertThat(colourist.get(work.address(sheet) + "/check/count").body()).contains("1 remark");
        assertThat(colourist.submit(at + "/DONE").body())
                .doesNotContain("Hatband")
                .contains("Show 1 done");
        assertThat(colourist.get(work.address(sheet) + "/check/count").body()).doesNotContain("remark");
        assertThat(lead.get(drawer + "?done=true").body()).contains("Hatband", "done by c");
        lead.submit(at + "/OPEN_AGAIN");
        assertThat(only().isOpen()).isTrue();
    }

    @Test
    void thePageOfTheProjectShowsEachWithItsPlace() {
        pin(lead, X, Y, "Hatband");
        lead.submit(page, "swatch", work.coat().id().toString(), "body", "Warmer");
        assertThat(lead.get(page).body())
                .contains("2 open, 0 done", "Hatband", "#at=" + X + "," + Y, "Warmer", "Coat of Juniper");
        lead.submit(page + "/" + remarks.inProject(work.project()).get(0).id() + "/DONE");
        assertThat(lead.get(page).body()).contains("1 open, 1 done").doesNotContain("Hatband");
        assertThat(lead.get(page + "?done=true").body()).contains("Hatband");
    }

    @Test
    void itStaysWhereWhatItIsAboutIsDrawnWhenTheSheetIsCutAnew() {
        pin(lead, X, Y, "This box");
        byte[] moved = new String(Drawings.threeBoxes(), StandardCharsets.UTF_8)
                .replace("<g ", "<g transform='translate(8 6)' ")
                .getBytes(StandardCharsets.UTF_8);
        pond.bean(Recuts.class).replace(pond.bean(Sheets.class).get(work.project(), sheet.id()), work.account(), moved);
        Remarks.Place place = only().place().orElseThrow();
        assertThat(place.xPx()).isBetween(X + 35, X + 45);
        assertThat(place.yPx()).isBetween(Y + 25, Y + 35);

        UUID cut = pond.bean(History.class)
                .about(work.project(), sheet.id(), 1)
                .get(0)
                .id();
        ChangeOutcome back = pond.bean(SheetChanges.class)
                .make(sheet.id(), work.account(), new ChangeRequest.Undo(UUID.randomUUID(), cut));
        assertThat(back).isInstanceOf(ChangeOutcome.Made.class);
        Remarks.Place again = only().place().orElseThrow();
        assertThat(again.xPx()).isBetween(X - 2, X + 2);
        assertThat(again.yPx()).isBetween(Y - 2, Y + 2);
    }

    @Test
    void whatCannotBeKeptIsSaid() {
        assertThat(pin(lead, X, Y, "  ").body()).contains("Say something first");
        assertThat(pin(lead, X, Y, "a".repeat(1001)).body()).contains("up to 1000 characters");
        assertThat(pin(lead, 3000, Y, "Beside").body()).contains("not on the sheet");
        assertThat(pin(lead, -1, Y, "Beside").body()).contains("not on the sheet");
        lead.submit(page, "swatch", UUID.randomUUID().toString(), "body", "Gone");
        assertThat(lead.get(page).body()).contains("on no card any more");
        assertThat(remarks.inProject(work.project())).isEmpty();
    }

    @Test
    void aGuestReadsAndARemarkOfAnotherProjectIsNotThere() {
        pin(lead, X, Y, "Hatband");
        Visitor guest = Visitor.signedIn(pond, work.member(Role.GUEST));
        assertThat(guest.get(drawer).body()).contains("Hatband");
        assertThat(pin(guest, X, Y, "Me too").statusCode()).isEqualTo(403);
        Work other = Work.begin(pond);
        Visitor stranger = Visitor.signedIn(pond, other.person());
        assertThat(stranger.submit("/projects/" + other.project() + "/remarks/" + only().id() + "/DONE")
                        .statusCode())
                .isEqualTo(404);
        assertThat(only().isOpen()).isTrue();
    }
}
