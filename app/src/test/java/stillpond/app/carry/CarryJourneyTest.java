package stillpond.app.carry;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.simple.JdbcClient;
import stillpond.app.check.Difference;
import stillpond.app.sheet.Layer;
import stillpond.app.sheet.Planes;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.Sheets;
import stillpond.app.support.Browser;
import stillpond.app.support.DeskPage;
import stillpond.app.support.Drawings;
import stillpond.app.support.TestPond;
import stillpond.app.support.Visitor;
import stillpond.app.support.Work;
import stillpond.core.cell.CellPlane;
import stillpond.core.format.PlaneCodec;

/** A little person, laid on one sheet and drawn smaller and the other way round on the next. Places are pixels of the sheets, 3000 x 2000. */
class CarryJourneyTest {

    private final TestPond pond = TestPond.shared();
    private final Work work = Work.begin(pond);
    private final Browser browser = new Browser();
    private Sheet model;
    private Sheet next;

    @BeforeEach
    void layTheModel() {
        model = work.bring(Drawings.person(""));
        next = work.bring(Drawings.person("translate(520 40) scale(-0.85 0.85)"));
        work.lay(model, work.coat().id(), 925, 850);
        work.lay(model, work.coat().id(), 925, 1200);
        work.lay(model, work.scarf().id(), 925, 1105);
        work.lay(model, work.scarf().id(), 925, 500);
        work.lay(model, work.coat().id(), 780, 1600);
        work.lay(model, work.coat().id(), 1080, 1600);
        work.lay(model, work.scarf().id(), 1410, 1290);
    }

    @AfterEach
    void close() {
        browser.close();
    }

    @Test
    void whatIsSureIsLaidAsOneChangeUnlessItIsLockedAndTheRestIsGoneThrough() {
        pond.bean(JdbcClient.class).sql("""
                        insert into cell_group (layer_id, id, name, position, is_hidden, is_locked, cells)
                        select id, gen_random_uuid(), 'Held', 0, false, true, array(select generate_series(0, cell_count - 1))
                        from layer where id = ?""").param(next.layer().id()).update();
        Page page = browser.signIn(pond, work.person());
        DeskPage desk = askForProposals(page);
        page.locator("#carry-sure").click();
        assertThat(page.locator("#notice")).containsText("is locked");
        assertThat(page.locator("#carry-answer")).isVisible();
        assertThat(page.locator("#said")).not().containsText("Laid");
        pond.bean(JdbcClient.class)
                .sql("update cell_group set is_locked = false where layer_id = ?")
                .param(next.layer().id())
                .update();
        askForProposals(page);
        page.locator("#carry-sure").click();
        assertThat(page.locator("#said")).containsText("Laid");
        desk.expectSaved();
        while (page.locator("#carry-doubtful").isVisible()) {
            desk.press("d");
        }
        desk.expectSaved();
        assertThat(worn(next, 925, 850)).isEqualTo(work.coat().id().toString());
        assertThat(worn(next, 925, 1105)).isEqualTo(work.scarf().id().toString());
        assertThat(worn(next, 925, 500)).isEqualTo(work.scarf().id().toString());
        assertThat(worn(next, 1410, 1330)).isEqualTo(work.scarf().id().toString());
        assertThat(browser.complaints()).isEmpty();
    }

    private DeskPage askForProposals(Page page) {
        page.navigate(pond.url() + work.address(next));
        DeskPage desk = new DeskPage(page).waitUntilOpen();
        desk.expectLeft("9 of 9 regions left");
        // Where it was open before the page was loaded again it is open still.
        if (!page.locator("#carry-ask").isVisible()) {
            desk.press("Shift+H");
        }
        assertThat(page.locator("#carry-sources input:checked")).hasCount(1);
        page.locator("#carry-ask").click();
        assertThat(page.locator("#carry-answer")).isVisible();
        return desk;
    }

