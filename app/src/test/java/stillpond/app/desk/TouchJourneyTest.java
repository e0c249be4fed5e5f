package stillpond.app.desk;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.google.gson.JsonArray;
import com.google.gson.JsonObject;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import stillpond.app.support.Browser;
import stillpond.app.support.DeskPage;
import stillpond.app.support.Drawings;
import stillpond.app.support.TestPond;
import stillpond.app.support.Work;

/** Fingers on the sheet. */
class TouchJourneyTest {

    private final TestPond pond = TestPond.shared();
    private final Work work = Work.begin(pond);
    private final Browser browser = new Browser();
    private Page page;
    private DeskPage desk;
    private CDPSession fingers;

    private record Finger(double x, double y) {}

    @BeforeEach
    void open() {
        desk = DeskPage.open(browser, work, work.bringToDesk(Drawings.threeBoxes()));
        page = desk.page();
        fingers = page.context().newCDPSession(page);
        desk.take("Coat");
        page.locator("#gaps-button").click();
        assertThat(page.locator("#gaps")).isHidden();
        // The sheet has its new size with the frame after the next.
        page.evaluate("() => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done)))");
    }

    @AfterEach
    void close() {
        assertThat(browser.complaints()).isEmpty();
        browser.close();
    }

    private void touch(String what, Finger... at) {
        JsonArray points = new JsonArray();
        for (int i = 0; i < at.length; i++) {
            JsonObject point = new JsonObject();
            point.addProperty("x", at[i].x());
            point.addProperty("y", at[i].y());
            point.addProperty("id", i);
            points.add(point);
        }
        JsonObject event = new JsonObject();
        event.addProperty("type", what);
        event.add("touchPoints", points);
        fingers.send("Input.dispatchTouchEvent", event);
    }

    /** Down and up in the browser itself: on a busy machine a finger that waits for an answer in between is one that is held still. */
    private void tap(Finger at) {
        JsonObject gesture = new JsonObject();
        gesture.addProperty("x", at.x());
        gesture.addProperty("y", at.y());
        gesture.addProperty("duration", 30);
        gesture.addProperty("gestureSourceType", "touch");
        fingers.send("Input.synthesizeTapGesture", gesture);
    }

    private Finger onSheet(double x, double y) {
        DeskPage.At at = desk.onScreen(x, y);
        return new Finger(at.x(), at.y());
    }

    private int zoom() {
        return Integer.parseInt(page.locator("#zoom").textContent().replaceAll("\\D", ""));
    }

    @Test
    void aTapFillsAndTwoFingersOnlyMoveTheSheet() {
        tap(onSheet(500, 1000));
        desk.expectLeft("3 of 4 regions left");
        int before = zoom();
        Finger left = onSheet(1400, 1000);
        Finger right = onSheet(1600, 1000);
        touch("touchStart", left);
        touch("touchStart", left, right);
        for (int step = 1; step <= 8; step++) {
            touch("touchMove", new Finger(left.x() - 6 * step, left.y()), new Finger(right.x() + 6 * step, right.y()));
        }
        touch("touchEnd");
        page.waitForCondition(() -> zoom() > before);
        desk.expectLeft("3 of 4 regions left");
        desk.expectSaved();
    }

    @Test
    void aFingerHeldStillOffersWhatIsLikelyHereAndTakesIt() {
        touch("touchStart", onSheet(1500, 1000));
        assertThat(page.locator("#handful")).isVisible();
        String likely = page.locator("#handful button").first().getAttribute("title");
        BoundingBox first = page.locator("#handful button").first().boundingBox();
        Finger over = new Finger(first.x + first.width / 2, first.y + first.height / 2);
        touch("touchMove", over);
        touch("touchEnd");
        assertThat(page.locator("#handful")).isHidden();
        assertThat(page.locator("#present .held-name")).hasText(likely);
        desk.expectLeft("4 of 4 regions left");
    }

    @Test
    void aPebbleIsDraggedOntoARegionByAFinger() {
        BoundingBox scarf = page.locator(".pebble", new Page.LocatorOptions().setHasText("Scarf"))
                .boundingBox();
        Finger from = new Finger(scarf.x + scarf.width / 2, scarf.y + scarf.height / 2);
        Finger to = onSheet(2500, 1000);
        touch("touchStart", from);
        for (int step = 1; step <= 8; step++) {
            touch(
                    "touchMove",
                    new Finger(from.x() + (to.x() - from.x()) * step / 8, from.y() + (to.y() - from.y()) * step / 8));
        }
        touch("touchEnd");
        desk.expectLeft("3 of 4 regions left");
        assertThat(desk.shown(2500, 1000)).isEqualTo(0xd2603f);
        assertThat(page.locator("#present")).containsText("Coat");
    }
}
