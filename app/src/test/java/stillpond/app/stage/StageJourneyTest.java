package stillpond.app.stage;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.awt.image.BufferedImage;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import stillpond.app.sheet.Sheet;
import stillpond.app.support.Browser;
import stillpond.app.support.DeskPage;
import stillpond.app.support.Drawings;
import stillpond.app.support.TestPond;
import stillpond.app.support.Visitor;
import stillpond.app.support.Work;
import stillpond.core.colour.BlendMode;
import stillpond.core.colour.Srgb;

/** Two boxes of a sheet wear the coat and the scarf. */
class StageJourneyTest {

    private static final Srgb COAT = Srgb.ofHex("#2f6f5e");
    private static final Srgb SCARF = Srgb.ofHex("#d2603f");
    private static final Srgb DUSK = Srgb.ofHex("#6a5a90");
    private static final int LIT_COAT = BlendMode.MULTIPLY.blend(COAT, DUSK).packed();

    private final TestPond pond = TestPond.shared();
    private final Work work = Work.begin(pond);
    private final Browser browser = new Browser();
    private final Visitor visitor = Visitor.signedIn(pond, work.person());
    private final String project = "/projects/" + work.project();
    private Sheet sheet;
    private Page page;

    @BeforeEach
    void layTwoBoxes() {
        sheet = work.bringToDesk(Drawings.threeBoxes());
        work.lay(sheet, work.coat().id(), 500, 1000);
        work.lay(sheet, work.scarf().id(), 1500, 1000);
        page = browser.signIn(pond, work.person());
    }

    @AfterEach
    void close() {
        browser.close();
    }

    @Test
    void aLightIsSeenBeforeItIsTakenAndFlippedThroughOnTheDeskAndHandedOnBothWays() {
        page.navigate(pond.url() + project + "/lights");
        assertThat(page.getByText("No light yet")).isVisible();
        page.getByPlaceholder("Another light").fill("Dusk");
        press("Make it, for Low tide");
        page.waitForSelector("#light[data-seen]");
        page.locator("#light-hex").fill("#6a5a90");
        page.locator("#light-hex").press("Tab");
        page.locator("input[data-part=strength]").fill("100");
        page.locator(".light-part").filter(named("Scarf")).click();
        page.waitForSelector("#light[data-seen*='100'][data-seen*='drawn']");
        Locator picture = page.locator("img[data-sheet]");
        assertThat(rgb(visitor.picture(path(picture)), 500)).isEqualTo(LIT_COAT);
        assertThat(rgb(small(), 500)).isEqualTo(COAT.packed());
        assertThat(page.locator(".light-part").filter(named("Scarf"))).containsText("exception");
        press("Take it");
        assertThat(page.locator("#light-state")).hasText("Taken, on every sheet that has this light.");
        assertThat(rgb(small(), 500)).isEqualTo(LIT_COAT);
        assertThat(rgb(small(), 1500)).isEqualTo(SCARF.packed());

        DeskPage desk = openDesk();
        assertThat(page.locator("#light-name")).hasText("Dusk");
        assertThat(desk.shown(500, 1000)).isEqualTo(LIT_COAT);
        desk.press("m");
        assertThat(page.locator("#light-name")).hasText("As drawn looked at");
        assertThat(desk.shown(500, 1000)).isEqualTo(COAT.packed());
        desk.press("m");
        assertThat(page.locator("#light-name")).hasText("Dusk");
        assertThat(desk.export("Flats as PNG").getRGB(500, 1000) & 0xffffff).isEqualTo(LIT_COAT);
        assertThat(desk.export("Flats as drawn").getRGB(500, 1000) & 0xffffff).isEqualTo(COAT.packed());
        assertThat(browser.complaints()).isEmpty();

        page.navigate(pond.url() + project + "/lights");
        press("Take my last change back");
        assertThat(page.getByText("Taken back: Changed the light Dusk.")).isVisible();
        assertThat(rgb(small(), 500)).isEqualTo(COAT.packed());
    }

    @Test
    void anotherColourIsSeenOnEverySheetAndTakenFromOneOn() {
        Sheet next = work.bringToDesk(Drawings.threeBoxesLower());
        work.lay(next, work.coat().id(), 500, 1000);
        page.navigate(pond.url() + project + "/reach");
        assertThat(page.getByText("Take it on what is ticked")).isDisabled();
        page.locator("select[name=change]").selectOption("Coat in another colour");
        page.locator("input[type=color]").fill("#3a5a9c");
        Locator pictures = page.locator("main img");
        assertThat(pictures.first()).hasAttribute("src", Pattern.compile("try=.*%233a5a9c"));
        page.getByText("from here on").click();
        assertThat(page.locator("[name=sheet]").first()).not().isChecked();
        page.getByText("Take it on what is ticked").click();
        assertThat(page.getByRole(AriaRole.STATUS)).containsText("Taken on 1 sheet.");
        assertThat(rgb(visitor.picture(work.address(next) + "/small.png"), 500)).isEqualTo(0x3a5a9c);
        assertThat(rgb(small(), 500)).isEqualTo(COAT.packed());
        assertThat(browser.complaints()).isEmpty();
    }

