package stillpond.app.demo;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import stillpond.app.support.Browser;
import stillpond.app.support.DeskPage;
import stillpond.app.support.TestPond;

class DemoTest {

    private static final Path AXE = Path.of("src/main/web/node_modules/axe-core/axe.min.js");

    private static TestPond pond;
    private static Browser browser;

    @BeforeAll
    static void open() {
        pond = TestPond.startWithDemo();
        browser = new Browser();
    }

    @AfterAll
    static void close() {
        browser.close();
        pond.close();
    }

    @Test
    void oneClickLeadsToABookWithSheetsPartlyLaid() {
        Page page = enter();
        page.getByText("The Tide Post").click();
        assertThat(page.locator(".tile img").count()).isGreaterThanOrEqualTo(3);
        assertThat(page.locator(".cast-card h3").allTextContents())
                .anyMatch(name -> name.contains("Juniper"))
                .anyMatch(name -> name.contains("Bram"));
        page.locator(".tile-title").getByText("The crossing").click();
        new DeskPage(page).waitUntilOpen();
        assertThat(page.locator("#left").textContent()).matches("[1-9]\\d* of \\d+ regions left");
        assertThat(browser.complaints()).isEmpty();
    }

    @Test
    void startingAgainLoadsItOnlyOnce() {
        long sheets = pond.count("sheet");
        pond.down();
        pond.up();
        assertThat(pond.count("sheet")).isEqualTo(sheets);
        assertThat(pond.count("account")).isEqualTo(2);
    }

    /** WCAG 2.2 A and AA as axe-core checks them. */
    @Test
    void noPageHasASeriousAccessibilityFault() throws Exception {
        Page page = enter();
        String axe = Files.readString(AXE);
        assertAccessible(page, axe);
        page.getByText("The Tide Post").click();
        assertAccessible(page, axe);
        String project = page.url();
        page.navigate(project + "/bring");
        assertAccessible(page, axe);
        page.navigate(project);
        page.locator(".tile-title").getByText("The crossing").click();
        new DeskPage(page).waitUntilOpen();
        assertAccessible(page, axe);
        page.keyboard().press("?");
        assertAccessible(page, axe);
        page.context().clearCookies();
        page.navigate(pond.url() + "/sign-in");
        assertAccessible(page, axe);
    }

    private static Page enter() {
        Page page = browser.newPage();
        page.context().clearCookies();
        page.navigate(pond.url());
        page.getByText("Enter as the colourist").click();
        page.waitForURL(pond.url() + "/");
        return page;
    }

    @SuppressWarnings("unchecked")
    private static void assertAccessible(Page page, String axe) {
        page.evaluate(axe);
        List<Map<String, Object>> violations = (List<Map<String, Object>>) page.evaluate("""
                () => axe.run({ runOnly: ["wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa"] }).then((found) =>
                  found.violations
                    .filter((each) => ["serious", "critical"].includes(each.impact))
                    .map((each) => ({ id: each.id, where: each.nodes.map((node) => node.html).join(" | ") })))""");
        assertThat(violations).as(page.url()).isEmpty();
    }
}
