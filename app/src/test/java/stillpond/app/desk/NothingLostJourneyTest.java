package stillpond.app.desk;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.BoundingBox;
import java.nio.charset.StandardCharsets;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Consumer;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.jdbc.core.simple.JdbcClient;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.Sheets;
import stillpond.app.support.Browser;
import stillpond.app.support.DeskPage;
import stillpond.app.support.Drawings;
import stillpond.app.support.TestPond;
import stillpond.app.support.Work;

/** What the desk shows as filled reaches the server or is said not to have, whatever answers on the way. */
class NothingLostJourneyTest {

    private static final TestPond POND = TestPond.shared();
    private static final Work WORK = Work.begin(POND);
    private static Browser browser;
    private static Page page;

    private Sheet sheet;
    private DeskPage desk;
    /** What becomes of changes on their way. */
    private Consumer<Route> onTheWay = Route::resume;

    @BeforeAll
    static void signIn() {
        browser = new Browser();
        page = browser.signIn(POND, WORK.person());
        page.navigate(POND.url());
    }

    @BeforeEach
    void openASheet() {
        page.unrouteAll();
        page.route("**/changes", route -> onTheWay.accept(route));
        page.evaluate("localStorage.clear()");
        sheet = WORK.bringToDesk(lineArt());
        page.navigate(POND.url() + WORK.address(sheet));
        desk = DeskPage.inUnits(page).waitUntilOpen();
        desk.take("Coat");
    }

    @AfterAll
    static void closeTheBrowser() {
        browser.close();
    }

    @ParameterizedTest
    @ValueSource(ints = {400, 404, 413, 429})
    void aRefusalThatNamesNoChangeIsWaitedOut(int status) {
        AtomicInteger refusals = new AtomicInteger();
        onTheWay = route -> {
            if (refusals.getAndIncrement() == 0) {
                route.fulfill(new Route.FulfillOptions().setStatus(status).setBody("no"));
            } else {
                route.resume();
            }
        };
        desk.click(500, 1000);
        desk.expectSaved();
        desk.expectLeft("3 of 4 regions left");
        assertThat(refusals.get()).isGreaterThan(1);
        assertThat(filled()).isEqualTo(1);
    }

    @Test
    void withTheStorageFullTheWorkIsSentAndWhileItCannotBeThatIsSaid() {
        page.evaluate("""
                () => {
                  let text = "x".repeat(1 << 20);
                  for (let i = 0; text.length > 0; i++) {
                    try {
                      localStorage.setItem("filler" + i, text);
                    } catch {
                      text = text.slice(0, text.length / 2);
                    }
                  }
                }""");
        onTheWay = Route::abort;
        desk.click(500, 1000);
        assertThat(page.locator("#delivery")).hasText("Server away, 1 change only in this window");
        assertThat(page.locator("#notice")).containsText("storage is full");
        onTheWay = Route::resume;
        desk.expectSaved();
        assertThat(filled()).isEqualTo(1);
    }

    @Test
    void whoeverIsNoLongerAMemberIsToldAndKeepsWhatWaits() {
        POND.bean(JdbcClient.class)
                .sql("delete from member where project_id = ?")
                .param(WORK.project())
                .update();
        desk.click(500, 1000);
        assertThat(page.locator("#delivery")).hasText("No longer let in, 1 change kept here");
        assertThat(page.locator("#notice")).containsText("no longer a member");
        assertThat(filled()).isZero();
        POND.bean(JdbcClient.class)
                .sql("insert into member (project_id, account_id, role) values (?, ?, 'LEAD')")
                .params(WORK.project(), WORK.account())
                .update();
        desk.expectSaved();
        assertThat(filled()).isEqualTo(1);
    }

    @Test
    void aLockedGroupKeepsItsFillsBeforeAnythingIsPainted() {
        desk.click(500, 1000);
        desk.expectSaved();
        page.locator("#ledger-button").click();
        page.locator("#groups-each").click();
        page.locator(".group-row .group-act", new Page.LocatorOptions().setHasText("Lock"))
                .click();
        assertThat(page.locator(".group-row .group-act", new Page.LocatorOptions().setHasText("Unlock")))
                .isVisible();
        desk.take("Scarf");
        desk.click(500, 1000);
        assertThat(page.locator("#notice")).containsText("is locked. Unlock it in the ledger to fill it.");
        assertThat(page.locator("#said")).not().containsText("Filled");
        desk.press("f");
        desk.click(500, 1000);
        desk.click(1500, 1000);
        page.locator("#gather-fill").click();
        assertThat(page.locator("#gathered-count")).hasText("2 regions gathered");
        BoundingBox bar = page.locator("#gathered").boundingBox();
        assertThat(page.locator("#notice").boundingBox().y)
                .as("why it was refused can be read")
                .isGreaterThanOrEqualTo(bar.y + bar.height);
        assertThat(page.locator("#said")).not().containsText("Filled");
        desk.expectSaved();
        assertThat(POND.bean(Sheets.class).get(WORK.project(), sheet.id()).revision())
                .isEqualTo(1);
    }

    /** Three boxes; of each drawing a project takes only one copy. */
    private static byte[] lineArt() {
        String drawn = new String(Drawings.threeBoxes(), StandardCharsets.UTF_8);
        return (drawn + "<!-- " + UUID.randomUUID() + " -->").getBytes(StandardCharsets.UTF_8);
    }

    private int filled() {
        return POND.bean(Sheets.class).fills(sheet.layer()).filled().size();
    }
}
