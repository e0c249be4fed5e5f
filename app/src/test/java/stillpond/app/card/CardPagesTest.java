package stillpond.app.card;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import stillpond.app.palette.Palettes;
import stillpond.app.sheet.Sheet;
import stillpond.app.support.Drawings;
import stillpond.app.support.TestPond;
import stillpond.app.support.Visitor;
import stillpond.app.support.Work;

/** What a card is judged by, and the press that all cards are printed on. */
class CardPagesTest {

    private final TestPond pond = TestPond.shared();
    private final Work work = Work.begin(pond);
    private final Visitor lead = Visitor.signedIn(pond, work.person());
    private final String at = "/projects/" + work.project();
    private final UUID card = pond.bean(Palettes.class)
            .of(work.project())
            .cardOf(work.coat().id())
            .orElseThrow()
            .id();

    private String card() {
        return lead.get(at + "/cards/" + card).body();
    }

    @Test
    void aCardIsJudgedByTheSheetThatIsChosen() {
        Sheet first = work.bringSmall(Drawings.threeBoxes());
        Sheet second = work.bringSmall(Drawings.threeBoxesLower());
        work.lay(first, work.coat().id(), 50, 100);
        assertThat(card()).contains("id=\"model\"", "/sheets/" + first.id() + "/small.png");
        lead.submit(at + "/cards/" + card + "/model-sheet", "sheet", second.id().toString());
        assertThat(card()).contains("/sheets/" + second.id() + "/small.png");
    }

    @Test
    void aSheetOfAnotherProjectIsNoModelSheet() {
        Work other = Work.begin(pond);
        Sheet foreign = other.bringSmall(Drawings.threeBoxes());
        Sheet own = work.bringSmall(Drawings.threeBoxes());
        work.lay(own, work.coat().id(), 50, 100);
        assertThat(lead.submit(
                                at + "/cards/" + card + "/model-sheet",
                                "sheet",
                                foreign.id().toString())
                        .statusCode())
                .isEqualTo(404);
        assertThat(card())
                .contains("/sheets/" + own.id() + "/small.png")
                .doesNotContain(foreign.id().toString());
    }

    @Test
    void anotherPrintConditionIsTakenWithItsName() throws IOException {
        byte[] profile = Files.readAllBytes(Path.of("/usr/share/color/icc/ghostscript/default_cmyk.icc"));
        assertThat(lead.upload(at + "/print-condition", "Quayside offset.icc", profile)
                        .statusCode())
                .isEqualTo(302);
        assertThat(lead.get(at + "/cards").body()).contains("Quayside offset");
    }

    @Test
    void whatIsNoProfileOfAPressIsRefusedAndTheOldOneStays() {
        String before = printCondition();
        assertThat(lead.upload(at + "/print-condition", "picture.icc", new byte[] {1, 2, 3, 4})
                        .statusCode())
                .isIn(400, 422);
        assertThat(printCondition()).isEqualTo(before);
        Visitor colourist = Visitor.signedIn(pond, work.colourist());
        assertThat(colourist
                        .upload(at + "/print-condition", "picture.icc", new byte[] {1})
                        .statusCode())
                .isEqualTo(403);
    }

    private String printCondition() {
        String page = lead.get(at + "/cards").body();
        int from = page.indexOf("Print condition");
        return page.substring(from, page.indexOf("</section>", from)).replaceAll("value=\"[^\"]*\"", "");
    }
}
