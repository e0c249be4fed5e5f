package stillpond.app.desk;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import stillpond.app.palette.Palettes;
import stillpond.app.palette.Stagings;
import stillpond.app.sheet.Sheet;
import stillpond.app.support.Browser;
import stillpond.app.support.DeskPage;
import stillpond.app.support.DeskPage.At;
import stillpond.app.support.Drawings;
import stillpond.app.support.TestPond;
import stillpond.app.support.Work;
import stillpond.core.colour.Oklab;
import stillpond.core.colour.Srgb;
import stillpond.core.palette.Light;
import stillpond.core.palette.LightRule;
import stillpond.core.palette.Paint;
import stillpond.core.palette.PaletteEdit;
import stillpond.core.palette.Staging;

/** The ink of a sheet is coloured by hand. Places are pixels of the sheet, 3000 x 2000. */
class LinesJourneyTest {

    private static final int COAT = 0x2f6f5e;
    private static final int SCARF = 0xd2603f;
    private static final int BLACK = 0;

    /** The wall between two boxes, and the far side of the second. */
    private static final At WALL = new At(1000, 1000);

    private static final At END = new At(1800, 1000);

    private final TestPond pond = TestPond.shared();
    private final Work work = Work.begin(pond);
    private final Browser browser = new Browser();
    private Page page;
    private DeskPage desk;

    /** Two boxes side by side; the left one wears the coat, the right one the scarf. */
    @BeforeEach
    void open() {
        Sheet sheet = work.bringToDesk(Drawings.boxesThatTouch());
        work.lay(sheet, work.coat().id(), 600, 1000);
        work.lay(sheet, work.scarf().id(), 1400, 1000);
        desk = DeskPage.open(browser, work, sheet);
        page = desk.page();
        page.locator("#tool-line").click();
    }

    @AfterEach
    void close() {
        assertThat(browser.complaints()).isEmpty();
        browser.close();
    }

    @Test
    void strokesAreColouredByClickAndSweepAndGoBackToBlack() {
        desk.take("Coat");
        desk.pointAt(WALL.x(), WALL.y());
        assertThat(page.locator("#lines-said")).hasText("Black ink");
        desk.click(WALL.x(), WALL.y());
        expectInk(WALL, COAT);
        assertThat(page.locator("#lines-said")).hasText("Coat");
        desk.take("Scarf");
        desk.sweep(new At(940, 1000), new At(1900, 1000));
        expectInk(WALL, SCARF);
        expectInk(END, SCARF);
        desk.expectSaved();

        page.keyboard().down("Alt");
        desk.click(WALL.x(), WALL.y());
        page.keyboard().up("Alt");
        expectInk(WALL, BLACK);
        expectInk(END, SCARF);

        desk.press("Control+z");
        expectInk(WALL, SCARF);
        desk.press("Control+z");
        expectInk(WALL, COAT);
        expectInk(END, BLACK);
        desk.expectLeft("1 of 3 regions left");
    }

    @Test
    void inkThatIsGatheredOrBesideARegionIsColouredAsOne() {
        page.keyboard().down("Control");
        desk.click(END.x(), END.y());
        page.keyboard().up("Control");
        assertThat(page.locator("#gathered-count")).hasText("1 stroke gathered");
        desk.take("Coat");
        page.locator("#lines-lay").click();
        expectInk(END, COAT);
        expectInk(WALL, BLACK);
        assertThat(page.locator("#gathered")).isHidden();

        page.locator("#tool-fill").click();
        desk.take("Scarf");
        desk.secondClick(600, 1000);
        page.locator("#entry-ink-here").click();
        expectInk(WALL, SCARF);
        expectInk(END, COAT);
        desk.press("h");
        page.locator("#ledger-where").selectOption("ink");
        assertThat(page.locator("#ledger-rows .ledger-row")).hasCount(2);
        assertThat(page.locator("#ledger-rows")).containsText("line, 1 stroke");
        desk.expectSaved();
    }

    /** The wall parts two fills and gets a shade of the darker one; the outline, which has paper on one side, stays black. */
    @Test
    void oneActGivesInkAShadeOfWhatLiesBesideWhichFollowsTheSwatchAndTheLight() {
        page.locator("#lines-amount").fill("20");
        page.locator("#lines-darker").click();
        assertThat(page.locator("#said")).hasText("1 stroke darker than beside");
        desk.expectSaved();
        assertLightness(exported(WALL), lightness(COAT) - 0.2);
        assertThat(exported(END)).isEqualTo(BLACK);

        int plum = 0x8a4a7a;
        pond.bean(Palettes.class)
                .change(
                        work.project(),
                        work.account(),
                        List.of(new PaletteEdit.Change(work.coat().painted(new Paint.Process(Srgb.ofPacked(plum))))));
        assertLightness(exported(WALL), lightness(plum) - 0.2);
        expectInk(WALL, exported(WALL));

        UUID night = UUID.randomUUID();
        Light light = new Light("Night", LightRule.ofText("multiply #808080 100 0 0 0 0"), Map.of(), Map.of());
        int byDay = exported(WALL);
        pond.bean(Stagings.class)
                .begin(
                        work.project(),
                        staging -> staging.with(night, light).lighting(work.scene(), new Staging.Choice.Named(night)));
        // Multiplied by half, channel by channel (W3C Compositing and Blending, multiply).
        assertThat(exported(WALL) >> 8 & 0xff).isBetween((byDay >> 8 & 0xff) / 2 - 1, (byDay >> 8 & 0xff) / 2 + 1);

        page.reload();
        desk.waitUntilOpen();
        desk.press("Control+z");
        desk.press("Control+z");
        desk.expectSaved();
        assertThat(exported(WALL)).isEqualTo(BLACK);
    }

    /** The far side is 40 pixels wide: twice that more are 40 on each side. */
    @Test
    void gatheredInkIsShownWiderAndUndone() {
        At beside = new At(1840, 1000);
        page.keyboard().down("Control");
        desk.click(END.x(), END.y());
        page.keyboard().up("Control");
        page.locator("#lines-width").fill("20");
        assertThat(page.locator("#lines-width-said")).hasText("2 wider");
        desk.expectSaved();
        page.locator("#gather-letgo").click();
        expectInk(beside, BLACK);
        assertThat(exported(beside)).isEqualTo(BLACK);
        assertThat(exported(new At(1040, 1000))).as("the wall").isEqualTo(SCARF);
        desk.press("Control+z");
        desk.expectSaved();
        assertThat(exported(beside)).isEqualTo(0xffffff);
        expectInk(beside, 0xffffff);
    }

    private void expectInk(At at, int colour) {
        page.waitForCondition(() -> desk.shown(at.x(), at.y()) == colour);
    }

    private int exported(At at) {
        return desk.export("Sheet as PNG").getRGB((int) at.x(), (int) at.y()) & 0xffffff;
    }

    private static void assertLightness(int colour, double expected) {
        assertThat(lightness(colour)).isBetween(expected - 0.012, expected + 0.012);
    }

    private static double lightness(int colour) {
        return Oklab.of(Srgb.ofPacked(colour)).lightness();
    }
}
