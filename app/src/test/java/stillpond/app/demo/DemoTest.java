package stillpond.app.demo;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.simple.JdbcClient;
import stillpond.app.palette.Palettes;
import stillpond.app.sheet.Planes;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.SheetOrder;
import stillpond.app.sheet.Sheets;
import stillpond.app.support.Browser;
import stillpond.app.support.DeskPage;
import stillpond.app.support.TestPond;
import stillpond.core.cell.CellPlane;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.format.PlaneCodec;
import stillpond.core.palette.Palette;
import stillpond.core.palette.Swatch;
import tools.jackson.databind.json.JsonMapper;

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

    /** Where nothing but a wide opening parts two colours, which is left open: the end of the scarf at the satchel, the foot of a post in a puddle. */
    private static final Set<String> AMBIGUOUS = Set.of("[0.3356, 0.4738]", "[0.7667, 0.5042]");

    /**
     * An empty copy of a demo sheet full of gaps is filled through the interface, every place with its swatch: one click each without touching a setting, and where the desk
     * says first that a fill would run out, one more act.
     */
    @Test
    void aDemoSheetIsFilledWithoutASetting() {
        Sheet sheet = emptyCopyOf("The crossing");
        Palette palette = pond.bean(Palettes.class).of(sheet.project());
        Page page = enter();
        page.navigate(pond.url() + "/projects/" + sheet.project() + "/sheets/" + sheet.id());
        DeskPage desk = new DeskPage(page).waitUntilOpen();
        for (DemoBook.DemoFill fill : fillsOf("The crossing")) {
            page.locator("[data-fill='" + swatch(palette, fill.swatch()).id() + "']")
                    .click();
            for (double[] place : fill.points()) {
                desk.pointAt(x(sheet, place), y(sheet, place));
                desk.click(x(sheet, place), y(sheet, place));
                if (page.locator("#leak").isVisible()) {
                    page.locator("#leak-dam").click();
                }
            }
        }
        desk.expectSaved();
        Sheet filled = pond.bean(Sheets.class).get(sheet.project(), sheet.id());
        Fills worn = pond.bean(Sheets.class).fills(filled.frontLayer());
        CellPlane cells = PlaneCodec.decodeCells(
                pond.bean(Planes.class).content(filled.frontLayer().cells()));
        List<String> wrong = new ArrayList<>();
        for (DemoBook.DemoFill fill : fillsOf("The crossing")) {
            Fill wanted = Fill.flat(swatch(palette, fill.swatch()).id());
            for (double[] place : fill.points()) {
                int cell = cells.numberAt((int) x(sheet, place), (int) y(sheet, place));
                if (!worn.of(cell).equals(wanted) && !AMBIGUOUS.contains(Arrays.toString(place))) {
                    wrong.add(fill.swatch() + " " + Arrays.toString(place));
                }
            }
        }
        assertThat(wrong).isEmpty();
    }

    private static Sheet emptyCopyOf(String title) {
        UUID project = pond.bean(JdbcClient.class)
                .sql("select project_id from sheet where title = ?")
                .param(title)
                .query(UUID.class)
                .single();
        Sheets sheets = pond.bean(Sheets.class);
        Sheet original = sheets.inProject(project).stream()
                .filter(sheet -> sheet.title().equals(title))
                .findFirst()
                .orElseThrow();
        Sheet copy = sheets.get(project, pond.bean(SheetOrder.class).copy(project, original.id()));
        pond.bean(JdbcClient.class)
                .sql("delete from cell_fill where layer_id = ?")
                .param(copy.frontLayer().id())
                .update();
        return copy;
    }

    private static List<DemoBook.DemoFill> fillsOf(String title) {
        try (InputStream in = DemoTest.class.getResourceAsStream("/demo/book.json")) {
            DemoBook book = pond.bean(JsonMapper.class).readValue(in, DemoBook.class);
            return book.scenes().stream()
                    .flatMap(scene -> scene.sheets().stream())
                    .filter(sheet -> sheet.title().equals(title))
                    .findFirst()
                    .orElseThrow()
                    .fills();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Swatch swatch(Palette palette, String cardAndName) {
        return palette.cards().stream()
                .flatMap(card -> card.swatches().stream()
                        .filter(swatch -> (card.name() + "/" + swatch.name()).equals(cardAndName)))
                .findFirst()
                .orElseThrow();
    }

    private static double x(Sheet sheet, double[] place) {
        return place[0] * sheet.frontLayer().widthPx();
    }

    private static double y(Sheet sheet, double[] place) {
        return place[1] * sheet.frontLayer().heightPx();
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
        page.keyboard().press("Escape");
        for (String drawer : List.of("h", "y")) {
            page.keyboard().press(drawer);
            assertAccessible(page, axe);
        }
        page.keyboard().press("x");
        page.waitForSelector(".mixer:not([hidden]) .mixer-near:not(:empty)");
        assertAccessible(page, axe);
        for (String way : List.of("/cards", "/pictures", "/ledger")) {
            page.navigate(project + way);
            assertAccessible(page, axe);
        }
        page.navigate(project + "/cards");
        page.locator(".cast-card").getByText("Juniper").click();
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
