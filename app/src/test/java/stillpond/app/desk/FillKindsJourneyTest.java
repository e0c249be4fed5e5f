package stillpond.app.desk;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import java.awt.image.BufferedImage;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import stillpond.app.check.SheetFindings;
import stillpond.app.palette.Palettes;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.WornSwatches;
import stillpond.app.support.Browser;
import stillpond.app.support.DeskPage;
import stillpond.app.support.DeskPage.At;
import stillpond.app.support.Drawings;
import stillpond.app.support.TestPond;
import stillpond.app.support.Work;
import stillpond.core.check.Finding;
import stillpond.core.colour.Oklab;
import stillpond.core.colour.Srgb;
import stillpond.core.palette.Paint;
import stillpond.core.palette.PaletteEdit;

/** Gradients, patterns and opacity. Places are pixels of the sheet, 3000 x 2000. */
class FillKindsJourneyTest {

    private static final int COAT = 0x2f6f5e;
    private static final int SCARF = 0xd2603f;

    private final TestPond pond = TestPond.shared();
    private final Work work = Work.begin(pond);
    private final Browser browser = new Browser();
    private Sheet sheet;
    private Page page;
    private DeskPage desk;

    /** Two boxes side by side. */
    @BeforeEach
    void open() {
        sheet = work.bringToDesk(Drawings.svg("""
                <g fill="none" stroke="#000" stroke-width="6">
                  <path d="M40 60H280V340H40ZM340 60H560V340H340Z"/>
                </g>"""));
        desk = DeskPage.open(browser, work, sheet);
        page = desk.page();
        desk.expectLeft("3 of 3 regions left");
    }

    @AfterEach
    void close() {
        assertThat(browser.complaints()).isEmpty();
        browser.close();
    }

    @Test
    void oneGradientRunsAcrossTwoRegionsIsMovedOnTheSheetAndFollowsItsSwatches() {
        desk.take("Scarf");
        desk.take("Coat");
        desk.pointAt(800, 1000);
        desk.press("Shift+X");
        desk.click(2200, 1000);
        assertThat(page.locator("#kinds-lay")).hasText("Lay on 2 regions");
        page.locator("#kinds-add").click();
        page.locator("#kinds-drop").click();
        page.locator("#kinds-lay").click();
        desk.expectSaved();
        desk.expectLeft("1 of 3 regions left");

        BufferedImage flats = desk.export("Flats as PNG");
        assertThat(near(flats.getRGB(800, 320), 0x2f6f5e)).isTrue();
        assertThat(near(flats.getRGB(2200, 1690), 0xd2603f)).isTrue();
        for (At place : List.of(new At(700, 500), new At(800, 1000), new At(2200, 1300), new At(2300, 1600))) {
            int there = flats.getRGB((int) place.x(), (int) place.y());
            assertThat(near(desk.shown(place.x(), place.y()), there))
                    .as("the desk shows at %s what is exported", place)
                    .isTrue();
        }

        desk.pointAt(800, 1000);
        desk.press("Shift+X");
        assertThat(page.locator("#kinds-lay")).hasText("Lay on 2 regions");
        drag(page.locator(".span-handle.is-start"), 0, 160);
        page.locator("#kinds-lay").click();
        desk.expectSaved();
        assertThat(near(desk.export("Flats as PNG").getRGB(800, 500), 0x2f6f5e))
                .as("the first colour now reaches further down")
                .isTrue();

        page.locator("#ledger-button").click();
        assertThat(page.locator("#ledger-rows")).containsText("Coat to Scarf");
        edit(new PaletteEdit.Change(work.coat().painted(new Paint.Process(Srgb.ofHex("#103080")))));
        page.reload();
        desk.waitUntilOpen();
        assertThat(near(desk.export("Flats as PNG").getRGB(800, 500), 0x103080)).isTrue();
    }

