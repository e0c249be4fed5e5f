package stillpond.app.desk;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import stillpond.app.sheet.Sheet;
import stillpond.app.support.Browser;
import stillpond.app.support.DeskPage;
import stillpond.app.support.Drawings;
import stillpond.app.support.TestPond;
import stillpond.app.support.Work;

/** What a hand does in an hour of flatting, on the sheet with three boxes. */
class HandJourneyTest {

    private static final int COAT = 0x2f6f5e;
    private static final int SCARF = 0xd2603f;
    private static final int PAPER = 0xffffff;

    private final TestPond pond = TestPond.shared();
    private Browser browser;
    private Work work;
    private Sheet sheet;
    private Page page;
    private DeskPage desk;

    @BeforeEach
    void openSheetOnDesk() {
        browser = new Browser();
        work = Work.begin(pond);
        sheet = work.bringToDesk(Drawings.threeBoxes());
        desk = DeskPage.open(browser, work, sheet);
        page = desk.page();
    }

    @AfterEach
    void close() {
        assertThat(browser.complaints().stream().filter(text -> !text.contains("net::ERR_")))
                .isEmpty();
        browser.close();
    }

    @Test
    void dropSampleCopyAgainAndClear() {
        desk.drop("Scarf", 500, 1000);
        assertThat(desk.shown(500, 1000)).isEqualTo(SCARF);
        assertThat(page.locator("#present")).containsText("Coat");

        desk.pointAt(500, 1000);
        desk.press("s");
        assertThat(page.locator("#present")).containsText("Scarf");
        desk.press("Control+c");
        desk.pointAt(1500, 1000);
        desk.press("Control+v");
        assertThat(desk.shown(1500, 1000)).isEqualTo(SCARF);
        desk.pointAt(2500, 1000);
        desk.press("a");
        desk.expectLeft("1 of 4 regions left");
        desk.press("Delete");
        assertThat(desk.shown(2500, 1000)).isEqualTo(PAPER);
        desk.press("o");
        assertThat(page.locator("#present")).containsText("Coat");
        desk.press(".");
        assertThat(page.locator("#present")).containsText("Scarf");
        desk.press("1");
        desk.press("Enter");
        assertThat(desk.shown(2500, 1000)).isEqualTo(COAT);
        desk.expectSaved();
    }

    /** Goes from empty region to empty region, however small, until none is left. */
    @Test
    void aKeyFindsWhatIsStillEmpty() {
        desk.drop("Scarf", 1500, 1000);
        for (int left = 3; left > 0; left--) {
            desk.expectLeft(left + " of 4 regions left");
            desk.press("e");
            desk.press("Enter");
        }
        desk.expectLeft("Every region is filled");
        desk.press("Home");
        assertThat(desk.shown(500, 1000)).isEqualTo(COAT);
        assertThat(desk.shown(1500, 1000)).as("what was filled stays").isEqualTo(SCARF);
        desk.expectSaved();
    }

    @Test
    void aHandfulOfWhatIsLikelyComesToTheRegionAndGoes() {
        desk.drop("Scarf", 30, 30);
        desk.pointAt(500, 1000);
        desk.press("Shift+O");
        Locator handful = page.locator("#handful");
        assertThat(handful).isVisible();
        assertThat(handful.locator("button").first()).hasAttribute("title", "Scarf");
        assertThat(page.locator("#said")).containsText("Likely here: Scarf, Coat");
        desk.press("1");
        assertThat(handful).isHidden();
        assertThat(page.locator("#present")).containsText("Scarf");
        desk.press("Enter");
        assertThat(desk.shown(500, 1000)).isEqualTo(SCARF);

        desk.pointAt(2500, 1000);
        desk.press("Shift+O");
        assertThat(handful).isVisible();
        desk.press("Escape");
        assertThat(handful).isHidden();
        desk.expectLeft("2 of 4 regions left");
        desk.expectSaved();
    }

    @Test
    void theSecondButtonOffersWhatCanBeDoneWithARegion() {
        desk.drop("Coat", 500, 1000);
        desk.secondClick(500, 1000);
        assertThat(page.locator("#region-menu")).containsText("Take Coat into the hand");
        page.keyboard().press("Escape");
        assertThat(page.locator("#region-menu")).isHidden();
        desk.secondClick(500, 1000);
        page.locator("#region-menu").getByText("Clear").click();
        desk.expectLeft("4 of 4 regions left");
    }

