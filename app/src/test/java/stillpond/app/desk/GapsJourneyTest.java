package stillpond.app.desk;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.util.Random;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import stillpond.app.sheet.Sheet;
import stillpond.app.support.Browser;
import stillpond.app.support.DeskPage;
import stillpond.app.support.DeskPage.At;
import stillpond.app.support.Drawings;
import stillpond.app.support.TestPond;
import stillpond.app.support.Work;

/** Filling line art with gaps. Places are pixels of the sheet, 3000 x 2000. */
class GapsJourneyTest {

    private static final String BOX =
            "<rect x='60' y='60' width='480' height='280' fill='none' stroke='#000' stroke-width='6'/>";
    /** How far an arrow leads a dam. */
    private static final int WALK_PX = 12;

    private static final int COAT = 0x2f6f5e;
    private static final int SCARF = 0xd2603f;
    private static final int PAPER = 0xffffff;

    private final TestPond pond = TestPond.shared();
    private final Work work = Work.begin(pond);
    private final Browser browser = new Browser();

    @AfterEach
    void close() {
        assertThat(browser.complaints()).isEmpty();
        browser.close();
    }

    /** Two boxes with gaps, one of them in three places, hold without touching a setting; ink shows through as it was drawn. */
    @Test
    void nearlyClosedRegionsFillLikeClosedOnes() {
        DeskPage desk = open("""
                <g fill="none" stroke="#000" stroke-width="6">
                  <path d="M290 100H240V300H360V100H314"/>
                  <path d="M480 100H440V180M440 200V300H500M524 300H560V100H500"/>
                </g>""");
        desk.take("Coat");
        desk.click(1500, 1000);
        desk.take("Scarf");
        desk.click(2500, 1000);
        assertThat(desk.shown(1500, 1000)).isEqualTo(COAT);
        assertThat(desk.shown(2500, 1000)).isEqualTo(SCARF);
        assertThat(desk.shown(300, 200)).isEqualTo(PAPER);
        assertThat(desk.export("Sheet as PNG").getRGB(1520, 500) & 0xffffff)
                .as("no dam shows in an export")
                .isIn(COAT, PAPER);
        desk.expectLeft("1 of 3 regions left");
        desk.expectSaved();
    }

    /** What is truly open is said before it is filled, and dammed and filled in two acts. */
    @Test
    void aLeakIsShownAndDammedInTwoActs() {
        DeskPage desk = open("""
                <g fill="none" stroke="#000" stroke-width="6">
                  <path d="M290 100H240V300H360V100H314"/>
                </g>""");
        Page page = desk.page();
        desk.take("Coat");
        page.locator("#gaps-dammed").click();
        page.locator("#gaps .place-row").first().hover();
        page.locator("#gaps .place-row").first().getByText("Open it").click();
        desk.expectLeft("1 of 1 regions left");

        desk.click(1500, 1000);
        assertThat(page.locator("#leak")).isVisible();
        assertThat(page.locator("#leak-said")).containsText("would run out through");
        assertThat(desk.shown(1500, 1000)).isEqualTo(PAPER);
        page.locator("#leak-dam").click();
        assertThat(page.locator("#leak")).isHidden();
        assertThat(desk.shown(1500, 1000)).isEqualTo(COAT);
        desk.expectLeft("1 of 2 regions left");

        desk.press("Control+z");
        desk.press("Control+z");
        desk.expectLeft("1 of 1 regions left");
        desk.click(1500, 1000);
        desk.click(1500, 1000);
        assertThat(desk.shown(1500, 1000)).as("a second click fills anyway").isEqualTo(COAT);
        assertThat(desk.shown(200, 200)).isEqualTo(COAT);
        desk.expectSaved();
    }

    @Test
    void keysMakeARegionBiggerAndSmallerAndStepThroughGaps() {
        DeskPage desk = open("""
                <g fill="none" stroke="#000" stroke-width="6">
                  <rect x="60" y="60" width="480" height="280"/><path d="M300 63V318"/>
                </g>""");
        desk.expectLeft("3 of 3 regions left");
        desk.pointAt(800, 1000);
        desk.press("w");
        desk.expectLeft("2 of 2 regions left");
        desk.press("q");
        desk.expectLeft("3 of 3 regions left");
        desk.page().locator("#gaps-dammed").click();
        desk.press("j");
        assertThat(desk.page().locator("#gaps .place-row.is-chosen")).hasCount(1);
        desk.press("l");
        desk.expectLeft("2 of 2 regions left");
        desk.press("Control+z");
        desk.expectLeft("3 of 3 regions left");
        desk.page().reload();
        desk.waitUntilOpen();
        desk.expectLeft("3 of 3 regions left");
    }

