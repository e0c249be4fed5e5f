package stillpond.app.card;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import stillpond.app.palette.Palettes;
import stillpond.app.support.TestPond;
import stillpond.app.support.Visitor;
import stillpond.app.support.Work;

/** The card is locked; its lead and a colourist look at it from two sides. */
class ProposalsTest {

    private final TestPond pond = TestPond.shared();
    private final Work work = Work.begin(pond);
    private final Visitor lead = Visitor.signedIn(pond, work.person());
    private final Visitor colourist = Visitor.signedIn(pond, work.colourist());
    private final String at = "/projects/" + work.project();
    private final String coat =
            "{\"kind\":\"CHANGE\",\"swatch\":\"" + work.coat().id() + "\",\"colour\":\"#804020\"}";
    private UUID card;

    @BeforeEach
    void lock() {
        card = pond.bean(Palettes.class)
                .of(work.project())
                .cardOf(work.coat().id())
                .orElseThrow()
                .id();
        lead.post(at + "/palette/changes", "[{\"kind\":\"LOCK_CARD\",\"card\":\"" + card + "\",\"locked\":true}]");
    }

    private int propose(String reason) {
        return colourist
                .post(at + "/palette/proposals", "{\"reason\":\"" + reason + "\",\"edits\":[" + coat + "]}")
                .statusCode();
    }

    private Proposals.Proposal latest() {
        return pond.bean(Proposals.class).of(work.project()).get(0);
    }

    private String colour() {
        return pond.bean(Palettes.class)
                .of(work.project())
                .colourOf(work.coat().id())
                .orElseThrow()
                .hex();
    }

    @Test
    void theLeadTakesItWithItsReasonAndEverybodySeesWhy() {
        assertThat(colourist.post(at + "/palette/changes", "[" + coat + "]").statusCode())
                .isEqualTo(403);
        assertThat(propose("  ")).isEqualTo(400);
        assertThat(propose("It is lost against the sea")).isEqualTo(204);
        assertThat(colour()).isEqualTo("#2f6f5e");
        String answer = at + "/proposals/" + latest().id();
        assertThat(colourist.submit(answer + "/take").body()).contains("Only the lead answers proposals.");
        assertThat(lead.get(at + "/proposals").body())
                .contains("It is lost against the sea", "#2f6f5e", "#804020", "Take it everywhere");
        lead.submit(answer + "/take");
        assertThat(colour()).isEqualTo("#804020");
        assertThat(latest().state()).isEqualTo(Proposals.State.TAKEN);
        assertThat(colourist.get(at + "/cards/" + card + "/history").body())
                .contains("Changed Coat", "It is lost against the sea (proposed by");
        assertThat(lead.submit(answer + "/decline", "answer", "no").body()).contains("answered before");
    }

    @Test
    void declinedOrWithdrawnNothingChanges() {
        propose("Too green");
        lead.submit(at + "/proposals/" + latest().id() + "/decline", "answer", "It is her colour");
        assertThat(latest().state()).isEqualTo(Proposals.State.DECLINED);
        assertThat(colourist.get(at + "/proposals").body()).contains("It is her colour");
        propose("Too green still");
        assertThat(lead.submit(at + "/proposals/" + latest().id() + "/withdraw").body())
                .contains("Only who made a proposal withdraws it.");
        colourist.submit(at + "/proposals/" + latest().id() + "/withdraw");
        assertThat(latest().state()).isEqualTo(Proposals.State.WITHDRAWN);
        assertThat(colour()).isEqualTo("#2f6f5e");
    }

    @Test
    void whatCannotBeMadeAnyMoreSaysSoAndStaysOpen() {
        propose("Too green");
        lead.post(
                at + "/palette/changes",
                "[{\"kind\":\"REMOVE\",\"swatch\":\"" + work.coat().id() + "\",\"instead\":\"none\"}]");
        assertThat(lead.get(at + "/proposals").body()).contains("This swatch is not there any more.");
        lead.submit(at + "/proposals/" + latest().id() + "/take");
        assertThat(latest().state()).isEqualTo(Proposals.State.OPEN);
    }

    @Test
    void theStateOfACardBeforeAChangeIsComparedAndBroughtBack() {
        lead.post(at + "/palette/changes", "[" + coat + "]");
        String history = at + "/cards/" + card + "/history";
        assertThat(lead.get(history + "?state=" + card).body()).contains("#2f6f5e then, #804020 now", "Bring it back");
        assertThat(colourist.get(history + "?state=" + card).body()).doesNotContain("Bring it back");
        colourist.submit(history + "/" + card + "/bring-back");
        assertThat(colour()).isEqualTo("#804020");
        lead.submit(history + "/" + card + "/bring-back", "reason", "It read as mud");
        assertThat(colour()).isEqualTo("#2f6f5e");
        assertThat(lead.get(history).body()).contains("It read as mud");
        lead.post(at + "/palette/undo", "{}");
        assertThat(colour()).isEqualTo("#804020");
    }

    @Test
    void aWardrobeOfALockedCardIsForTheLeadToo() {
        String wardrobes = at + "/cards/" + card + "/wardrobes";
        assertThat(colourist.submit(wardrobes, "name", "Winter").body())
                .contains("Only the lead changes a locked card");
        lead.submit(wardrobes, "name", "Winter");
        assertThat(lead.get(at + "/cards/" + card).body()).contains("Winter", "shared");
    }
}
