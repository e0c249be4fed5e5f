package stillpond.app.live;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import stillpond.app.sheet.Sheet;
import stillpond.app.support.Browser;
import stillpond.app.support.DeskPage;
import stillpond.app.support.TestPond;
import stillpond.app.support.Visitor;
import stillpond.app.support.Work;

/** Two people on one sheet, each on a node of the application of their own over one database. */
class TwoNodesJourneyTest {

    private static final TestPond HERE = TestPond.shared();
    private static final Work WORK = Work.begin(HERE);
    private static final String OTHER = WORK.colourist();
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
    }

    @Test
    void whatOneDoesTheOtherSeesWithoutAskingAndWhatOneDidIsNotFetchedBack() {
        Sheet sheet = WORK.bring(twoBoxes());
        Page mine = ours.signIn(HERE, WORK.person());
        mine.navigate(HERE.url() + WORK.address(sheet));
        DeskPage desk = new DeskPage(mine).waitUntilOpen();
        Page another = theirs.signIn(there, OTHER);
        another.navigate(there.url() + WORK.address(sheet));
        DeskPage seen = new DeskPage(another).waitUntilOpen();
        assertThat(mine.locator("#company")).hasText("With " + OTHER);
        assertThat(another.locator("#company")).hasText("With " + WORK.person());

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