    /** The sheet stays open as it is meanwhile: same page, same tool, same zoom. */
    @Test
    void aDamIsDrawnByHandAndUndone() {
        DeskPage desk = open(BOX);
        Page page = desk.page();
        page.evaluate("() => (window.isStillHere = true)");
        desk.take("Coat");
        desk.press("t");
        desk.sweep(new At(1500, 330), new At(1510, 1000), new At(1500, 1670));
        desk.expectLeft("3 of 3 regions left");
        assertThat(page.locator("#tool-dam")).hasAttribute("aria-pressed", "true");
        desk.press("Escape");
        desk.click(800, 1000);
        assertThat(desk.shown(800, 1000)).isEqualTo(COAT);
        assertThat(desk.shown(2200, 1000)).isEqualTo(PAPER);
        desk.expectSaved();
        desk.press("Control+z");
        desk.press("Control+z");
        desk.expectLeft("2 of 2 regions left");
        desk.press("Control+y");
        desk.expectLeft("3 of 3 regions left");
        assertThat(page.evaluate("() => window.isStillHere")).isEqualTo(true);
    }

    /** From the middle of the box up to its edge, from there straight down to the other. */
    @Test
    void aDamIsDrawnByKeysAlone() {
        DeskPage desk = open(BOX);
        Page page = desk.page();
        page.locator("#sheet").focus();
        desk.press("t");
        double middle = desk.onScreen(1500, 1000).y();
        double top = desk.onScreen(1500, 330).y();
        double bottom = desk.onScreen(1500, 1670).y();
        press(desk, "ArrowUp", (middle - top) / WALK_PX);
        desk.press("Enter");
        press(desk, "ArrowDown", (bottom - top) / WALK_PX);
        desk.press("Enter");
        desk.expectLeft("3 of 3 regions left");
        desk.press("Escape");
        desk.press("Control+z");
        desk.expectLeft("2 of 2 regions left");
    }

    private static void press(DeskPage desk, String key, double times) {
        for (int i = 0; i < (int) times; i++) {
            desk.press(key);
        }
    }

    /** What is undone is what was done last, stored or not; and a fill on a part that is not stored yet gets there. */
    @Test
    void whatFollowsADamAtOnceFollowsIt() {
        DeskPage desk = open(BOX);
        desk.take("Coat");
        desk.click(800, 1000);
        desk.press("t");
        desk.sweep(new At(1300, 900), new At(1700, 1000));
        assertThat(desk.page().locator("#dam-loose-said")).containsText("parts nothing");
        desk.page().locator("#dam-leave").click();
        assertThat(desk.page().locator("#dam-loose")).isHidden();
        assertThat(desk.page().locator("#said")).hasText("Nothing was changed");
        desk.sweep(new At(1500, 330), new At(1510, 1000), new At(1500, 1670));
        desk.press("Control+z");
        assertThat(desk.page().locator("#said")).containsText("Undone: Drew a dam");
        desk.expectLeft("1 of 2 regions left");
        assertThat(desk.shown(2200, 1000)).as("the fill before the dam stays").isEqualTo(COAT);
        desk.sweep(new At(1500, 330), new At(1510, 1000), new At(1500, 1670));
        desk.expectLeft("1 of 3 regions left");
        assertThat(desk.page().locator("#said")).hasText("Drew a dam");
        desk.press("Escape");
        desk.take("Scarf");
        desk.click(2200, 1000);
        desk.expectSaved();
        desk.page().reload();
        desk.waitUntilOpen();
        desk.expectLeft("1 of 3 regions left");
        assertThat(desk.shown(800, 1000)).isEqualTo(COAT);
        assertThat(desk.shown(2200, 1000)).isNotEqualTo(COAT).isNotEqualTo(PAPER);
    }

    /** A long dam is asked about however likely it is; what somebody has said is not asked again. */
    @Test
    void aLongDamIsInDoubtUntilSomebodyHasSaid() {
        DeskPage desk = open("<path d='M260 100H200V300H400V100H340' fill='none' stroke='#000' stroke-width='6'/>");
        Page page = desk.page();
        Locator doubtful = page.locator("#gaps-doubtful span");
        assertThat(doubtful).hasText("1");
        desk.press("j");
        desk.press("d");
        assertThat(doubtful).hasText("0");
        desk.expectLeft("2 of 2 regions left");
        desk.expectSaved();
        page.reload();
        desk.waitUntilOpen();
        assertThat(doubtful).hasText("0");
        assertThat(page.locator("#gaps-dammed span")).hasText("1");
    }

    /** A stroke that is no border is crossed out for filling; the ink stays. */
    @Test
    void regionsOnBothSidesOfAStrokeAreJoined() {
        DeskPage desk = open("""
                <g fill="none" stroke="#000" stroke-width="6">
                  <rect x="60" y="60" width="480" height="280"/><path d="M300 63V337"/>
                </g>""");
        desk.expectLeft("3 of 3 regions left");
        desk.take("Coat");
        desk.press("t");
        desk.page().keyboard().down("Alt");
        desk.sweep(new At(1350, 1000), new At(1650, 1000));
        desk.page().keyboard().up("Alt");
        desk.expectLeft("2 of 2 regions left");
        desk.press("Escape");
        desk.click(800, 1000);
        assertThat(desk.shown(2200, 1000)).isEqualTo(COAT);
        desk.expectSaved();
        assertThat(desk.export("Sheet as PNG").getRGB(1500, 1000) & 0xffffff).isZero();
    }

