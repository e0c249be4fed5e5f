package stillpond.app.demo;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.MouseButton;
import java.awt.image.BufferedImage;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.Collectors;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.jdbc.core.simple.JdbcClient;
import stillpond.app.palette.Palettes;
import stillpond.app.sheet.Layer;
import stillpond.app.sheet.Planes;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.SheetCast;
import stillpond.app.sheet.SheetOrder;
import stillpond.app.sheet.Sheets;
import stillpond.app.support.Browser;
import stillpond.app.support.DeskPage;
import stillpond.app.support.Heavy;
import stillpond.app.support.TestPond;
import stillpond.core.cell.Cell;
import stillpond.core.cell.CellMap;
import stillpond.core.cell.CellPlane;
import stillpond.core.format.PlaneCodec;
import stillpond.core.gap.Regions;
import stillpond.core.palette.Card;
import stillpond.core.palette.Palette;
import stillpond.core.palette.Swatch;

class DemoTest {

    private static final Path AXE = Path.of("src/main/web/node_modules/axe-core/axe.min.js");

    private static TestPond pond;
    private static Browser browser;

    @BeforeAll
    static void open() {
        pond = TestPond.ownDemo();
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
        page.locator(".book-title").getByText("The Tide Post").click();
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
    void itsStoryEndsOnTheDayOnWhichItWasBroughtIn() {
        assertThat(pond.bean(JdbcClient.class)
                        .sql(
                                "select count(*) from (select project_id, max(made_at) as last from change group by 1) as story"
                                        + " where last < (select min(kept_at) from plane) - interval '1 minute'")
                        .query(Long.class)
                        .single())
                .isZero();
    }

    @Test
    void startingAgainLoadsItOnlyOnce() {
        long sheets = pond.count("sheet");
        pond.down();
        pond.up();
        assertThat(pond.count("sheet")).isEqualTo(sheets);
        assertThat(pond.count("account")).isEqualTo(2);
    }

    /**
     * An empty copy of the busiest sheet: one act for what most regions wear, one click for each of the others. The flats exported are, to the pixel, those that the
     * drawing's own code says, and the check has nothing left to say.
     */
    @Test
    void theBusiestSheetIsFinishedCleanAndToThePixel() {
        Sheet sheet = emptyCopyOf("Morning post");
        Palette palette = pond.bean(Palettes.class).of(sheet.project());
        pond.bean(SheetCast.class)
                .say(
                        sheet.project(),
                        lead(sheet.project()),
                        sheet.id(),
                        palette.cards().stream().map(Card::id).toList());
        Layer layer = sheet.layer();
        CellMap map = PlaneCodec.decodeMap(pond.bean(Planes.class).content(layer.cells()));
        CellPlane plane = map.plane();
        Regions regions = pond.bean(Sheets.class).regions(layer);
        Map<Integer, String> truth = DemoTruth.of("morningPost").byRegion(plane, regions);
        String base = truth.values().stream()
                .collect(Collectors.groupingBy(each -> each, Collectors.counting()))
                .entrySet()
                .stream()
                .max(Map.Entry.comparingByValue())
                .orElseThrow()
                .getKey();
        Page page = enter();
        // Drawn in software, a smaller window answers sooner.
        page.setViewportSize(960, 640);
        page.navigate(pond.url() + "/projects/" + sheet.project() + "/sheets/" + sheet.id());
        DeskPage desk = new DeskPage(page).waitUntilOpen();
        desk.expectLeft(truth.size() + " of " + truth.size() + " regions left");
        hold(page, palette, base);
        page.locator("#tool-ground").click();
        page.locator("#gather-fill").click();
        new TreeSet<>(truth.values())
                .stream().filter(each -> !each.equals(base)).forEach(swatch -> {
                    hold(page, palette, swatch);
                    truth.forEach((region, wanted) -> {
                        if (wanted.equals(swatch)) {
                            Cell place = DemoTruth.deepest(map, regions, region);
                            desk.click(place.deepestX() + 0.5, place.deepestY() + 0.5);
                            if (page.locator("#leak").isVisible()) {
                                page.locator("#leak-anyway").click();
                            }
                        }
                    });
                });
        desk.expectLeft("Every region is filled");
        desk.expectSaved();
        page.keyboard().press("y");
        PlaywrightAssertions.assertThat(page.locator("#check-clean")).isVisible();
        PlaywrightAssertions.assertThat(page.locator("#check-button .count")).hasText("0");
        BufferedImage flats = desk.export("Flats as PNG");
        assertThat(differences(flats, plane, regions, truth, palette)).isZero();
    }

    private static void hold(Page page, Palette palette, String swatch) {
        page.locator("[data-fill='" + swatch(palette, swatch).id() + "']").click();
    }

    private static long differences(
            BufferedImage flats, CellPlane plane, Regions regions, Map<Integer, String> truth, Palette palette) {
        Map<String, Integer> colours = new HashMap<>();
        truth.values()
                .forEach(swatch -> colours.computeIfAbsent(
                        swatch,
                        name -> palette.colourOf(swatch(palette, name).id())
                                .orElseThrow()
                                .packed()));
        long different = 0;
        for (int y = 0; y < plane.heightPx(); y++) {
            for (int x = 0; x < plane.widthPx(); x++) {
                int wanted = colours.get(truth.get(regions.of(plane.numberAt(x, y))));
                different += flats.getRGB(x, y) == (0xff000000 | wanted) ? 0 : 1;
            }
        }
        return different;
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
                .param(copy.layer().id())
                .update();
        return copy;
    }

    private static Swatch swatch(Palette palette, String cardAndName) {
        return palette.cards().stream()
                .flatMap(card -> card.swatches().stream()
                        .filter(swatch -> (card.name() + "/" + swatch.name()).equals(cardAndName)))
                .findFirst()
                .orElseThrow();
    }

    /** Whatever axe-core checks, of any impact. */
    @ParameterizedTest
    @ValueSource(strings = {"colourist", "lead"})
    void nothingIsHardToReachInAnyStateOfAPage(String role) throws Exception {
        Page page = enter(role);
        String axe = Files.readString(AXE);
        assertAccessible(page, axe);
        page.locator(".book-title").getByText("The Tide Post").click();
        assertAccessible(page, axe);
        String project = page.url();
        page.navigate(project + "/bring");
        assertAccessible(page, axe);
        if (role.equals("colourist") || Heavy.IS_WANTED) {
            walkTheDesk(page, project, axe);
        }
        walkTheBook(page, project, axe);
    }

    /** It is the same for both, but for what is locked. */
    private static void walkTheDesk(Page page, String project, String axe) {
        page.navigate(project);
        page.locator(".tile-title").getByText("The crossing").click();
        new DeskPage(page).waitUntilOpen();
        assertAccessible(page, axe);
        page.keyboard().press("?");
        assertAccessible(page, axe);
        page.keyboard().press("Escape");
        for (String drawer :
                List.of("h", "y", "Shift+H", "Shift+P", "Shift+B", "Shift+S", "Shift+L", "Shift+C", "Shift+Y", "t")) {
            page.keyboard().press(drawer);
            assertAccessible(page, axe);
        }
        page.keyboard().press("f");
        page.locator("#sheet").focus();
        page.keyboard().press("ArrowRight");
        page.keyboard().press("Enter");
        page.locator("#gather-more").click();
        assertAccessible(page, axe);
        page.keyboard().press("Escape");
        page.locator("#sheet").focus();
        page.keyboard().press("Escape");
        page.locator("#sheet").click(new Locator.ClickOptions().setButton(MouseButton.RIGHT));
        assertAccessible(page, axe);
        page.keyboard().press("Escape");
        page.locator("#sheet").focus();
        page.keyboard().press("ArrowRight");
        page.keyboard().press("Shift+X");
        assertAccessible(page, axe);
        page.locator("[data-kind=pattern]").click();
        page.waitForSelector(".kinds-motif >> nth=9");
        assertAccessible(page, axe);
        page.keyboard().press("Escape");
        page.keyboard().press("x");
        page.waitForSelector(".mixer:not([hidden]) .mixer-near:not(:empty)");
        assertAccessible(page, axe);
    }

    private static void walkTheBook(Page page, String project, String axe) {
        for (String way : List.of(
                "/cards",
                "/pictures",
                "/ledger",
                "/compare?only=true",
                "/compare/sheets",
                "/compare/moments",
                "/compare/consistency",
                "/carry",
                "/lights",
                "/proposals",
                "/members",
                "/remarks",
                "/story",
                "/story?each=true",
                "/reach",
                "/reach?change=light%20plain")) {
            page.navigate(project + way);
            assertAccessible(page, axe);
        }
        page.navigate(project + "/cards");
        page.locator(".cast-card").getByText("Juniper").click();
        assertAccessible(page, axe);
        page.getByText("History").click();
        page.getByText("As it began").click();
        assertAccessible(page, axe);
        page.navigate(project);
        page.locator(".scene-title a").first().click();
        assertAccessible(page, axe);
        for (String own : List.of("/", "/account", "/letters", "/search?q=coat")) {
            page.navigate(pond.url() + own);
            assertAccessible(page, axe);
        }
        page.context().clearCookies();
        for (String way : List.of("/sign-in", "/forgotten", "/join/nothing", "/reset/nothing")) {
            page.navigate(pond.url() + way);
            assertAccessible(page, axe);
        }
    }

    private static Page enter() {
        return enter("colourist");
    }

    private static Page enter(String role) {
        Page page = browser.newPage();
        page.context().clearCookies();
        page.navigate(pond.url());
        page.getByText("Enter as the " + role).click();
        page.waitForURL(pond.url() + "/");
        return page;
    }

    @SuppressWarnings("unchecked")
    private static void assertAccessible(Page page, String axe) {
        if (!(Boolean) page.evaluate("() => 'axe' in window")) {
            page.evaluate(axe);
        }
        List<Map<String, Object>> violations = (List<Map<String, Object>>) page.evaluate("""
                () => axe.run({ resultTypes: ['violations'] }).then((found) =>
                  found.violations
                    .map((each) => ({ id: each.id, where: each.nodes.map((node) => node.html).join(" | ") })))""");
        assertThat(violations).as(page.url()).isEmpty();
    }

    private UUID lead(UUID project) {
        return pond.bean(JdbcClient.class)
                .sql("select account_id from member where project_id = ? and role = 'LEAD'")
                .param(project)
                .query(UUID.class)
                .single();
    }
}