    @Test
    void neutralsAreThereAndGreysChangeOnlyTheLook() {
        desk.drop("Grey", 500, 1000);
        assertThat(desk.shown(500, 1000)).isEqualTo(0x808080);
        desk.drop("Scarf", 1500, 1000);
        desk.press("v");
        int shown = desk.shown(1500, 1000);
        assertThat(shown >> 16).isEqualTo(shown & 0xff);
        desk.press("b");
        assertThat(desk.shown(1500, 1000)).isEqualTo(PAPER);
        desk.press("b");
        desk.press("v");
        assertThat(desk.shown(1500, 1000)).isEqualTo(SCARF);
    }

    @Test
    void aSmallSheetIsFilledWithoutAPointer() {
        page.locator("#sheet").focus();
        desk.press("2");
        desk.press("ArrowRight");
        String first = page.locator("#said").textContent();
        assertThat(first).startsWith("Region ").contains("percent of the sheet", "No fill");
        desk.press("Enter");
        assertThat(page.locator("#said")).hasText("Filled 1 region with Scarf");
        for (String direction : List.of("Left", "Left", "Right", "Right", "Right", "Up")) {
            desk.press("Arrow" + direction);
            desk.press("Enter");
        }
        desk.expectLeft("Every region is filled");
        desk.expectSaved();
    }

    @Test
    void viewAndSwatchAreKept() {
        desk.take("Scarf");
        desk.pointAt(500, 1000);
        page.mouse().wheel(0, -600);
        String zoomed = page.locator("#zoom").textContent();
        assertThat(page.locator("#map")).isVisible();
        page.waitForFunction("() => localStorage.getItem('pond/view') !== 'null' && localStorage.getItem('pond/view')");
        page.reload();
        desk.waitUntilOpen();
        assertThat(page.locator("#zoom")).hasText(zoomed);
        assertThat(page.locator("#present")).containsText("Scarf");
        page.locator("#sheet").focus();
        desk.press("Home");
        assertThat(page.locator("#map")).isHidden();
    }

    /** Filling goes on while the server is away; a reload and its return lose nothing and double nothing. */
    @Test
    void theServerMayGoAwayAndComeBack() {
        desk.take("Coat");
        desk.click(500, 1000);
        desk.expectSaved();
        pond.down();
        desk.click(1500, 1000);
        desk.take("Scarf");
        desk.click(2500, 1000);
        desk.press("Control+z");
        desk.press("Control+y");
        assertThat(desk.shown(2500, 1000)).isEqualTo(SCARF);
        assertThat(page.locator("#delivery")).containsText("Server away, 4 changes kept here");

        pond.up();
        page.navigate(pond.url() + work.address(sheet));
        desk.waitUntilOpen();
        desk.expectSaved();
        desk.expectLeft("1 of 4 regions left");
        assertThat(work.logged(sheet)).isEqualTo(5);
        page.reload();
        desk.waitUntilOpen();
        assertThat(desk.shown(1500, 1000)).isEqualTo(COAT);
        assertThat(desk.shown(2500, 1000)).isEqualTo(SCARF);
    }

    /** A swatch that is gone from its card when the change arrives. */
    @Test
    void aRefusedChangeIsTakenBackWithTheReason() {
        desk.take("Scarf");
        work.dropSwatch(work.scarf());
        desk.click(500, 1000);
        assertThat(page.locator("#notice")).containsText("on none of the project's cards");
        desk.expectLeft("4 of 4 regions left");
        assertThat(desk.shown(500, 1000)).isEqualTo(PAPER);
    }