    @Test
    void partsThatALightMakesHardToTellApartAreNamed() {
        page.navigate(pond.url() + project + "/lights");
        page.getByPlaceholder("Another light").fill("Fog");
        press("Make it, for Low tide");
        page.waitForSelector("#light[data-seen]");
        page.locator("#light-blend").selectOption("normal");
        page.locator("#light-hex").fill("#c8c8c8");
        page.locator("#light-hex").press("Tab");
        page.locator("input[data-part=strength]").fill("99");
        assertThat(page.locator("#light-warnings")).containsText("Juniper's Coat and Juniper's Scarf");
        page.locator("input[data-part=strength]").fill("0");
        assertThat(page.locator("#light-warnings")).isEmpty();
        page.locator("input[data-part=chroma]").fill("100");
        assertThat(page.locator("#light-warnings")).containsText("a colour that a screen cannot show");
        press("Leave it");
        assertThat(page.locator("#light-state")).hasText("As it is kept.");
    }

    @Test
    void aWardrobeIsMadeOnTheCardSeenOnTheSceneAndWornOnlyWhereItIsSaid() {
        Sheet other = work.bringToDesk(
                Drawings.svg(
                        "<rect x=\"50\" y=\"50\" width=\"500\" height=\"300\" fill=\"none\" stroke=\"#000\" stroke-width=\"6\"/>"));
        work.lay(other, work.coat().id(), 1500, 1000);
        page.navigate(pond.url() + project + "/cards");
        page.locator(".cast-card").getByText("Juniper").click();
        page.getByPlaceholder("A new wardrobe").fill("Winter");
        press("Add a wardrobe");
        press("Coat in Winter");
        page.locator(".mixer-text").fill("#d9d4c8");
        page.locator(".mixer-text").press("Tab");
        press("Give it to Winter");
        assertThat(page.getByText("Coat is another in Winter.")).isVisible();

        page.navigate(pond.url() + project + "/scenes/" + work.scene());
        Locator first = page.locator(".stage-sheet").first();
        assertThat(first.locator(".stage-cast")).hasText("Juniper");
        first.getByText("Another light or other clothes here").click();
        first.locator("label").filter(named("Winter")).click();
        assertThat(page.locator("#stage-said")).containsText("1 sheet is seen as it would be");
        assertThat(rgb(visitor.picture(path(first.locator("img").first())), 500))
                .isEqualTo(0xd9d4c8);
        assertThat(rgb(small(), 500)).isEqualTo(COAT.packed());
        press("Take it");
        assertThat(page.getByText("It can be taken back below.")).isVisible();
        assertThat(rgb(small(), 500)).isEqualTo(0xd9d4c8);
        assertThat(rgb(visitor.picture(work.address(other) + "/small.png"), 1500))
                .isEqualTo(COAT.packed());

        DeskPage desk = openDesk();
        assertThat(desk.shown(500, 1000)).isEqualTo(0xd9d4c8);
        page.navigate(pond.url() + project + "/scenes/" + work.scene());
        press("Take my last change back");
        assertThat(page.locator(".card-said")).containsText("Taken back");
        assertThat(rgb(small(), 500)).isEqualTo(COAT.packed());
        assertThat(browser.complaints()).isEmpty();
    }

    private DeskPage openDesk() {
        page.navigate(pond.url() + work.address(sheet));
        return DeskPage.inUnits(page).waitUntilOpen();
    }

    private void press(String button) {
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName(button).setExact(true))
                .click();
    }

    private static Locator.FilterOptions named(String name) {
        return new Locator.FilterOptions().setHasText(name);
    }

    private static String path(Locator picture) {
        return (String) picture.evaluate("each => new URL(each.src).pathname + new URL(each.src).search");
    }

    private BufferedImage small() {
        return visitor.picture(work.address(sheet) + "/small.png");
    }

    private static int rgb(BufferedImage picture, int x) {
        return picture.getRGB(x * picture.getWidth() / 3000, picture.getHeight() / 2) & 0xffffff;
    }
}
