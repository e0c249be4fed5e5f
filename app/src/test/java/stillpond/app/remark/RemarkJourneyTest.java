package stillpond.app.remark;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import stillpond.app.support.Browser;
import stillpond.app.support.DeskPage;
import stillpond.app.support.Drawings;
import stillpond.app.support.TestPond;
import stillpond.app.support.Work;

/** Remarks on the desk, by keys alone but for what is typed. */
class RemarkJourneyTest {

    private final TestPond pond = TestPond.shared();
    private final Work work = Work.begin(pond);
    private final Browser browser = new Browser();

    @AfterEach
    void close() {
        assertThat(browser.complaints()).isEmpty();
        browser.close();
    }

    @Test
    void aPlaceIsPointedAtSpokenOfGoneToAndDone() {
        DeskPage desk = DeskPage.open(browser, work, work.bringToDesk(Drawings.threeBoxes()));
        Page page = desk.page();
        Locator pins = page.locator("#pins button");

        desk.pointAt(100, 200);
        desk.press("Shift+N");
        page.locator("#remark-new textarea").fill("Darker, please");
        page.locator("#remark-new button.strong").click();
        assertThat(pins).hasCount(1);
        assertThat(page.locator("#remarks-count")).hasText("1");

        desk.pointAt(500, 200);
        desk.press("Shift+N");
        page.locator("#remark-new textarea").fill("And this one");
        page.locator("#remark-new button.strong").click();
        assertThat(pins).hasCount(2);

        page.locator("#sheet").focus();
        desk.press("PageDown");
        assertThat(page.locator("#remark-rows li").first()).hasClass(Pattern.compile("is-gone-to"));
        desk.press("PageDown");
        assertThat(page.locator("#remark-rows li").nth(1)).hasClass(Pattern.compile("is-gone-to"));
        desk.press("PageUp");
        assertThat(page.locator("#said")).containsText("Remark 1: Darker, please");

        page.locator("#remark-rows li")
                .first()
                .getByText("Done", new Locator.GetByTextOptions().setExact(true))
                .click();
        assertThat(pins).hasCount(1);
        assertThat(page.locator("#remarks-count")).hasText("1");
    }
}