    @Test
    void theCheckFindsAPartThatWearsSomethingElseThanOnTheModel() {
        String sources = "{\"sources\":[\"" + model.id() + "\"],\"overFilled\":false}";
        Visitor.signedIn(pond, work.person()).post(work.address(next) + "/carry/sure", sources);
        work.lay(next, work.coat().id(), mirrored(925), onNext(1105));
        Page page = browser.signIn(pond, work.person());
        page.navigate(pond.url() + work.address(next));
        DeskPage desk = new DeskPage(page).waitUntilOpen();
        desk.press("y");
        page.locator("#check-differences").click();
        assertThat(page.locator("#check-differing li")).hasCount(1);
        assertThat(page.locator("#check-differing")).containsText("Scarf on boxes, Coat here");
        page.locator("#check-differing").getByText("Wear Scarf").click();
        desk.expectSaved();
        assertThat(worn(next, 925, 1105)).isEqualTo(work.scarf().id().toString());
    }

    @Test
    void aDifferenceThatIsMeantStaysQuiet() {
        Visitor visitor = Visitor.signedIn(pond, work.person());
        visitor.post(work.address(next) + "/carry/sure", "{\"sources\":[\"" + model.id() + "\"],\"overFilled\":false}");
        work.lay(next, work.coat().id(), mirrored(925), onNext(1105));
        SheetCarrying carrying = pond.bean(SheetCarrying.class);
        List<Difference> found = carrying.differences(next);
        assertThat(found).hasSize(1);
        visitor.submit(
                work.address(next) + "/check/accepted", "key", found.get(0).key(), "isMeant", "true");
        assertThat(carrying.differences(next)).isEmpty();
    }

    @Test
    void nothingThatWasFilledByHandIsOverwrittenAndACorrectionCountsNextTime() {
        work.lay(next, work.coat().id(), mirrored(925), onNext(500));
        Visitor visitor = Visitor.signedIn(pond, work.person());
        String sources = "{\"sources\":[\"" + model.id() + "\"],\"overFilled\":false}";
        assertThat(visitor.post(work.address(next) + "/carry/sure", sources).statusCode())
                .isEqualTo(200);
        assertThat(worn(next, 925, 500)).isEqualTo(work.coat().id().toString());
        assertThat(worn(next, 925, 1105)).isEqualTo(work.scarf().id().toString());

        Layer layer = pond.bean(Sheets.class).get(work.project(), model.id()).layer();
        String correction = "{\"source\":\"%s\",\"layer\":\"%s\",\"cell\":%d,\"fill\":\"%s\"}"
                .formatted(
                        model.id(),
                        layer.id(),
                        cell(layer, 925, 1105),
                        work.coat().id());
        for (int i = 0; i < 2; i++) {
            visitor.post(work.address(next) + "/carry/corrections", correction);
        }
        SheetCarrying carrying = pond.bean(SheetCarrying.class);
        int belt = cell(pond.bean(Sheets.class).get(work.project(), next.id()).layer(), mirrored(925), onNext(1105));
        CarryPage there = pond.bean(CarryPages.class).of(next);
        List<CarryPage> models = carrying.pages(work.project(), List.of(model.id()));
        assertThat(carrying.match(there, models, true, false).proposals().proposals())
                .filteredOn(proposal -> proposal.cells().contains(belt))
                .singleElement()
                .satisfies(proposal -> {
                    assertThat(proposal.isSure()).isFalse();
                    assertThat(proposal.choices().get(0).fill())
                            .isEqualTo(work.coat().id().toString());
                });
    }

    /** Where a place of the model lies on the next sheet: mirrored about x and at 0.85 of the size. */
    private static int mirrored(int x) {
        return (int) (2600 - 0.85 * x);
    }

    private static int onNext(int y) {
        return (int) (200 + 0.85 * y);
    }

    private String worn(Sheet sheet, int x, int y) {
        Layer layer = pond.bean(Sheets.class).get(work.project(), sheet.id()).layer();
        int cell = cell(layer, mirrored(x), onNext(y));
        return pond.bean(Sheets.class).fills(layer).of(cell).text();
    }

    private int cell(Layer layer, int x, int y) {
        CellPlane cells = PlaneCodec.decodeCells(pond.bean(Planes.class).content(layer.cells()));
        return cells.numberAt(x, y);
    }
}