    @Test
    void aPatternOfOnesOwnIsSeenInTheExportAndABadOneIsRefused() {
        desk.take("Scarf");
        desk.take("Coat");
        desk.pointAt(800, 1000);
        desk.press("Shift+X");
        page.locator("[data-kind=pattern]").click();
        page.locator("#kinds-file").setInputFiles(file("wide.svg", "viewBox='0 0 8 4'", ""));
        assertThat(page.locator("#kinds-said")).containsText("square");
        page.locator("#kinds-file")
                .setInputFiles(file("halves.svg", "viewBox='0 0 8 8'", "<rect x='2' width='3' height='8'/>"));
        assertThat(page.locator(".kinds-motif[aria-pressed=true]")).hasAttribute("title", "halves");
        page.locator("#kinds-size").fill("130");
        page.locator("#kinds-opacity").fill("50");
        page.locator("#kinds-lay").click();
        desk.expectSaved();
        BufferedImage flats = desk.export("Flats as PNG");
        // The pattern starts at the corner of the box's cell, which lies somewhere in the ink around 200, 300.
        int[] row = flats.getRGB(260, 1000, 1100, 1, null, 0, 1100);
        int coats = 0;
        int scarves = 0;
        for (int argb : row) {
            assertThat(argb >>> 24).isEqualTo(128);
            coats += near(argb, 0x2f6f5e) ? 1 : 0;
            scarves += near(argb, 0xd2603f) ? 1 : 0;
        }
        assertThat(scarves / (double) (coats + scarves)).isBetween(0.3, 0.45);
        assertThat(coats + scarves).isGreaterThan(1080);
        desk.press("Control+z");
        desk.expectLeft("3 of 3 regions left");

        desk.pointAt(800, 1000);
        desk.press("Shift+X");
        page.locator("[data-kind=pattern]").click();
        page.locator(".kinds-motif[title=halves]").click();
        page.locator("#kinds-stretch").click();
        page.locator("#kinds-mirrored").check();
        page.locator("#kinds-lay").click();
        desk.expectSaved();
        BufferedImage stretched = desk.export("Flats as PNG");
        assertThat(near(stretched.getRGB(550, 1000), 0x2f6f5e))
                .as("3/8 of the width begin later")
                .isTrue();
        assertThat(near(stretched.getRGB(900, 1000), 0xd2603f)).isTrue();
        assertThat(near(stretched.getRGB(1250, 1000), 0x2f6f5e)).isTrue();
    }

    @Test
    void aGradientKeptOnACardIsWornLikeASwatchAndChangedForAllItsUses() {
        desk.take("Scarf");
        desk.take("Coat");
        desk.pointAt(800, 1000);
        desk.press("Shift+X");
        page.locator("#kinds-name").fill("Dusk");
        page.locator("#kinds-keep-it").click();
        assertThat(page.locator("#kinds")).isHidden();
        desk.expectSaved();
        desk.take("Dusk");
        desk.click(2200, 1000);
        desk.expectSaved();
        BufferedImage both = desk.export("Flats as PNG");
        assertThat(near(both.getRGB(800, 305), COAT))
                .as("down through the first box")
                .isTrue();
        assertThat(near(both.getRGB(2200, 305), COAT))
                .as("and through the second")
                .isTrue();
        assertThat(near(both.getRGB(2200, 1695), SCARF)).isTrue();

        desk.pointAt(2200, 1000);
        desk.press("Shift+X");
        assertThat(page.locator("#kinds-kept-name")).hasText("Dusk");
        page.locator("#kinds-turn").click();
        page.locator("#kinds-everywhere").click();
        assertThat(page.locator("#kinds")).isHidden();
        desk.expectSaved();
        BufferedImage turned = desk.export("Flats as PNG");
        assertThat(near(turned.getRGB(800, 305), SCARF)).isTrue();
        assertThat(near(turned.getRGB(2200, 305), SCARF)).isTrue();
        desk.press("Control+z");
        desk.expectSaved();
        BufferedImage back = desk.export("Flats as PNG");
        assertThat(near(back.getRGB(800, 305), COAT)).isTrue();
        assertThat(near(back.getRGB(2200, 305), COAT)).isTrue();
    }

