package stillpond.app.live;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CopyOnWriteArrayList;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import stillpond.app.palette.Palettes;
import stillpond.app.palette.Stagings;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.UndoableChanges;
import stillpond.app.support.Browser;
import stillpond.app.support.DeskPage;
import stillpond.app.support.TestPond;
import stillpond.app.support.Visitor;
import stillpond.app.support.Work;
import stillpond.core.colour.Srgb;
import stillpond.core.palette.Staging;
import stillpond.core.palette.Wardrobe;

/** Two people on one sheet, each on a node of the application of their own over one database. */
class TwoNodesJourneyTest {

    /** Not the shared one: it is stopped and started again. */
    private static final TestPond HERE = TestPond.start();

    private static final Work WORK = Work.begin(HERE);
    private static final String OTHER = WORK.colourist();
    private static final int CARMINE = 0xb01030;
    private static TestPond there;
    private static Browser ours;
    private static Browser theirs;

    @BeforeAll
    static void startTheOtherNode() {
        there = HERE.anotherNode();
        ours = new Browser();
        theirs = new Browser();
    }

    @AfterAll
    static void stopIt() {
        theirs.close();
        ours.close();
        there.close();
        HERE.close();
    }

    @Test
    void whatOneDoesTheOtherSeesWithoutAskingAndWhatOneDidIsNotFetchedBack() {
        Sheet sheet = WORK.bringToDesk(twoBoxes());
        Page mine = ours.signIn(HERE, WORK.person());
        mine.navigate(HERE.url() + WORK.address(sheet));
        DeskPage desk = DeskPage.inUnits(mine).waitUntilOpen();
        Page another = theirs.signIn(there, OTHER);
        another.navigate(there.url() + WORK.address(sheet));
        DeskPage seen = DeskPage.inUnits(another).waitUntilOpen();
        assertThat(mine.locator("#company")).hasText("With " + OTHER);
        assertThat(another.locator("#company")).hasText("With " + WORK.person());
        Page mySecondWindow = mine.context().newPage();
        mySecondWindow.navigate(HERE.url() + WORK.address(sheet));
        assertThat(mySecondWindow.locator("#company")).hasText("With " + OTHER);
        assertThat(mine.locator("#company")).hasText("With " + OTHER);
        mySecondWindow.close();

        List<String> fetchedBack = new CopyOnWriteArrayList<>();
        mine.onRequest(request -> {
            if (request.method().equals("GET") && request.url().contains("/sheets/")) {
                fetchedBack.add(request.url());
            }
        });
        desk.take("Coat");
        desk.click(750, 750);
        seen.expectLeft("2 of 3 regions left");
        assertThat(another.locator("#stones > span")).hasText(WORK.person().substring(0, 1));
        assertThat(fetchedBack).isEmpty();

        desk.press("t");
        desk.sweep(new DeskPage.At(1500, 400), new DeskPage.At(1505, 1100));
        desk.expectLeft("2 of 4 regions left");
        seen.expectLeft("2 of 4 regions left");
        desk.press("Escape");

        Visitor visitor = Visitor.signedIn(HERE, WORK.person());
        another.locator("#ledger-button").click();
        visitor.post(
                WORK.address(sheet) + "/groups", "{\"act\":\"MAKE\",\"name\":\"By the door\",\"cells\":[0],\"by\":0}");
        assertThat(another.locator("#groups input")).hasValue("By the door");

        visitor.post(
                "/projects/" + WORK.project() + "/palette/changes",
                "[{\"kind\":\"CHANGE\",\"swatch\":\"" + WORK.coat().id() + "\",\"name\":\"Old coat\"}]");
        assertThat(another.locator(".pebble").filter(new Locator.FilterOptions().setHasText("Old coat")))
                .hasCount(1);

        another.keyboard().press("Escape");
        another.navigate(there.url() + "/");
        assertThat(mine.locator("#company")).isHidden();
    }

