package stillpond.app.blockin;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.fail;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import stillpond.app.support.Browser;
import stillpond.app.support.DeskPage;
import stillpond.app.support.DeskPage.At;
import stillpond.app.support.Drawings;
import stillpond.app.support.TestPond;
import stillpond.app.support.Work;
import stillpond.core.colour.Oklch;
import stillpond.core.colour.Srgb;

/** Sheets without line art, from a picture and from nothing, as a hand makes them. The page is 900 x 600 pixels. */
class BlockInJourneyTest {

    private static final int COAT = 0x2f6f5e;
    private static final int SCARF = 0xd2603f;
    /** Bands and a sun, from the top down. */
    private static final List<Integer> PICTURE =
            List.of(0x9cc4dd, 0xe9dcc0, 0x7f9aa3, 0x5b7a4a, 0xc9ae86, 0x6f4a30, 0xe9b44c);

    private final TestPond pond = TestPond.shared();
    private final Work work = Work.begin(pond);
    private Browser browser;
    private Page page;
    private DeskPage desk;

    @BeforeEach
    void signIn() {
        browser = new Browser();
        page = browser.signIn(pond, work.person());
    }

    @AfterEach
    void close() {
        assertThat(browser.complaints().stream().filter(text -> !text.contains("net::ERR_")))
                .isEmpty();
        browser.close();
    }

    private void begin(boolean withPicture) {
        page.navigate(pond.url() + "/projects/" + work.project() + "/block-in");
        page.locator("input[name=title]").fill("The marsh");
        page.getByText("of its own").click();
        page.locator("input[name=widthMm]").fill("114.3");
        page.locator("input[name=heightMm]").fill("76.2");
        if (withPicture) {
            page.locator("input[name=file]").setInputFiles(new FilePayload("marsh.png", "image/png", picture()));
        }
        page.getByText("Begin").click();
        desk = new DeskPage(page).waitUntilOpen();
    }

    private static byte[] picture() {
        return Drawings.png(300, 200, pen -> {
            for (int band = 0; band < 6; band++) {
                paint(pen, band).fillRect(0, 34 * band, 300, 34);
            }
            paint(pen, 6).fillOval(200, 5, 60, 60);
        });
    }

    private static Graphics2D paint(Graphics2D pen, int colour) {
        pen.setColor(new Color(PICTURE.get(colour)));
        return pen;
    }

    private void mode(String name) {
        page.locator("label.shape-mode").getByText(name).click();
    }

    @Test
    void fromAPictureToFlats() {
        begin(true);
        int pebbles =
                page.locator("#cards .pebble[data-fill]:not([data-fill=none])").count();
        desk.press("Shift+C");
        page.locator("#sampling-over").selectOption("reference");
        page.locator("#sampling-card").selectOption("Juniper");
        for (int y : List.of(40, 160, 260, 360, 470)) {
            desk.click(120, y);
            page.locator("[data-sampled=card]").click();
            pebbles++;
            assertThat(page.locator("#cards .pebble[data-fill]:not([data-fill=none])"))
                    .hasCount(pebbles);
        }

        // The shore will show the cards that are worn here: these two stay in the hand.
        desk.take("Scarf");
        desk.take("Coat");
        desk.press("Shift+B");
        page.locator("#shapes summary").getByText("Suggest shapes").click();
        page.locator("#suggest-count").fill("7");
        page.locator("#suggest").click();
        assertThat(page.locator(".suggested-take")).hasCount(7);
        for (int left = 6; left > 0; left--) {
            page.locator(".suggested-take").first().click();
            assertThat(page.locator(".suggested-take")).hasCount(left);
        }
        desk.expectSaved();
        page.locator("#reference-hide").click();
        desk.expectSaved();

        mode("Points");
        for (At at : List.of(new At(100, 300), new At(260, 300), new At(260, 395), new At(100, 395))) {
            desk.click(at.x(), at.y());
        }
        desk.press("Enter");
        assertThat(desk.shown(180, 350)).isEqualTo(COAT);
        desk.press("o");
        page.locator("#shape-under").check();
        mode("Ellipse");
        desk.sweep(new At(200, 320), new At(420, 380));
        assertThat(desk.shown(230, 350)).as("tucked under").isEqualTo(COAT);
        desk.expectSaved();

        mode("Choose");
        desk.click(180, 350);
        page.locator("#shape-edge").fill("8");
        page.locator("#shape-edge").blur();
        desk.expectSaved();
        desk.press("Shift+S");
        desk.sweep(new At(110, 340), new At(250, 340), new At(250, 390), new At(110, 390));
        desk.expectSaved();
        assertThat(desk.shown(180, 370)).as("in shadow").isNotEqualTo(COAT);

        BufferedImage flats = desk.export("Flats as PNG");
        Set<Integer> colours = new HashSet<>(PICTURE);
        colours.addAll(Set.of(COAT, SCARF));
        assertThat(worn(flats)).isSubsetOf(colours).contains(COAT);
        assertNothingBetween(flats);
        BufferedImage composed = desk.export("Sheet as PNG");
        assertThat(composed.getRGB(100, 350) & 0xffffff).as("outline").isZero();
        assertThat(composed.getRGB(180, 370) & 0xffffff).as("shadow").isNotEqualTo(COAT);
    }

