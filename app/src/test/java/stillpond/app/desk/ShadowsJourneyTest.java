package stillpond.app.desk;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import java.awt.image.BufferedImage;
import java.util.ArrayList;
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

/** A page is finished after its flats: its lines, its shadows, a rim. Places are given as if it were 3000 x 2000. */
class ShadowsJourneyTest {

    private static final int COAT = 0x2f6f5e;
    private static final int SCARF = 0xd2603f;
    private static final int PLUM = 0x8a4a7a;
    private static final int WHITE = 0xffffff;

    /** In the left box, in the lower and in the upper half of it. */
    private static final At LOW = new At(600, 1400);

    private static final At HIGH = new At(600, 500);
    /** In the lower half of the right box. */
    private static final At BESIDE = new At(1400, 1400);
    /** The wall between the boxes. */
    private static final At WALL = new At(1000, 700);

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
    }

    @AfterEach
    void close() {
        assertThat(browser.complaints()).isEmpty();
        browser.close();
    }

    @Test
    void linesAndAShadowFollowASwatchAndALightAndAreTakenBackStepByStepAfterARestart() {
        page.locator("#tool-line").click();
        page.locator("#lines-amount").fill("20");
        page.locator("#lines-darker").click();
        assertThat(page.locator("#said")).hasText("1 stroke darker than beside");
        desk.expectSaved();
        page.locator("#tool-shadow").click();
        desk.sweep(new At(120, 1000), new At(1100, 1000), new At(1100, 1850), new At(120, 1850), new At(120, 1030));
        assertThat(page.locator("#shadows-title")).hasText("Shadow");
        desk.expectSaved();

        BufferedImage first = desk.export("Sheet as PNG");
        assertLightness(at(first, LOW), lightness(COAT) - 0.18);
        assertThat(at(first, HIGH)).isEqualTo(COAT);
        assertThat(at(first, BESIDE)).as("it sticks out of its base").isEqualTo(SCARF);
        assertLightness(at(first, WALL), lightness(COAT) - 0.2);
        expectShown(LOW, at(first, LOW));

        desk.take("Scarf");
        openShadow();
        page.locator("#shadow-wear").click();
        assertThat(page.locator("#shadow-worn")).hasText("Scarf");
        desk.expectSaved();
        assertNear(exported(LOW), multiplied(COAT, SCARF));
        openShadow();
        page.locator("#shadow-strength").fill("50");
        desk.expectSaved();
        assertNear(exported(LOW), half(COAT, multiplied(COAT, SCARF)));

        pond.bean(Palettes.class)
                .change(
                        work.project(),
                        work.account(),
                        List.of(new PaletteEdit.Change(work.coat().painted(new Paint.Process(Srgb.ofPacked(PLUM))))));
        BufferedImage plum = desk.export("Sheet as PNG");
        assertNear(at(plum, LOW), half(PLUM, multiplied(PLUM, SCARF)));
        assertThat(at(plum, HIGH)).isEqualTo(PLUM);
        expectShown(LOW, at(plum, LOW));

        UUID night = UUID.randomUUID();
        Light light = new Light("Night", LightRule.ofText("multiply #808080 100 0 0 0 0"), Map.of(), Map.of());
        pond.bean(Stagings.class)
                .change(
                        work.project(),
                        work.account(),
                        "Made night",
                        staging -> staging.with(night, light).lighting(work.scene(), new Staging.Choice.Named(night)));
        int litPlum = multiplied(PLUM, 0x808080);
        int litScarf = multiplied(SCARF, 0x808080);
        int lit = exported(LOW);
        assertNear(lit, half(litPlum, multiplied(litPlum, litScarf)));
        expectShown(LOW, lit);

        String open = page.url();
        page.navigate("about:blank");
        pond.down();
        pond.up();
        page.navigate(open);
        desk.waitUntilOpen();
        page.keyboard().press("Control+z");
        desk.expectSaved();
        assertNear(exported(LOW), half(PLUM, multiplied(PLUM, SCARF)));
        page.keyboard().press("Control+z");
        desk.expectSaved();
        assertNear(exported(LOW), half(COAT, multiplied(COAT, SCARF)));
        page.keyboard().press("Control+z");
        desk.expectSaved();
        assertNear(exported(LOW), multiplied(COAT, SCARF));
        expectShown(LOW, exported(LOW));
        page.keyboard().press("Control+z");
        desk.expectSaved();
        assertLightness(exported(LOW), lightness(COAT) - 0.18);
        page.keyboard().press("Control+z");
        desk.expectSaved();
        assertThat(exported(LOW)).isEqualTo(COAT);
        expectShown(LOW, COAT);
        page.keyboard().press("Control+z");
        desk.expectSaved();
        assertThat(exported(WALL)).isZero();
    }

    @Test
    void aShapeIsDrawnPointByPointAndItsPointsAreMovedAndDropped() {
        page.locator("#tool-shadow").click();
        desk.click(300, 900);
        desk.click(900, 900);
        desk.click(900, 1600);
        assertThat(page.locator("#said")).hasText("Enter, or a click on the first point, closes the shape");
        desk.click(300, 1600);
        desk.click(250, 400);
        desk.press("Backspace");
        desk.press("Enter");
        assertThat(page.locator(".knot")).hasCount(4);
        desk.expectSaved();
        int shaded = exported(LOW);
        assertThat(shaded).isNotEqualTo(COAT);
        assertThat(exported(HIGH)).isEqualTo(COAT);

        openShadow();
        page.locator(".knot").nth(0).focus();
        for (int i = 0; i < 3; i++) {
            page.keyboard().press("Shift+ArrowUp");
        }
        desk.expectSaved();
        List<Route> kept = new ArrayList<>();
        page.route("**/shadows", route -> {
            if (route.request().method().equals("POST")) {
                kept.add(route);
            } else {
                route.resume();
            }
        });
        // Only a page that is loaded after its calls began to be looked at has all of them looked at.
        page.reload();
        desk.waitUntilOpen();
        openShadow();
        page.locator(".knot").nth(0).focus();
        page.keyboard().press("c");
        assertThat(page.locator(".knot.is-corner")).hasCount(1);
        page.waitForCondition(() -> !kept.isEmpty());
        page.locator(".knot").nth(1).focus();
        page.keyboard().press("Delete");
        assertThat(page.locator(".knot")).hasCount(3);
        kept.get(0).resume();
        page.waitForCondition(() -> kept.size() > 1);
        assertThat(page.locator(".knot")).hasCount(3);
        page.unroute("**/shadows");
        kept.subList(1, kept.size()).forEach(Route::resume);
        desk.expectSaved();
        page.locator(".knot").nth(2).focus();
        page.keyboard().press("c");
        assertThat(page.locator(".knot.is-corner")).hasCount(2);
        desk.click(300, 1250);
        assertThat(page.locator(".knot")).hasCount(4);
        desk.expectSaved();
        assertThat(exported(new At(860, 950))).as("where the dropped point was").isEqualTo(COAT);

        int lower = exported(new At(850, 1500));
        page.locator("#tool-dam").click();
        desk.sweep(new At(150, 1300), new At(1050, 1300));
        desk.expectSaved();
        expectShown(new At(850, 1500), lower);
        expectShown(HIGH, COAT);
        assertThat(exported(new At(850, 1500))).as("below a dam").isEqualTo(lower);
        desk.press("Control+z");
        desk.expectSaved();

        openShadow();
        page.locator("#shadow-remove").click();
        assertThat(page.locator(".knot")).hasCount(0);
        desk.expectSaved();
        assertThat(exported(LOW)).isEqualTo(COAT);
        desk.press("Control+z");
        desk.expectSaved();
        expectShown(LOW, shaded);
    }

    @Test
    void aStripOnOneSideAndARimAreLaidOnWhatIsGathered() {
        page.locator("#tool-shadow").click();
        page.keyboard().down("Control");
        desk.click(600, 1000);
        page.keyboard().up("Control");
        assertThat(page.locator("#shadow-base")).hasValue("gathered");
        page.locator("#shadow-more summary").click();
        // In pixels of the sheet: a hundred units.
        page.locator("#shadow-width").fill("30");
        page.locator("[data-side='0']").click();
        page.locator("#shadow-strip").click();
        assertThat(page.locator("#shadows-title")).hasText("Shadow");
        desk.expectSaved();
        BufferedImage strip = desk.export("Sheet as PNG");
        assertLightness(at(strip, new At(930, 1000)), lightness(COAT) - 0.18);
        assertThat(at(strip, new At(840, 1000))).isEqualTo(COAT);
        assertThat(at(strip, new At(260, 1000))).isEqualTo(COAT);

        openShadow();
        page.locator("#shadow-close").click();
        page.locator("#shadow-scope").selectOption("sheet");
        page.locator("#shadow-weaker").click();
        desk.expectSaved();
        assertThat(page.locator(".shadow-row")).containsText("90 %");

        desk.take("Scarf");
        page.locator("#shadow-base").selectOption("laid");
        page.locator("#shadow-width").fill("12");
        page.locator("#shadow-rim").click();
        assertThat(page.locator("#shadows-title")).hasText("Rim");
        desk.expectSaved();
        BufferedImage rim = desk.export("Sheet as PNG");
        assertThat(at(rim, new At(160, 1000))).isEqualTo(SCARF);
        assertThat(at(rim, new At(120, 1000))).isEqualTo(WHITE);
        assertThat(at(rim, new At(600, 1000))).isEqualTo(COAT);
        expectShown(new At(160, 1000), SCARF);
    }

    /** Whoever exports lets go of it. */
    private void openShadow() {
        if (!page.locator("#shadows").isVisible()) {
            page.locator("#tool-shadow").click();
        }
        page.locator(".shadow-row").first().click();
        assertThat(page.locator("#shadows-title")).hasText("Shadow");
    }

    private void expectShown(At at, int colour) {
        page.waitForCondition(() -> near(desk.shown(at.x(), at.y()), colour, 1));
    }

    private int exported(At at) {
        return at(desk.export("Sheet as PNG"), at);
    }

    private static int at(BufferedImage picture, At at) {
        return picture.getRGB((int) at.x(), (int) at.y()) & 0xffffff;
    }

    /** W3C Compositing and Blending: B(cb, cs) = cb x cs. */
    private static int multiplied(int backdrop, int source) {
        int red = (backdrop >> 16 & 0xff) * (source >> 16 & 0xff) / 255;
        int green = (backdrop >> 8 & 0xff) * (source >> 8 & 0xff) / 255;
        return red << 16 | green << 8 | (backdrop & 0xff) * (source & 0xff) / 255;
    }

    private static int half(int first, int second) {
        return (first >> 1 & 0x7f7f7f) + (second >> 1 & 0x7f7f7f);
    }

    private static void assertNear(int colour, int expected) {
        assertThat(near(colour, expected, 3))
                .as("%06x, expected %06x", colour, expected)
                .isTrue();
    }

    private static boolean near(int colour, int expected, int most) {
        for (int shift = 0; shift <= 16; shift += 8) {
            if (Math.abs((colour >> shift & 0xff) - (expected >> shift & 0xff)) > most) {
                return false;
            }
        }
        return true;
    }

    private static void assertLightness(int colour, double expected) {
        assertThat(lightness(colour)).isBetween(expected - 0.012, expected + 0.012);
    }

    private static double lightness(int colour) {
        return Oklab.of(Srgb.ofPacked(colour)).lightness();
    }
}
