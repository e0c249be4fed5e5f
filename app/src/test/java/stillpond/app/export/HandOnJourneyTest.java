package stillpond.app.export;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Base64;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import stillpond.app.sheet.Sheet;
import stillpond.app.support.Browser;
import stillpond.app.support.Drawings;
import stillpond.app.support.TestPond;
import stillpond.app.support.Visitor;
import stillpond.app.support.Work;

class HandOnJourneyTest {

    private Browser browser;

    private final TestPond pond = TestPond.shared();
    private final Work work = Work.begin(pond);
    private final Sheet sheet = work.bringSmall(Drawings.threeBoxes());

    @BeforeEach
    void open() {
        browser = new Browser();
    }

    @AfterEach
    void close() {
        browser.close();
    }

    @Test
    void aBrowserDrawsTheShapesAsTheFlatsAreButAlongBorders() throws IOException {
        work.lay(sheet, work.coat().id(), 50, 100);
        work.lay(sheet, work.scarf().id(), 150, 100);
        Visitor visitor = Visitor.signedIn(pond, work.person());
        byte[] svg = visitor.download(work.address(sheet) + "/export/shapes.svg");
        BufferedImage whole = visitor.picture(work.address(sheet) + "/export/composed.png");
        Page page = browser.newPage();
        page.setContent("<body style='margin:0'><img style='display:block' src='data:image/svg+xml;base64,"
                + Base64.getEncoder().encodeToString(svg) + "'>");
        BufferedImage drawn =
                ImageIO.read(new ByteArrayInputStream(page.locator("img").screenshot()));
        assertThat(drawn.getWidth()).isEqualTo(whole.getWidth());
        int even = 0;
        for (int y = 2; y < whole.getHeight() - 2; y++) {
            for (int x = 2; x < whole.getWidth() - 2; x++) {
                if (isEven(whole, x, y)) {
                    even++;
                    assertThat(drawn.getRGB(x, y)).as("at %d, %d", x, y).isEqualTo(whole.getRGB(x, y));
                }
            }
        }
        assertThat(even).as("most of it is even").isGreaterThan(whole.getWidth() * whole.getHeight() / 2);
    }

    /** Whether all around within two pixels it is of one colour. */
    private static boolean isEven(BufferedImage picture, int x, int y) {
        for (int dy = -2; dy <= 2; dy++) {
            for (int dx = -2; dx <= 2; dx++) {
                if (picture.getRGB(x + dx, y + dy) != picture.getRGB(x, y)) {
                    return false;
                }
            }
        }
        return true;
    }

    @Test
    void aProjectIsTakenAsAFileAndBroughtInOnTheShelf() {
        work.lay(sheet, work.coat().id(), 50, 100);
        Page page = browser.signIn(pond, work.person());
        page.navigate(pond.url() + "/projects/" + work.project() + "/hand-on");
        Download taken =
                page.waitForDownload(() -> page.getByText("Take the project").click());
        assertThat(taken.suggestedFilename()).endsWith(".zip");
        Path file = taken.path();

        page.navigate(pond.url());
        page.setInputFiles("input[type=file]", file);
        page.waitForURL("**/projects/*");
        assertThat(page.url()).doesNotContain(work.project().toString());
        assertThat(page.getByText("boxes").first()).isVisible();
        page.navigate(pond.url());
        assertThat(page.locator(".book-title")).hasCount(2);

        page.setInputFiles("input[type=file]", Path.of("pom.xml"));
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("no project file");
    }

    @Test
    void aColourIsCutFromTheLedgerOfTheDeskAndWatched() {
        work.lay(sheet, work.coat().id(), 50, 100);
        Page page = browser.signIn(pond, work.person());
        page.navigate(pond.url() + work.address(sheet));
        page.locator("#ledger-button").click();
        Locator row = page.locator("#ledger-rows li").filter(new Locator.FilterOptions().setHasText("Coat"));
        row.hover();
        row.getByText("Cut").click();
        assertThat(page.locator("#cut-groups input:checked[name=group]")).hasValue("Juniper, Coat");
        page.getByText("Send to the cutter").click();
        page.getByText("Watch it").click();
        assertThat(page.locator("#device-jobs")).containsText("cutter, done");
        assertThat(page.locator("#device-jobs")).containsText("1 piece");
    }
}
