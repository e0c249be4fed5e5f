package stillpond.app.desk;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import stillpond.app.palette.Palettes;
import stillpond.app.sheet.ChangeRequest;
import stillpond.app.sheet.KeptFills;
import stillpond.app.sheet.Planes;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.SheetChanges;
import stillpond.app.sheet.Sheets;
import stillpond.app.support.Drawings;
import stillpond.app.support.TestPond;
import stillpond.app.support.Visitor;
import stillpond.app.support.Work;
import stillpond.core.fill.Fill;
import stillpond.core.format.PlaneCodec;
import stillpond.core.palette.Staging;

/** Gradients and patterns on cards, over HTTP. */
class KeptFillTest {

    private final TestPond pond = TestPond.shared();
    private final Work work = Work.begin(pond);
    private final Visitor visitor = Visitor.signedIn(pond, work.person());
    private final UUID card = pond.bean(Palettes.class)
            .of(work.project())
            .cardOf(work.coat().id())
            .orElseThrow()
            .id();
    private final UUID id = UUID.randomUUID();

    @Test
    void whatIsKeptIsChangedOnceForAllItsUsesAndTakenBackAsOne() {
        Sheet first = work.bringSmall(Drawings.threeBoxes());
        Sheet second = work.bringSmall(Drawings.threeBoxesLower());
        assertThat(keep(id, "Sky", card, gradient(work.coat().id(), work.scarf().id()))
                        .statusCode())
                .isEqualTo(200);
        Staging.KeptFill kept = pond.bean(KeptFills.class).of(work.project()).get(0);
        assertThat(kept.fill()).startsWith("linear 100% 0 0 1 0 ").endsWith(" as " + id);
        String here = kept.fill().replace("0 0 1 0", "10 20 10 90");
        String there = kept.fill().replace("0 0 1 0", "40 20 40 70");
        lay(first, here);
        lay(second, there);
        assertThat(visitor.get(work.address(first) + "/colours").body()).contains("\"name\":\"Sky\"");
        assertThat(visitor.get(work.address(first)).body()).contains("data-made=\"" + id);

        String turned = gradient(work.scarf().id(), work.coat().id()).replace("100% 0 0", "60% 0 0");
        assertThat(keep(id, "Sky", card, turned).statusCode()).isEqualTo(200);
        assertThat(worn(first))
                .isEqualTo(
                        look("60% 10 20 10 90", work.scarf().id(), work.coat().id()));
        assertThat(worn(second))
                .isEqualTo(
                        look("60% 40 20 40 70", work.scarf().id(), work.coat().id()));

        UUID change = work.line(first.id(), work.account()).undoable().get(0).id();
        pond.bean(SheetChanges.class)
                .make(first.id(), work.account(), new ChangeRequest.Undo(UUID.randomUUID(), change));
        assertThat(worn(first)).isEqualTo(here);
        assertThat(worn(second)).isEqualTo(there);
        assertThat(pond.bean(KeptFills.class).of(work.project())).containsExactly(kept);

        assertThat(visitor.post("/projects/" + work.project() + "/kept-fills/" + id + "/dropped", "{}")
                        .statusCode())
                .isEqualTo(204);
        assertThat(pond.bean(KeptFills.class).of(work.project())).isEmpty();
        assertThat(worn(first)).as("worn as it is").isEqualTo(here);
    }

    @Test
    void whatCannotBeKeptIsRefusedWithAReason() {
        Work other = Work.begin(pond);
        UUID theirCard = pond.bean(Palettes.class)
                .of(other.project())
                .cardOf(other.coat().id())
                .orElseThrow()
                .id();
        assertThat(keep(
                                id,
                                "Sky",
                                theirCard,
                                gradient(work.coat().id(), work.scarf().id()))
                        .body())
                .contains("card is not there");
        assertThat(keep(
                                id,
                                "Sky",
                                card,
                                gradient(other.coat().id(), work.scarf().id()))
                        .body())
                .contains("none of the project's cards");
        assertThat(keep(id, "Sky", card, work.coat().id().toString()).body()).contains("Gradients and patterns");
        assertThat(keep(id, " ", card, gradient(work.coat().id(), work.scarf().id()))
                        .body())
                .contains("has a name");
        assertThat(keep(id, "Sky", card, "linear").body()).contains("is no fill");
        assertThat(pond.bean(KeptFills.class).of(work.project())).isEmpty();
    }

    @Test
    void cellsOfASheetBecomeAPattern() {
        Sheet sheet = work.bringSmall(Drawings.threeBoxes());
        int first = cellAt(sheet, 50);
        int third = cellAt(sheet, 250);
        work.lay(sheet, work.coat().id(), 50, 100);
        work.lay(sheet, work.scarf().id(), 250, 100);
        String cells = "[" + first + "," + third + "]";
        HttpResponse<String> answer =
                visitor.post(work.address(sheet) + "/pattern", "{\"title\":\"Boxes\",\"cells\":" + cells + "}");
        assertThat(answer.statusCode()).isEqualTo(200);
        assertThat(answer.body())
                .contains(
                        "\"title\":\"Boxes\"",
                        "\"inks\":3",
                        work.coat().id().toString(),
                        work.scarf().id().toString());
        assertThat(visitor.get("/projects/" + work.project() + "/motifs").body())
                .contains("\"title\":\"Boxes\"");

        assertThat(visitor.post(work.address(sheet) + "/pattern", "{\"title\":\"None\",\"cells\":[99999]}")
                        .body())
                .contains("Gather the regions");
        assertThat(visitor.post(
                                work.address(sheet) + "/pattern",
                                "{\"title\":\"Empty\",\"cells\":[" + cellAt(sheet, 150) + "]}")
                        .body())
                .contains("wears a swatch");
    }

    private int cellAt(Sheet sheet, int x) {
        return PlaneCodec.cellAt(pond.bean(Planes.class).content(sheet.layer().cells()), x, 100);
    }

    private static String gradient(UUID from, UUID to) {
        return "linear 100% 0 0 50 0 0% " + from + " 100% " + to;
    }

    private String look(String start, UUID from, UUID to) {
        return "linear " + start + " 0% " + from + " 100% " + to + " as " + id;
    }

    private HttpResponse<String> keep(UUID which, String name, UUID on, String fill) {
        return visitor.post(
                "/projects/" + work.project() + "/kept-fills",
                "{\"id\":\"" + which + "\",\"name\":\"" + name + "\",\"card\":\"" + on + "\",\"fill\":\"" + fill
                        + "\"}");
    }

    private void lay(Sheet sheet, String fill) {
        visitor.post(
                work.address(sheet) + "/changes",
                "[{\"kind\":\"lay\",\"id\":\"" + UUID.randomUUID() + "\",\"layer\":\""
                        + sheet.layer().id() + "\",\"fills\":{\"" + fill + "\":[1]}}]");
    }

    private String worn(Sheet sheet) {
        Sheets sheets = pond.bean(Sheets.class);
        Fill fill = sheets.fills(sheets.get(work.project(), sheet.id()).layer()).of(1);
        return fill.text();
    }
}