    private static Set<Integer> worn(BufferedImage flats) {
        Set<Integer> worn = new HashSet<>();
        for (int y = 0; y < flats.getHeight(); y++) {
            for (int x = 0; x < flats.getWidth(); x++) {
                if (flats.getRGB(x, y) >>> 24 != 0) {
                    worn.add(flats.getRGB(x, y) & 0xffffff);
                }
            }
        }
        return worn;
    }

    /** No pixel or two are clear between two that are not. */
    private static void assertNothingBetween(BufferedImage flats) {
        for (int y = 1; y + 1 < flats.getHeight(); y++) {
            for (int x = 1; x + 2 < flats.getWidth(); x++) {
                boolean isClear = flats.getRGB(x, y) >>> 24 == 0;
                boolean isAcross = flats.getRGB(x - 1, y) >>> 24 != 0 && flats.getRGB(x + 2, y) >>> 24 != 0;
                boolean isUpright = flats.getRGB(x, y - 1) >>> 24 != 0 && flats.getRGB(x, y + 1) >>> 24 != 0;
                if (isClear && (isAcross || isUpright)) {
                    fail("A hairline at " + x + ", " + y);
                }
            }
        }
    }

    @Test
    void aDiscInTwelveHues() {
        begin(false);
        desk.take("Coat");
        desk.press("Shift+B");
        mode("Ellipse");
        desk.sweep(new At(220, 70), new At(680, 530));
        mode("Divide");
        desk.sweep(new At(200, 300), new At(700, 300));
        for (int i = 1; i < 12; i++) {
            double x = Math.cos(i * Math.PI / 6);
            double y = Math.sin(i * Math.PI / 6);
            double ends = i == 5 ? 70 : 3;
            if (i != 6) {
                desk.sweep(new At(450 + 245 * x, 300 + 245 * y), new At(450 + ends * x, 300 + ends * y));
            }
        }
        desk.expectSaved();
        assertThat(page.locator("#shapes-loose-said")).hasText("1 end of a line meets nothing");
        page.locator("[data-shape-act=extend]").click();
        assertThat(page.locator("#shapes-loose")).isHidden();
        desk.expectSaved();

        mode("Choose");
        desk.sweep(new At(190, 40), new At(710, 40), new At(710, 560), new At(190, 560));
        assertThat(page.locator("#shapes-said")).hasText("12 shapes in the hand");
        page.locator("[data-shape-act=ramp]").click();
        page.locator("#ramp-kind").selectOption("hues");
        page.locator("#ramp-order").selectOption("around");
        page.locator("#ramp-lay").click();
        assertThat(page.locator("#ramp")).isHidden();
        desk.expectSaved();

        BufferedImage flats = desk.export("Flats as PNG");
        assertThat(worn(flats)).hasSize(12);
        Oklch first = hue(flats, 0);
        for (int i = 1; i < 12; i++) {
            Oklch hue = hue(flats, i);
            assertThat(hue.lightness()).isCloseTo(first.lightness(), within(0.006));
            assertThat(hue.chroma()).isCloseTo(first.chroma(), within(0.006));
            double turn = (hue.hue() - first.hue() - 30 * i + 1080 + 180) % 360 - 180;
            assertThat(turn).as("step %d", i).isCloseTo(0, within(4.0));
        }
    }

    @Test
    void undoInTheMiddleOfADragTakesBackWhatWasBeforeAndLosesNothing() {
        begin(false);
        desk.press("Shift+B");
        mode("Ellipse");
        desk.sweep(new At(220, 70), new At(420, 270));
        desk.expectSaved();
        mode("Choose");
        desk.click(320, 170);
        assertThat(page.locator("#shapes-said")).hasText("1 shape in the hand");
        desk.press("Shift+ArrowRight");
        desk.expectSaved();

        At middle = desk.onScreen(330, 170);
        page.mouse().move(middle.x(), middle.y());
        page.mouse().down();
        page.mouse().move(middle.x() + 10, middle.y() + 10);
        desk.press("Control+z");
        page.mouse().move(middle.x() + 40, middle.y() + 20);
        page.mouse().up();
        desk.expectSaved();
        assertThat(page.locator("#notice")).isHidden();
        String shown = knots();

        page.reload();
        desk.waitUntilOpen();
        desk.press("Shift+B");
        mode("Choose");
        desk.click(340, 180);
        assertThat(page.locator("#shapes-said")).hasText("1 shape in the hand");
        assertThat(knots()).as("as it was left").isEqualTo(shown);
    }

    /** Where the points of the shape in the hand are shown. */
    private String knots() {
        page.waitForSelector(".knot:not([hidden])");
        return page.locator(".knot:not([hidden])").all().stream()
                .map(knot -> knot.getAttribute("style"))
                .toList()
                .toString();
    }

    /** Of the parts clockwise from the top. */
    private static Oklch hue(BufferedImage flats, int part) {
        double angle = (15 + 30 * part - 90) * Math.PI / 180;
        int x = (int) Math.round(450 + 150 * Math.cos(angle));
        int y = (int) Math.round(300 + 150 * Math.sin(angle));
        return Oklch.of(Srgb.ofPacked(flats.getRGB(x, y) & 0xffffff));
    }
}
