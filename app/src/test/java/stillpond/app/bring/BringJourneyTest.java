package stillpond.app.bring;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import stillpond.app.support.Browser;
import stillpond.app.support.Drawings;
import stillpond.app.support.TestPond;
import stillpond.app.support.Work;

/** Bringing several files at once, in the browser. */
class BringJourneyTest {

    private final TestPond pond = TestPond.shared();
    private final Work work = Work.begin(pond);
    private Browser browser;
    private Page page;

    @BeforeEach
    void openThePage() {
        browser = new Browser();
        page = browser.signIn(pond, work.person());
        page.navigate(pond.url() + "/projects/" + work.project() + "/bring");
    }

    @AfterEach
    void close() {
        assertThat(browser.complaints()).isEmpty();
        browser.close();
    }

    /** They come in the order of their names, whatever order they were chosen in, and each of the bad ones says what is wrong. */
    @Test
    void fiveFilesOfWhichTwoAreBad() {
        byte[] boxes = Drawings.threeBoxes();
        page.setInputFiles("#files", new FilePayload[] {
            file("page 10.svg", drawing(10)),
            file("page 2.svg", drawing(2)),
            file("notes.png", "low tide at six".getBytes(StandardCharsets.UTF_8)),
            file("page 1.svg", boxes),
            file("torn.svg", Arrays.copyOf(boxes, boxes.length - 20)),
        });
        assertThat(page.locator(".brought-state", new Page.LocatorOptions().setHasText("regions")))
                .hasCount(3);
        assertThat(page.locator(".brought li.is-refused")).hasCount(2);
        assertThat(page.locator(".brought-name"))
                .hasText(new String[] {"notes.png", "page 1.svg", "page 2.svg", "page 10.svg", "torn.svg"});
        assertThat(page.locator(".brought li").first()).containsText("not a picture");
        assertThat(page.locator(".brought li").last()).containsText("well-formed");
        page.locator("#done").click();
        assertThat(page.locator(".tile-title")).hasText(new String[] {"page 1", "page 2", "page 10"});
    }

    @Test
    void aHundredAndOneFilesAreTooMany() {
        page.setInputFiles(
                "#files",
                IntStream.range(0, 101)
                        .mapToObj(i -> file(i + ".svg", drawing(i)))
                        .toArray(FilePayload[]::new));
        assertThat(page.locator(".brought li"))
                .hasText(
                        "101 filesNot taken: up to 100 can be brought in at a time." + " None was sent; choose fewer.");
        page.locator("#done").click();
        assertThat(page.locator(".tile-title")).hasCount(0);
    }

    @Test
    void aVectorDrawingIsDrawnAsLongAsAsked() {
        page.locator("#vector").fill("900");
        page.setInputFiles("#files", file("boxes.svg", Drawings.threeBoxes()));
        assertThat(page.locator(".brought-state")).containsText("900 × 600 px");
    }

    private static byte[] drawing(int i) {
        return Drawings.svg(
                "<circle cx='" + (60 + 2 * i) + "' cy='200' r='50' fill='none' stroke='#000' stroke-width='6'/>");
    }

    private static FilePayload file(String name, byte[] content) {
        return new FilePayload(name, "application/octet-stream", content);
    }
}
