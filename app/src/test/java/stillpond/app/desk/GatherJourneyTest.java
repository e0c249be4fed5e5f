package stillpond.app.desk;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import java.awt.Color;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import stillpond.app.sheet.Sheet;
import stillpond.app.support.Browser;
import stillpond.app.support.DeskPage;
import stillpond.app.support.DeskPage.At;
import stillpond.app.support.Drawings;
import stillpond.app.support.TestPond;
import stillpond.app.support.Work;

/** Many regions in few acts. Places are pixels of the sheet, 3000 x 2000. */
class GatherJourneyTest {

    private static final int COAT = 0x2f6f5e;
    private static final int SCARF = 0xd2603f;
    private static final int PAPER = 0xffffff;

    private final TestPond pond = TestPond.shared();
    private final Work work = Work.begin(pond);
    private final Browser browser = new Browser();
    private Page page;
    private DeskPage desk;

    /** A figure of a box parted in three, one of a box parted in two, and the page around. */
    @BeforeEach
    void open() {
        Sheet sheet = work.bringToDesk(Drawings.svg("""
                <g fill="none" stroke="#000" stroke-width="6">
                  <path d="M40 60H280V340H40ZM120 60V340M200 60V340"/>
                  <path d="M340 60H560V340H340ZM340 200H560"/>
                </g>"""));
        desk = DeskPage.open(browser, work, sheet);
        page = desk.page();
        desk.expectLeft("6 of 6 regions left");
    }

    @AfterEach
    void close() {
        assertThat(browser.complaints()).isEmpty();
        browser.close();
    }

    @Test
    void aSweepGathersAndFillsAsOneChangeAndWithShiftOnlyWhatIsAlike() {
        desk.take("Coat");
        desk.press("f");
        desk.sweep(new At(400, 1000), new At(1200, 1000));
        assertThat(page.locator("#gathered-count")).hasText("3 regions gathered");
        desk.click(800, 1000);
        assertThat(page.locator("#gathered-count")).hasText("2 regions gathered");
        desk.expectLeft("6 of 6 regions left");
        page.locator("#gather-fill").click();
        desk.expectLeft("4 of 6 regions left");
        assertThat(page.locator("#gathered")).isHidden();
        desk.press("Escape");
        assertThat(desk.shown(400, 1000)).isEqualTo(COAT);
        assertThat(desk.shown(800, 1000)).isEqualTo(PAPER);
        page.locator("#sheet").focus();
        desk.press("Control+z");
        desk.expectLeft("6 of 6 regions left");
        desk.expectSaved();
        desk.take("Coat");
        desk.click(800, 1000);
        desk.take("Scarf");
        page.keyboard().down("Shift");
        desk.sweep(new At(400, 1000), new At(1200, 1000));
        page.keyboard().up("Shift");
        desk.expectLeft("3 of 6 regions left");
        assertThat(desk.shown(800, 1000)).isEqualTo(COAT);
        assertThat(desk.shown(1200, 1000)).isEqualTo(SCARF);
        desk.expectSaved();
    }

    @Test
    void figuresWaysDrawnAroundAndOutlinesGather() {
        desk.take("Scarf");
        desk.pointAt(2200, 700);
        desk.press("r");
        assertThat(page.locator("#gathered-count")).hasText("2 regions gathered");
        page.locator("#gather-fill").click();
        desk.expectLeft("4 of 6 regions left");
        assertThat(desk.shown(2200, 1300)).isEqualTo(SCARF);
        assertThat(desk.shown(100, 100)).as("outside stays").isEqualTo(PAPER);
        page.locator("#tool-ground").click();
        assertThat(page.locator("#gathered-count")).hasText("3 regions gathered");
        more("Gather all others instead");
        assertThat(page.locator("#gathered-count")).hasText("3 regions gathered");
        page.locator("#gather-letgo").click();
        assertThat(page.locator("#gathered")).isHidden();
        desk.press("f");
        page.keyboard().down("Shift");
        desk.sweep(new At(1640, 240), new At(2880, 240), new At(2880, 1760), new At(1640, 1760), new At(1640, 260));
        page.keyboard().up("Shift");
        assertThat(page.locator("#gathered-count")).hasText("2 regions gathered");
        page.locator("#gather-letgo").click();
        desk.click(100, 100);
        more("Add all that lies inside these");
        assertThat(page.locator("#gathered-count")).hasText("6 regions gathered");
    }

