package stillpond.app.team;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import stillpond.app.account.Accounts;
import stillpond.app.account.Audit;
import stillpond.app.project.Members;
import stillpond.app.project.Role;
import stillpond.app.sheet.Sheet;
import stillpond.app.support.Drawings;
import stillpond.app.support.TestPond;
import stillpond.app.support.Visitor;
import stillpond.app.support.Work;

class MembersTest {

    private final TestPond pond = TestPond.shared();
    private Work work;
    private Visitor lead;
    private String colourist;
    private String at;

    @BeforeEach
    void begin() {
        work = Work.begin(pond);
        lead = Visitor.signedIn(pond, work.person());
        colourist = work.colourist();
        at = "/projects/" + work.project() + "/members";
    }

    private UUID id(String name) {
        return pond.bean(Accounts.class).find(name).orElseThrow().id();
    }

    private Role role(String name) {
        return pond.bean(Members.class).role(work.project(), id(name)).orElse(null);
    }

    @Test
    void theLastLeadNeitherLeavesNorBecomesLess() {
        lead.submit(at + "/leave");
        assertThat(lead.get(at).body()).contains("The project needs a lead");
        lead.submit(at + "/" + id(work.person()) + "/role", "role", "GUEST");
        assertThat(lead.get(at).body()).contains("The project needs a lead");
        assertThat(role(work.person())).isEqualTo(Role.LEAD);
    }

    @Test
    void theLeadIsHandedOverAndThenLeaves() {
        lead.submit(at + "/" + id(colourist) + "/hand-over");
        assertThat(role(colourist)).isEqualTo(Role.LEAD);
        assertThat(role(work.person())).isEqualTo(Role.COLOURIST);
        lead.submit(at + "/leave");
        assertThat(lead.get("/").body()).contains("What you did stays there");
        assertThat(lead.get("/projects/" + work.project()).statusCode()).isEqualTo(404);
    }

    @Test
    void whatStillWaitsInTheBrowserOfSomebodyRemovedIsRefusedByName() {
        Sheet sheet = work.bringSmall(Drawings.threeBoxes());
        Visitor visitor = Visitor.signedIn(pond, colourist);
        String change = "[{\"id\":\"" + UUID.randomUUID() + "\",\"kind\":\"lay\",\"layer\":\""
                + sheet.layer().id() + "\",\"fills\":{\"" + work.coat().id() + "\":[1]}}]";
        lead.submit(at + "/" + id(colourist) + "/remove");

        HttpResponse<String> refused = visitor.post(work.address(sheet) + "/changes", change);
        assertThat(refused.statusCode()).isEqualTo(403);
        assertThat(refused.body()).contains("no member of this project any more");
        assertThat(visitor.get(work.address(sheet)).statusCode()).isEqualTo(404);
        assertThat(pond.bean(Audit.class).about(work.project(), 5))
                .extracting(Audit.Entry::words)
                .contains("Removed " + colourist);
    }

    @Test
    void aRoleChangedWhileItsOwnerWorksHoldsFromTheNextFillOn() {
        Sheet sheet = work.bringSmall(Drawings.threeBoxes());
        Visitor visitor = Visitor.signedIn(pond, colourist);
        lead.submit(at + "/" + id(colourist) + "/role", "role", "GUEST");
        HttpResponse<String> refused = visitor.post(work.address(sheet) + "/changes", "[]");
        assertThat(refused.statusCode()).isEqualTo(403);
        assertThat(refused.body()).contains("A guest only looks");
        assertThat(visitor.get(work.address(sheet)).body()).contains("looks-only");
    }

    @Test
    void whoeverIsNoMemberCannotBeGivenARole() {
        UUID stranger = pond.openAccount("s" + UUID.randomUUID());
        assertThat(lead.submit(at + "/" + stranger + "/role", "role", "LEAD").statusCode())
                .isEqualTo(404);
        assertThat(pond.bean(Members.class).role(work.project(), stranger)).isEmpty();
    }
}
