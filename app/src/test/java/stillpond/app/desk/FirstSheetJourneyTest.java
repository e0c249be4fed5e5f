package stillpond.app.desk;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import com.microsoft.playwright.options.ReducedMotion;
import java.awt.image.BufferedImage;
import java.util.Arrays;
import org.junit.jupiter.api.Test;
import stillpond.app.support.Browser;
import stillpond.app.support.DeskPage;
import stillpond.app.support.DeskPage.At;
import stillpond.app.support.Drawings;
import stillpond.app.support.TestPond;
import stillpond.app.support.Work;

/** From line art to flats, with the server going away for good measure. */
class FirstSheetJourneyTest {

    private static final int COAT = 0x2f6f5e;
    private static final int SCARF = 0xd2603f;
    private static final int INK = 0x000000;

    @Test
    void lineArtInRegionsFilledFlatsOut() {
        TestPond pond = TestPond.shared();
        try (Browser browser = new Browser()) {
            Work work = Work.begin(pond);
            Page page = browser.newPage();
            // With the ripples that other journeys do without.
            page.emulateMedia(new Page.EmulateMediaOptions().setReducedMotion(ReducedMotion.NO_PREFERENCE));
            signIn(page, pond, work);
            bringIn(page);
            DeskPage desk = openOnDesk(page);

            desk.expectLeft("4 of 4 regions left");
            desk.take("Coat");
            desk.click(500, 1000);
            desk.take("Scarf");
            desk.click(1500, 1000);
            desk.expectLeft("2 of 4 regions left");
            assertThat(desk.shown(500, 1000)).isEqualTo(COAT);
            assertThat(desk.shown(1500, 1000)).isEqualTo(SCARF);
            desk.press("Control+z");
            desk.expectLeft("3 of 4 regions left");
            desk.expectSaved();

            pond.down();
            pond.up();
            page.reload();
            desk.waitUntilOpen();
            assertThat(desk.shown(500, 1000)).isEqualTo(COAT);
            desk.expectLeft("3 of 4 regions left");
            desk.press("Control+y");
            desk.expectLeft("2 of 4 regions left");
            desk.take("Coat");
            desk.sweep(new At(1500, 1000), new At(2500, 1000));
            desk.expectLeft("Every region is filled");
            desk.press("Control+z");
            desk.expectLeft("2 of 4 regions left");
            desk.expectSaved();

            assertFlats(desk.export("Flats as PNG"));
            assertComposed(desk.export("Sheet as PNG"));
            // While the application is down, the browser tells that nobody answers.
            assertThat(browser.complaints().stream().filter(text -> !text.contains("net::ERR_")))
                    .isEmpty();
        }
    }

    private static void signIn(Page page, TestPond pond, Work work) {
        page.navigate(pond.url());
        page.getByLabel("Name").fill(work.person());
        page.getByLabel("Password").fill("not the word");
        page.getByText("Sign in").last().click();
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("do not belong together");
        page.getByLabel("Name").fill(work.person());
        page.getByLabel("Password").fill(TestPond.PASSWORD);
        page.getByText("Sign in").last().click();
        page.getByText("Test book").click();
    }

    private static void bringIn(Page page) {
        page.getByText("Bring in line art").click();
        page.locator("#files").setInputFiles(new FilePayload[] {
            new FilePayload("b broken.png", "image/png", "no picture".getBytes()),
            new FilePayload("a boxes.svg", "image/svg+xml", Drawings.threeBoxes())
        });
        assertThat(page.locator(".brought li").first()).containsText("3000 × 2000 px, 4 regions");
        assertThat(page.locator(".brought li").last()).containsText("Not taken: The file is not a picture");
    }

    private static DeskPage openOnDesk(Page page) {
        page.getByText("Open on the desk").click();
        return new DeskPage(page).waitUntilOpen();
    }

    /** The middle of each box and of the page, and the ink between, which the nearer side runs under. */
    private static void assertFlats(BufferedImage flats) {
        assertThat(flats.getWidth()).isEqualTo(3000);
        assertThat(flats.getHeight()).isEqualTo(2000);
        assertThat(flats.getRGB(500, 1000)).isEqualTo(0xff000000 | COAT);
        assertThat(flats.getRGB(1500, 1000)).isEqualTo(0xff000000 | SCARF);
        assertThat(flats.getRGB(2500, 1000)).isZero();
        assertThat(flats.getRGB(1500, 150)).isZero();
        // The stroke of the first box covers columns 185 to 214; its inner half belongs to the box.
        assertThat(flats.getRGB(205, 1000)).isEqualTo(0xff000000 | COAT);
        assertThat(flats.getRGB(195, 1000)).isZero();
        int[] colours = flats.getRGB(0, 0, 3000, 2000, null, 0, 3000);
        assertThat(Arrays.stream(colours).distinct().sorted())
                .containsExactlyInAnyOrder(0, 0xff000000 | COAT, 0xff000000 | SCARF);
    }

    private static void assertComposed(BufferedImage composed) {
        assertThat(composed.getRGB(500, 1000)).isEqualTo(0xff000000 | COAT);
        assertThat(composed.getRGB(200, 1000)).isEqualTo(0xff000000 | INK);
        assertThat(composed.getRGB(2500, 1000)).isEqualTo(0xffffffff);
    }
}