    @Test
    void aRampLaysEvenStepsThatFollowBothEnds() {
        desk.take("Scarf");
        desk.take("Coat");
        desk.press("f");
        desk.sweep(new At(400, 1000), new At(1200, 1000));
        more("Ramp over 3 regions");
        assertThat(page.locator("#ramp-steps .ramp-step")).hasCount(3);
        page.locator("#ramp-lay").click();
        desk.expectLeft("3 of 6 regions left");
        assertThat(page.locator("#gathered")).isHidden();
        // The stripes over what was gathered go with the next frame.
        page.waitForCondition(() -> desk.shown(400, 1000) == COAT);
        assertThat(desk.shown(1200, 1000)).isEqualTo(SCARF);
        int middle = desk.shown(800, 1000);
        assertThat(middle).isNotIn(COAT, SCARF, PAPER);
        assertThat(page.locator("#cards")).containsText("Coat to Scarf 1");
        desk.expectSaved();
    }

    @Test
    void twinsOnASheetAreMadeOneInOneStepThatCanBeTakenBack() {
        desk.take("Coat");
        desk.sweep(new At(400, 1000), new At(800, 1000));
        page.keyboard().down("Control");
        desk.click(400, 1000);
        page.keyboard().up("Control");
        assertThat(page.locator("#gathered-count")).hasText("1 region gathered");
        more("Adjust their colours");
        page.locator("#adjust-lightness").fill("1");
        assertThat(page.locator("#adjust-said")).hasText("1 colour changes.");
        page.locator("#adjust-tied").click();
        assertThat(page.locator("#gathered")).isHidden();
        assertThat(desk.shown(800, 1000)).isEqualTo(COAT);
        desk.press("h");
        assertThat(page.locator("#twins li")).hasCount(1);
        assertThat(page.locator("#ledger-button .count")).hasText("2");
        page.locator("[title='Let all that wears Coat, adjusted on this sheet wear Coat']")
                .click();
        assertThat(page.locator("#ledger-button .count")).hasText("1");
        assertThat(page.locator("#twins li")).hasCount(0);
        page.locator("#sheet").focus();
        desk.press("Control+z");
        assertThat(page.locator("#ledger-button .count")).hasText("2");
        desk.expectSaved();
    }

    @Test
    void aSwatchIsReplacedOnEverySheetOfTheProject() {
        Sheet other = work.bringToDesk(Drawings.svg("""
                <g fill="none" stroke="#000" stroke-width="6"><path d="M100 60H500V340H100Z"/></g>"""));
        desk.take("Coat");
        desk.click(400, 1000);
        desk.expectSaved();
        page.navigate(pond.url() + work.address(other));
        desk.waitUntilOpen();
        desk.take("Coat");
        desk.click(1500, 1000);
        desk.expectSaved();
        desk.take("Scarf");
        desk.secondClick(1000, 1400);
        assertThat(page.locator("#here-fill")).hasText("Coat");
        page.getByText("Replace Coat by Scarf everywhere").click();
        assertThat(page.locator("#notice")).containsText("2 regions on 2 sheets");
        assertThat(desk.shown(1000, 1400)).isEqualTo(SCARF);
        page.goBack();
        desk.waitUntilOpen();
        desk.expectLeft("5 of 6 regions left");
        assertThat(desk.shown(400, 1000)).isEqualTo(SCARF);
    }

    @Test
    void groupsAreMadeForEachColourHiddenAndLockedAndOutliveANewDam() {
        desk.take("Coat");
        desk.sweep(new At(400, 1000), new At(800, 1000));
        desk.take("Scarf");
        desk.click(2200, 700);
        desk.expectSaved();
        desk.press("h");
        page.locator("#groups-each").click();
        assertThat(page.locator(".group-row")).hasCount(2);
        Locator coat = page.locator(".group-row").first();
        assertThat(coat.locator(".group-name")).hasValue("Coat, Juniper");
        coat.getByText("Hide").click();
        assertThat(coat.getByText("Show")).isVisible();
        desk.press("Escape");
        page.mouse().move(5, 400);
        assertThat(desk.shown(400, 1000)).isEqualTo(PAPER);
        page.locator(".group-row").first().getByText("Show").click();
        page.locator(".group-row").first().getByText("Lock").click();
        assertThat(page.locator(".group-row").first().getByText("Unlock")).isVisible();
        desk.click(400, 1000);
        assertThat(page.locator("#notice")).containsText("'Coat, Juniper' is locked");
        page.mouse().move(5, 400);
        assertThat(desk.shown(400, 1000)).isEqualTo(COAT);
        desk.press("t");
        desk.sweep(new At(160, 1000), new At(640, 1000));
        desk.expectLeft("3 of 7 regions left");
        desk.press("t");
        assertThat(page.locator(".group-row").first().locator("[title^=Gather]"))
                .hasText("3 regions");
    }