    @Test
    void aStopThatLosesItsSwatchIsFoundAndGetsAnother() {
        desk.take("Scarf");
        desk.take("Coat");
        desk.pointAt(800, 1000);
        desk.press("Shift+X");
        page.locator("#kinds-lay").click();
        desk.expectSaved();
        assertThat(pond.bean(WornSwatches.class).where(List.of(work.scarf().id())))
                .extracting(WornSwatches.Worn::regions)
                .containsExactly(1L);

        edit(new PaletteEdit.Remove(work.scarf().id()));
        assertThat(lostStops()).hasSize(1);
        page.reload();
        desk.waitUntilOpen();
        page.locator("#check-button").click();
        Locator found =
                page.locator("#check-rows li").filter(new Locator.FilterOptions().setHasText("lost its swatch"));
        found.getByText("Choose another swatch").click();
        page.locator(".kinds-track .kinds-stone").last().click();
        desk.take("Coat");
        page.locator("#kinds-lay").click();
        desk.expectSaved();
        assertThat(lostStops()).isEmpty();
    }

    @Test
    void aPalerToneOfASwatchIsTakenByKeysAndFollowsIt() {
        desk.take("Coat");
        for (int i = 0; i < 3; i++) {
            desk.press("Shift+Comma");
        }
        assertThat(page.locator("#present .held-name")).hasText("Coat at 70 %");
        desk.click(800, 1000);
        desk.expectSaved();
        int coat = lightness(0x2f6f5e);
        assertThat(lightness(desk.export("Flats as PNG").getRGB(800, 1000)))
                .isBetween((7 * coat + 300) / 10 - 2, (7 * coat + 300) / 10 + 2);

        edit(new PaletteEdit.Change(work.coat().painted(new Paint.Process(Srgb.ofHex("#8a4a7a")))));
        int plum = lightness(0x8a4a7a);
        BufferedImage flats = desk.export("Flats as PNG");
        assertThat(lightness(flats.getRGB(800, 1000))).isBetween((7 * plum + 300) / 10 - 2, (7 * plum + 300) / 10 + 2);
        assertThat(flats.getRGB(800, 1000) >>> 24).isEqualTo(255);
        page.waitForCondition(() -> near(desk.shown(800, 1000), flats.getRGB(800, 1000)));
    }

    /** In hundredths of OKLab. */
    private static int lightness(int rgb) {
        return (int) Math.round(100 * Oklab.of(Srgb.ofPacked(rgb & 0xffffff)).lightness());
    }

    private void edit(PaletteEdit edit) {
        pond.bean(Palettes.class).change(work.project(), work.account(), List.of(edit));
    }

    private List<Finding> lostStops() {
        return pond.bean(SheetFindings.class).of(work.project(), sheet.id()).stream()
                .map(SheetFindings.Found::finding)
                .filter(Finding.LostStop.class::isInstance)
                .toList();
    }

    private void drag(Locator handle, double dx, double dy) {
        BoundingBox box = handle.boundingBox();
        double x = box.x + box.width / 2;
        double y = box.y + box.height / 2;
        page.mouse().move(x, y);
        page.mouse().down();
        page.mouse().move(x + dx, y + dy);
        page.mouse().up();
    }

    private static FilePayload file(String name, String box, String shapes) {
        String svg = "<svg xmlns='http://www.w3.org/2000/svg' " + box + ">" + shapes + "</svg>";
        return new FilePayload(name, "image/svg+xml", svg.getBytes(StandardCharsets.UTF_8));
    }

    /** As near as rounding in two places allows, or as a few rows of a gradient make. */
    private static boolean near(int argb, int rgb) {
        int most = 0;
        for (int shift = 0; shift <= 16; shift += 8) {
            most = Math.max(most, Math.abs((argb >> shift & 0xff) - (rgb >> shift & 0xff)));
        }
        return most <= 6;
    }
}