    /** A laptop's window enlarged to 200 %. */
    @Test
    void aWindowOf640By400IsFilledIn() {
        page.setViewportSize(640, 400);
        page.reload();
        desk.waitUntilOpen();
        assertThat(page.locator("#gaps")).isHidden();
        desk.take("Coat");
        desk.click(1500, 1000);
        desk.expectLeft("3 of 4 regions left");
        assertThat(desk.shown(1500, 1000)).isEqualTo(COAT);

        page.locator("#ledger-button").click();
        assertThat(page.locator("#ledger")).isVisible();
        page.locator("#ledger-button").click();
        page.locator("#tool-mix").click();
        Locator mixer = page.locator(".mixer");
        assertThat(mixer.locator(".mixer-text")).isVisible();
        assertThat(mixer.locator(".pool")).isHidden();
        mixer.getByText("Unfold").click();
        assertThat(mixer.locator(".pool")).isVisible();
        for (Locator control : mixer.locator("button, input, select").all()) {
            if (control.isVisible()) {
                control.scrollIntoViewIfNeeded();
                BoundingBox box = control.boundingBox();
                assertThat(box.x >= 0 && box.x + box.width <= 640).isTrue();
            }
        }
    }

    @Test
    void aSwatchIsFoundByItsNameOrItsHexCode() {
        desk.press("/");
        page.keyboard().type("scar");
        assertThat(page.locator(".pebble:not(.is-passed)")).containsText(new String[] {"Scarf"});
        desk.press("Enter");
        assertThat(page.locator("#present")).hasText("Scarf");
        desk.press("/");
        page.keyboard().type("#%06x".formatted(COAT));
        desk.press("Enter");
        assertThat(page.locator("#present")).hasText("Coat");
        desk.click(500, 1000);
        assertThat(desk.shown(500, 1000)).isEqualTo(COAT);
    }

    @Test
    void whatIsPointedAtIsNamed() {
        desk.take("Coat");
        desk.click(500, 1000);
        Locator tag = page.locator("#name-tag");
        page.locator(".pebble", new Page.LocatorOptions().setHasText("Scarf")).hover();
        assertThat(tag).hasText("Scarf");
        desk.pointAt(520, 1000);
        assertThat(tag).containsText("Coat");
    }

    @Test
    void keysAreChangedAndSwitchedOffForOnePersonEverywhere() {
        Locator ledger = page.locator("#ledger");
        desk.press("?");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("show or hide the ledger"))
                .click();
        desk.press("\\");
        assertThat(page.locator("#keys-said")).containsText("show or hide the ledger");
        desk.press("Escape");
        page.reload();
        desk.waitUntilOpen();
        desk.press("\\");
        assertThat(ledger).isVisible();
        desk.press("h");
        assertThat(ledger).isVisible();

        desk.press("?");
        page.locator("#keys-letters").uncheck();
        desk.press("Escape");
        desk.press("\\");
        assertThat(ledger).isVisible();
        page.locator("#help").click();
        page.locator("#keys-as-they-come").click();
        assertThat(page.locator("#keys-said")).containsText("as they come");
        desk.press("Escape");
        page.locator("#sheet").focus();
        desk.press("h");
        assertThat(ledger).isHidden();
    }

    @Test
    void awayFromTheNetworkWhatCannotBeDoneIsSaidCalmlyAndFillsGoOn() {
        Locator notice = page.locator("#notice");
        desk.take("Coat");
        page.context().setOffline(true);
        desk.press("x");
        assertThat(notice).hasText("The server is away just now. Nothing was changed; try again when it is back.");
        assertThat(page.locator(".mixer")).isHidden();
        desk.click(500, 1000);
        assertThat(desk.shown(500, 1000)).isEqualTo(COAT);
        assertThat(page.locator("#delivery")).containsText("1 change kept here");
        desk.press("y");
        assertThat(page.locator("#check")).isVisible();
        desk.press("Shift+H");
        assertThat(page.locator("#carry-said")).containsText("The server is away just now");
        page.context().setOffline(false);
        page.evaluate("() => window.dispatchEvent(new Event('online'))");
        desk.expectSaved();
        desk.press("x");
        assertThat(page.locator(".mixer")).isVisible();
    }

    @Test
    void aLetterIsForTheControlThatSomebodyHasGoneToByKeyboard() {
        desk.press("Tab");
        page.locator("#undo").focus();
        desk.press("h");
        assertThat(page.locator("#ledger")).isHidden();
        desk.press("Escape");
        desk.press("h");
        assertThat(page.locator("#ledger")).isVisible();
    }
}