    @Test
    void flatsLaidElsewhereAreTakenOverAndPlacesWithTwoColoursListed() {
        page.locator("#look").click();
        page.locator("#ink-button").click();
        FilePayload old = new FilePayload("old page.png", "image/png", Drawings.png(300, 200, pen -> {
            pen.setColor(new Color(COAT));
            pen.fillRect(20, 30, 120, 140);
            pen.setColor(new Color(0x9a4f7d));
            pen.fillRect(170, 30, 110, 140);
            pen.setColor(new Color(SCARF));
            pen.fillRect(170, 30, 55, 70);
        }));
        Locator asked = page.locator("#stretching");
        page.locator("#flats-file").setInputFiles(old);
        assertThat(asked).containsText("This picture is 300 by 200 pixels");
        assertThat(page.locator("#stretching-picture")).isVisible();
        asked.getByText("Leave it").click();
        desk.expectLeft("6 of 6 regions left");
        page.locator("#flats-file").setInputFiles(old);
        asked.getByText("Take it stretched").click();
        assertThat(page.locator("#lost-note")).containsText("1 new swatch lies on a card of their own");
        assertThat(page.locator("#lost-list li")).hasCount(1);
        desk.waitUntilOpen();
        desk.expectLeft("1 of 6 regions left");
        page.locator("#lost-close").click();
        assertThat(desk.shown(400, 1000)).isEqualTo(COAT);
        assertThat(desk.shown(2200, 1300)).isEqualTo(0x9a4f7d);
        page.locator("#sheet").focus();
        desk.press("Control+z");
        desk.expectLeft("6 of 6 regions left");
        desk.expectSaved();
    }

    private void more(String act) {
        page.locator("#gather-more").click();
        page.locator(".gather-list").getByText(act).click();
    }

    @Test
    void theCheckNamesWhatWasMissedKeepsQuietAboutWhatIsMeantAndEndsClean() {
        desk.press("y");
        assertThat(page.locator("#check-rows .place-row")).hasCount(6);
        page.locator("#check-rows").getByText("It is meant").first().click();
        assertThat(page.locator("#check-rows .place-row")).hasCount(5);
        page.reload();
        desk.waitUntilOpen();
        assertThat(page.locator("#check-rows .place-row")).hasCount(5);
        page.locator("#check-accepted").click();
        page.getByText("Not meant after all").click();
        assertThat(page.locator("#check-rows .place-row")).hasCount(6);
        desk.press("y");
        desk.take("Coat");
        desk.sweep(new At(400, 1000), new At(1200, 1000));
        desk.expectSaved();
        desk.press("y");
        assertThat(page.locator("#check-rows .place-row")).hasCount(3);
        assertThat(page.locator("#check-rows")).containsText("No fill yet");
        desk.take("Scarf");
        desk.sweep(new At(2200, 700), new At(2200, 1300));
        assertThat(page.locator("#check-rows .place-row")).hasCount(1);
        page.locator("#check-rows").getByText("Fill with").click();
        assertThat(page.locator("#check-clean")).isVisible();
        desk.expectLeft("Every region is filled");
        desk.expectSaved();
    }

    @Test
    void theLedgerNamesWhatIsInUseAndGathersIt() {
        desk.take("Coat");
        desk.sweep(new At(400, 1000), new At(800, 1000));
        desk.take("Scarf");
        desk.click(2200, 700);
        desk.press("h");
        assertThat(page.locator("#ledger-rows")).containsText("2 regions");
        assertThat(page.locator("#ledger-button .count")).hasText("2");
        page.locator(".ledger-row")
                .filter(new Locator.FilterOptions().setHasText("Coat"))
                .click();
        assertThat(page.locator("#gathered-count")).hasText("2 regions gathered");
        desk.take("Scarf");
        page.locator("#gather-fill").click();
        assertThat(page.locator("#ledger-button .count")).hasText("1");
        page.mouse().move(5, 400);
        assertThat(desk.shown(400, 1000)).isEqualTo(SCARF);
        desk.expectSaved();
    }
}