    @Test
    void aGapIsClosedInInkOnRequest() {
        DeskPage desk = open("""
                <g fill="none" stroke="#000" stroke-width="6">
                  <path d="M290 100H240V300H360V100H314"/>
                </g>""");
        int onTheGap = desk.export("Sheet as PNG").getRGB(1510, 500) & 0xffffff;
        assertThat(onTheGap).isEqualTo(PAPER);
        desk.page().locator("#gaps-dammed").click();
        desk.press("j");
        desk.press("i");
        desk.expectSaved();
        assertThat(desk.export("Sheet as PNG").getRGB(1510, 500) & 0xffffff).isZero();
        desk.press("Control+z");
        desk.expectSaved();
        assertThat(desk.export("Sheet as PNG").getRGB(1510, 500) & 0xffffff).isEqualTo(PAPER);
    }

    /** Escape leaves it from within a field, and nothing was changed; the second time it is done. */
    @Test
    void whatIsGatheredIsDividedEvenlyByDams() {
        DeskPage desk = open(BOX);
        Page page = desk.page();
        desk.press("f");
        desk.click(1500, 1000);
        for (boolean isMeant : new boolean[] {false, true}) {
            page.locator("#gather-more").click();
            page.locator("#gather-menu").getByText("Divide evenly").click();
            page.locator("#evenly-kind").selectOption("STRIPS");
            page.locator("#evenly-parts").fill("3");
            page.locator("#evenly-parts").press(isMeant ? "Enter" : "Escape");
            assertThat(page.locator("#evenly")).isHidden();
            desk.expectLeft(isMeant ? "4 of 4 regions left" : "2 of 2 regions left");
        }
        desk.press("f");
        desk.press("Escape");
        desk.take("Coat");
        desk.click(1500, 1000);
        assertThat(desk.shown(1500, 1000)).isEqualTo(COAT);
        assertThat(desk.shown(500, 1000)).isEqualTo(PAPER);
        assertThat(desk.shown(2500, 1000)).isEqualTo(PAPER);
        desk.expectSaved();
    }

    /** A hole beside a fill is offered with it; the offer goes when something else is begun. */
    @Test
    void emptyPocketsBesideAFillAreOffered() {
        DeskPage desk = open("""
                <g fill="none" stroke="#000" stroke-width="6">
                  <rect x="60" y="60" width="480" height="280"/><circle cx="200" cy="200" r="12"/>
                </g>""");
        Page page = desk.page();
        desk.take("Coat");
        desk.click(1500, 1000);
        assertThat(page.locator("#pockets")).containsText("Fill 1 empty pocket beside it too");
        desk.press("t");
        assertThat(page.locator("#pockets")).isHidden();
        desk.press("t");
        desk.take("Scarf");
        desk.click(1500, 1000);
        assertThat(page.locator("#pockets")).isVisible();
        desk.press("p");
        assertThat(page.locator("#pockets")).isHidden();
        assertThat(desk.shown(1000, 1000)).isEqualTo(SCARF);
        desk.expectLeft("1 of 3 regions left");
        desk.expectSaved();
    }

    /** The desk joins regions by itself, so that reach moves live; the server must come to the same ones. */
    @Test
    void deskAndServerAgreeAboutRegions() {
        Sheet sheet = work.bringToDesk(Drawings.svg("""
                <g fill="none" stroke="#000" stroke-width="5">
                  <path d="M40 40H560V90M560 110V360H40V200M40 180V40"/>
                  <path d="M150 43V150M150 170V357M260 43V340M370 60V357M370 200H470M490 200H557"/>
                </g>"""));
        Page page = browser.signIn(pond, work.person());
        page.navigate(pond.url() + work.address(sheet));
        DeskPage desk = DeskPage.inUnits(page).waitUntilOpen();
        Random random = new Random(7);
        for (int step = 0; step < 12; step++) {
            desk.pointAt(200 + random.nextInt(2600), 200 + random.nextInt(1600));
            desk.press(random.nextBoolean() ? "w" : "q");
            desk.expectSaved();
            int regions = work.regions(sheet);
            desk.expectLeft(regions + " of " + regions + " regions left");
        }
    }

    private DeskPage open(String drawing) {
        Sheet sheet = work.bringToDesk(Drawings.svg(drawing));
        Page page = browser.signIn(pond, work.person());
        page.navigate(pond.url() + work.address(sheet));
        return DeskPage.inUnits(page).waitUntilOpen();
    }
}