    /** Every kind of change is seen by another on another node, and taken back by its author in one step: after a reload, after a restart, and out of its turn. */
    @Test
    void everyKindOfChangeIsSeenThereAndIsOneStepToTakeBack() {
        Work work = Work.begin(HERE);
        String other = work.colourist();
        Sheet sheet = work.bringToDesk(twoBoxesAndAFaintLine());
        UUID card = HERE.bean(Palettes.class)
                .of(work.project())
                .cardOf(work.coat().id())
                .orElseThrow()
                .id();
        Wardrobe storm = new Wardrobe(
                UUID.randomUUID(), card, "Storm", Map.of(work.coat().id(), new Srgb(0xb0, 0x10, 0x30)));
        HERE.bean(Stagings.class)
                .begin(
                        work.project(),
                        staging ->
                                staging.with(storm).dressing(work.scene(), card, new Staging.Choice.Named(storm.id())));
        try (Browser our = new Browser();
                Browser their = new Browser()) {
            Page mine = our.signIn(HERE, work.person());
            mine.navigate(HERE.url() + work.address(sheet));
            DeskPage desk = DeskPage.inUnits(mine).waitUntilOpen();
            Page another = their.signIn(there, other);
            another.navigate(there.url() + work.address(sheet));
            DeskPage seen = DeskPage.inUnits(another).waitUntilOpen();
            another.evaluate("window.neverReloaded = true");
            another.locator("#ledger-button").click();
            Locator groups = another.locator("#groups input");
            Visitor elsewhere = Visitor.signedIn(HERE, work.person());
            String project = "/projects/" + work.project();

            desk.take("Coat");
            desk.click(750, 750);
            seen.expectLeft("3 of 4 regions left");
            shows(another, seen, CARMINE);
            elsewhere.submit(project + "/cards/" + card + "/wardrobes/" + storm.id() + "/remove");
            shows(another, seen, 0x2f6f5e);
            elsewhere.submit(
                    project + "/lights", "name", "Dusk", "scene", work.scene().toString(), "use", "true");
            assertThat(another.locator("#light-name")).hasText("Dusk");
            elsewhere.post(
                    work.address(sheet) + "/groups",
                    "{\"act\":\"MAKE\",\"name\":\"By the door\",\"cells\":[0],\"by\":0}");
            assertThat(groups).hasValue("By the door");
            elsewhere.post(
                    project + "/palette/changes",
                    "[{\"kind\":\"CHANGE\",\"swatch\":\"" + work.coat().id() + "\",\"name\":\"Old coat\"}]");
            assertThat(pebbles(another, "Old coat")).hasCount(1);
            desk.press("t");
            desk.sweep(new DeskPage.At(1500, 400), new DeskPage.At(1505, 1100));
            seen.expectLeft("3 of 5 regions left");
            desk.press("Escape");
            elsewhere.post(work.address(sheet) + "/ink", "{\"threshold\":200}");
            seen.expectLeft("2 of 4 regions left");

            mine.reload();
            desk.waitUntilOpen();
            desk.press("Control+z");
            seen.expectLeft("3 of 5 regions left");
            desk.press("Control+z");
            seen.expectLeft("3 of 4 regions left");
            HERE.down();
            HERE.up();
            mine.reload();
            desk.waitUntilOpen();
            desk.press("Control+z");
            assertThat(pebbles(another, "Old coat")).hasCount(0);
            assertThat(pebbles(another, "Coat")).hasCount(1);
            UUID fill = HERE.bean(UndoableChanges.class)
                    .of(work.project(), work.account(), sheet.id(), 10)
                    .changes()
                    .undoable()
                    .get(3)
                    .id();
            elsewhere.submit(
                    project + "/compare/moments/" + fill + "/take-back",
                    "sheet",
                    sheet.id().toString());
            seen.expectLeft("4 of 4 regions left");
            desk.expectLeft("4 of 4 regions left");
            desk.press("Control+z");
            assertThat(groups).hasCount(0);
            desk.press("Control+z");
            assertThat(another.locator("#light")).isHidden();
            desk.press("Control+Shift+z");
            assertThat(another.locator("#light-name")).hasText("Dusk");
            desk.press("Control+z");
            assertThat(another.locator("#light")).isHidden();
            desk.press("Control+z");
            assertThat(mine.locator("#said")).containsText("Removed a wardrobe");
            desk.click(750, 750);
            seen.expectLeft("3 of 4 regions left");
            shows(another, seen, CARMINE);
            assertThat((Boolean) another.evaluate("window.neverReloaded === true"))
                    .isTrue();
        }
    }

    private static Locator pebbles(Page page, String name) {
        return page.locator(".pebble").filter(new Locator.FilterOptions().setHasText(name));
    }

    private static void shows(Page page, DeskPage desk, int colour) {
        page.waitForCondition(() -> desk.shown(500, 750) == colour);
    }

    /** Cut with a high threshold, the faint line is no ink. */
    private static byte[] twoBoxesAndAFaintLine() {
        return new String(twoBoxes(), StandardCharsets.UTF_8)
                .replace("</g>", "</g><path d=\"M600 500V700\" stroke=\"#777\" stroke-width=\"8\"/>")
                .getBytes(StandardCharsets.UTF_8);
    }

    private static byte[] twoBoxes() {
        return """
                <svg xmlns="http://www.w3.org/2000/svg" width="1200" height="800" viewBox="0 0 1200 800">
                  <rect width="1200" height="800" fill="white"/>
                  <g fill="none" stroke="black" stroke-width="8">
                    <rect x="150" y="200" width="900" height="200"/>
                    <rect x="150" y="500" width="900" height="200"/>
                  </g>
                </svg>""".getBytes(StandardCharsets.UTF_8);
    }
}
