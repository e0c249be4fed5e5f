package stillpond.app.desk;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import java.awt.image.BufferedImage;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import stillpond.app.support.Browser;
import stillpond.app.support.DeskPage;
import stillpond.app.support.Drawings;
import stillpond.app.support.TestPond;
import stillpond.app.support.Work;

/** A sheet of three layers, brought in and worked on as a person does. Places are given as if it were 3000 x 2000. */
class LayersJourneyTest {

    private static final int COAT = 0x2f6f5e;
    private static final int SCARF = 0xd2603f;

    private final TestPond pond = TestPond.shared();
    private final Work work = Work.begin(pond);
    private Browser browser;
    private Page page;
    private DeskPage desk;

    @BeforeEach
    void bringThreeFilesAsOneSheet() {
        browser = new Browser();
        page = browser.signIn(pond, work.person());
        page.navigate(pond.url() + "/projects/" + work.project() + "/bring");
        page.locator("input[value=layers]").check();
        page.locator("#vector").fill("900");
        page.setInputFiles("#files", new FilePayload[] {
            file("1 girl.svg", "<circle cx=\"200\" cy=\"200\" r=\"90\"/>"),
            file("2 fence.svg", "<rect x=\"60\" y=\"240\" width=\"480\" height=\"60\"/>"),
            file("3 hills.svg", "<rect x=\"10\" y=\"10\" width=\"580\" height=\"380\"/><path d=\"M10 150H590\"/>"),
        });
        assertThat(page.locator(".brought-state")).containsText("3 layers");
        page.getByText("Open on the desk").click();
        desk = DeskPage.inUnits(page).waitUntilOpen();
    }

    @AfterEach
    void close() {
        assertThat(browser.complaints()).isEmpty();
        browser.close();
    }

    @Test
    void eachLayerIsFilledByItselfAndTheySeeThroughEachOther() {
        assertThat(page.locator("#layers-button")).hasText("1 girl, 1 of 3");
        desk.take("Scarf");
        desk.click(1000, 1000);
        desk.expectSaved();
        desk.press("Shift+J");
        expectOn("2 fence, 2 of 3");
        desk.press("Shift+J");
        expectOn("3 hills, 3 of 3");
        desk.take("Coat");
        desk.click(2500, 1000);
        desk.expectSaved();

        BufferedImage composed = desk.export("Sheet as PNG");
        assertThat(rgb(composed, 1000, 1000)).isEqualTo(SCARF);
        assertThat(rgb(composed, 2000, 1350)).as("the fence is empty").isEqualTo(COAT);
        waitForPicture("#front");
        assertThat(desk.shown(1000, 1100)).as("in front of the hills").isEqualTo(SCARF);
        desk.press("Shift+U");
        assertThat(page.locator("#front")).isHidden();
        assertThat(desk.shown(1000, 1100)).isEqualTo(COAT);
        desk.press("Shift+U");

        desk.secondClick(1000, 1100);
        assertThat(page.locator("#layers-here .menu-item")).hasCount(3);
        page.locator("#layers-here .menu-item")
                .filter(new Locator.FilterOptions().setHasText("girl"))
                .click();
        expectOn("1 girl, 1 of 3");
        waitForPicture("#behind");
        assertThat(desk.shown(2500, 1000)).as("behind the girl").isEqualTo(COAT);

        desk.press("Shift+V");
        for (int i = 0; i < 3; i++) {
            desk.press("Shift+ArrowRight");
        }
        desk.press("Shift+V");
        page.waitForCondition(() -> rgb(desk.export("Sheet as PNG"), 1455, 1000) == SCARF);
        assertThat(rgb(composed, 1455, 1000)).as("before it was moved").isNotEqualTo(SCARF);
        desk.press("Control+z");
        desk.expectSaved();
        page.waitForCondition(() -> rgb(desk.export("Sheet as PNG"), 1455, 1000) == rgb(composed, 1455, 1000));
        desk.press("Control+z");
        desk.expectSaved();
        page.waitForCondition(() -> rgb(desk.export("Sheet as PNG"), 2500, 1000) == 0xffffff);
    }

    @Test
    void theListOfLayersHidesLocksAndTakesOutAndWhatIsGatheredBecomesOne() {
        desk.press("Shift+P");
        assertThat(page.locator("#layers-list li")).hasCount(3);
        page.getByLabel("Lock 1 girl").click();
        assertThat(page.locator("#layers-button")).containsText("locked");
        desk.take("Scarf");
        desk.click(1000, 1000);
        assertThat(page.locator("#notice")).containsText("'1 girl' is locked");
        page.getByLabel("Unlock 1 girl").click();
        assertThat(page.locator("#layers-button")).not().containsText("locked");
        page.getByLabel("Hide 2 fence").click();
        assertThat(page.getByLabel("Show 2 fence")).isVisible();
        page.getByLabel("Name of layer 1").fill("Juniper");
        page.getByLabel("Name of layer 1").press("Enter");
        assertThat(page.locator("#layers-button")).hasText("Juniper, 1 of 3");
        page.getByLabel("Take 2 fence out").click();
        assertThat(page.locator("#layers-list li")).hasCount(2);
        desk.press("Escape");
        page.locator("#sheet").focus();
        desk.press("Control+z");
        assertThat(page.locator("#layers-list li")).hasCount(3);

        page.locator("#layers-list a[aria-label='Work on 3 hills']").click();
        expectOn("3 hills, 3 of 3");
        desk.take("Coat");
        desk.click(2500, 400);
        desk.press("F");
        desk.click(2500, 400);
        page.locator("#gather-more").click();
        page.locator("#entry-gather-layer").click();
        assertThat(page.locator("#layers-button")).hasText(Pattern.compile("Layer 4, 3 of 4"));
        assertThat(rgb(desk.export("Sheet as PNG"), 2500, 400)).isEqualTo(COAT);
    }

    private void expectOn(String layer) {
        assertThat(page.locator("#layers-button")).hasText(layer);
        desk.waitUntilOpen();
    }

    private void waitForPicture(String place) {
        page.waitForFunction("place => document.querySelector(place + ' img').naturalWidth > 0", place);
    }

    private static FilePayload file(String name, String drawn) {
        return new FilePayload(
                name,
                "image/svg+xml",
                Drawings.svg("<g fill=\"none\" stroke=\"#000\" stroke-width=\"6\">" + drawn + "</g>"));
    }

    private static int rgb(BufferedImage picture, int x, int y) {
        return picture.getRGB(x, y) & 0xffffff;
    }
}
