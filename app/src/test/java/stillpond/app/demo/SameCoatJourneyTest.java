package stillpond.app.demo;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.simple.JdbcClient;
import stillpond.app.palette.Palettes;
import stillpond.app.sheet.ChangeRequest;
import stillpond.app.sheet.Layer;
import stillpond.app.sheet.Planes;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.SheetChanges;
import stillpond.app.sheet.Sheets;
import stillpond.app.support.Browser;
import stillpond.app.support.DeskPage;
import stillpond.app.support.TestPond;
import stillpond.core.cell.Border;
import stillpond.core.cell.Cell;
import stillpond.core.cell.CellMap;
import stillpond.core.colour.BlendMode;
import stillpond.core.colour.Srgb;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.format.PlaneCodec;
import stillpond.core.gap.Regions;
import stillpond.core.palette.Palette;
import stillpond.core.palette.Swatch;

/** The same coat on every page: a new drawing of Juniper is carried to, lit, and kept consistent with the rest of the book. */
class SameCoatJourneyTest {

    private static final Path DRAWING = Path.of("src/test/resources/drawings/juniperWaits.svg");
    private static final Srgb EVENING = Srgb.ofHex("#8a7ab0");

    private final TestPond pond = TestPond.ownDemo();
    private final Sheets sheets = pond.bean(Sheets.class);
    private final Browser browser = new Browser();
    private Page page;
    private String project;

    @AfterEach
    void close() {
        browser.close();
        pond.close();
    }

    @Test
    void aNewDrawingIsCarriedLitAndTheForeignColourIsFoundAndReplaced() {
        enterAsTheLead();
        lockTheCard();
        Sheet sheet = bringIn();
        DeskPage desk = carry();
        setRight(sheet, desk);
        expectCleanCheck(sheet);
        lightTheScene();
        expectLit(sheet);
        Sheet otherSheet = sheetCalled("The crossing");
        String part = Stream.of("Coat", "Skin", "Hair", "Scarf", "Trousers", "Boots")
                .filter(each ->
                        amongItsCard(sheet, "juniperWaits", "Juniper/" + each).isPresent())
                .filter(each ->
                        amongItsCard(otherSheet, "crossing", "Juniper/" + each).isPresent())
                .findFirst()
                .orElseThrow();
        int onSheet = plant(sheet, "juniperWaits", "Juniper/" + part);
        int onOther = plant(otherSheet, "crossing", "Juniper/" + part);
        findAndReplace(part);
        Fill right = Fill.flat(swatch("Juniper/" + part));
        assertThat(sheets.fills(layerOf(sheet)).of(onSheet)).isEqualTo(right);
        assertThat(sheets.fills(layerOf(otherSheet)).of(onOther)).isEqualTo(right);
        expectCleanCheck(sheet);
        assertThat(browser.complaints()).isEmpty();
    }

    private void enterAsTheLead() {
        page = browser.newPage();
        page.navigate(pond.url());
        page.getByText("Enter as the lead").click();
        page.waitForURL(pond.url() + "/");
        page.locator(".book-title").getByText("The Tide Post").click();
        page.waitForURL(address -> address.contains("/projects/"));
        project = page.url();
    }

    private void lockTheCard() {
        page.locator(".cast-card").getByText("Juniper").click();
        page.locator("#card[data-ready=true]").waitFor();
        press("Lock");
        assertThat(page.locator(".card-lock")).containsText("Locked");
    }

    private Sheet bringIn() {
        page.navigate(project);
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Bring in a sheet for Low tide"))
                .click();
        page.setInputFiles("#files", new FilePayload("Juniper waits.svg", "image/svg+xml", drawing()));
        assertThat(page.locator(".brought-state")).containsText(Pattern.compile("\\d+ regions"));
        page.locator("#done").click();
        page.waitForURL(project);
        page.locator(".tile a")
                .filter(new Locator.FilterOptions().setHasText("Juniper waits"))
                .click();
        return sheetCalled("Juniper waits");
    }

    private static byte[] drawing() {
        try {
            return Files.readAllBytes(DRAWING);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private DeskPage carry() {
        DeskPage desk = new DeskPage(page).waitUntilOpen();
        desk.press("Shift+H");
        page.locator("#carry-ask").click();
        assertThat(page.locator("#carry-answer")).isVisible();
        page.locator("#carry-sure").click();
        while (page.locator("#carry-doubtful").isVisible()) {
            desk.press("d");
        }
        desk.expectSaved();
        desk.press("Shift+H");
        desk.press("Home");
        return desk;
    }

    /** Fills by hand what carry left, and what it took for something else. */
    private void setRight(Sheet sheet, DeskPage desk) {
        Layer layer = layerOf(sheet);
        CellMap map = PlaneCodec.decodeMap(pond.bean(Planes.class).content(layer.cells()));
        Regions regions = sheets.regions(layer);
        Fills fills = sheets.fills(layer);
        Map<Integer, String> truth = DemoTruth.of("juniperWaits").byRegion(map.plane(), regions);
        int right = 0;
        for (Map.Entry<Integer, String> each : truth.entrySet()) {
            Cell place = DemoTruth.deepest(map, regions, each.getKey());
            if (fills.of(place.number()).equals(Fill.flat(swatch(each.getValue())))) {
                right++;
            } else {
                page.locator("[data-fill='" + swatch(each.getValue()) + "']").click();
                desk.click(place.deepestX() + 0.5, place.deepestY() + 0.5);
                if (page.locator("#leak").isVisible()) {
                    page.locator("#leak-anyway").click();
                }
            }
        }
        assertThat(right).isGreaterThan(truth.size() / 2);
        desk.expectLeft("Every region is filled");
        desk.expectSaved();
    }

    private void expectCleanCheck(Sheet sheet) {
        page.navigate(project + "/sheets/" + sheet.id());
        DeskPage desk = new DeskPage(page).waitUntilOpen();
        // Which drawer is open is kept from sheet to sheet.
        if (!page.locator("#check").isVisible()) {
            desk.press("y");
        }
        assertThat(page.locator("#check-clean")).isVisible();
        assertThat(page.locator("#check-button .count")).hasText("0");
    }

    private void lightTheScene() {
        page.navigate(project + "/lights");
        page.locator("select[name=scene]").selectOption("Low tide");
        page.waitForURL(address -> address.contains("scene="));
        page.getByPlaceholder("Another light").fill("Evening");
        press("Make it, for Low tide");
        page.waitForSelector("#light[data-name=Evening][data-seen]");
        page.locator("#light-hex").fill(EVENING.hex());
        page.locator("#light-hex").press("Tab");
        page.locator("input[data-part=strength]").fill("100");
        page.locator(".light-part[data-card=Juniper][data-name=Scarf]").click();
        page.waitForSelector("#light[data-seen*=' 100 '][data-seen*='drawn']");
        press("Take it");
        assertThat(page.locator("#light-state")).hasText("Taken, on every sheet that has this light.");
    }

    /** All is lit but the exception. */
    private void expectLit(Sheet sheet) {
        page.navigate(project + "/sheets/" + sheet.id());
        DeskPage desk = new DeskPage(page).waitUntilOpen();
        assertThat(page.locator("#light-name")).hasText("Evening");
        BufferedImage flats = desk.export("Flats as PNG");
        BufferedImage drawn = desk.export("Flats as drawn");
        Srgb coat = palette().colourOf(swatch("Juniper/Coat")).orElseThrow();
        Srgb scarf = palette().colourOf(swatch("Juniper/Scarf")).orElseThrow();
        Cell onCoat = placeOf(sheet, "juniperWaits", "Juniper/Coat");
        Cell onScarf = placeOf(sheet, "juniperWaits", "Juniper/Scarf");
        assertThat(at(flats, onCoat))
                .isEqualTo(BlendMode.MULTIPLY.blend(coat, EVENING).packed());
        assertThat(at(drawn, onCoat)).isEqualTo(coat.packed());
        assertThat(at(flats, onScarf)).isEqualTo(scarf.packed());
    }

    private static int at(BufferedImage picture, Cell cell) {
        return picture.getRGB(cell.deepestX(), cell.deepestY()) & 0xffffff;
    }

    /** Bram's waistcoat where a part of Juniper's is; returns a cell of that. */
    private int plant(Sheet sheet, String drawing, String part) {
        Layer layer = layerOf(sheet);
        int cell = amongItsCard(sheet, drawing, part).orElseThrow().number();
        pond.bean(SheetChanges.class)
                .make(
                        sheet.id(),
                        pond.bean(JdbcClient.class)
                                .sql("select id from account limit 1")
                                .query(UUID.class)
                                .single(),
                        new ChangeRequest.Lay(
                                UUID.randomUUID(),
                                layer.id(),
                                Fill.flat(swatch("Bram/Waistcoat")),
                                sheets.regions(layer).with(cell)));
        return cell;
    }

    /** The largest region of a part that shares most of its border with others that wear parts of its card: only there another card's colour is foreign. */
    private Optional<Cell> amongItsCard(Sheet sheet, String drawing, String part) {
        String card = "Juniper/";
        Layer layer = layerOf(sheet);
        CellMap map = PlaneCodec.decodeMap(pond.bean(Planes.class).content(layer.cells()));
        Regions regions = sheets.regions(layer);
        Fills fills = sheets.fills(layer);
        Map<Integer, String> parts = DemoTruth.of(drawing).byRegion(map.plane(), regions);
        Map<Integer, Double> around = new HashMap<>();
        Map<Integer, Double> own = new HashMap<>();
        for (Border border : map.borders()) {
            for (int[] pair : new int[][] {{border.first(), border.second()}, {border.second(), border.first()}}) {
                int region = regions.of(pair[0]);
                String beside = parts.getOrDefault(regions.of(pair[1]), "");
                if (region != regions.of(pair[1]) && !beside.equals(part)) {
                    boolean isOwn = beside.startsWith(card) && fills.of(pair[1]).equals(Fill.flat(swatch(beside)));
                    around.merge(region, (double) border.lengthPx(), Double::sum);
                    own.merge(region, isOwn ? (double) border.lengthPx() : 0, Double::sum);
                }
            }
        }
        return own.keySet().stream()
                .filter(region -> part.equals(parts.get(region)) && own.get(region) > 0.65 * around.get(region))
                .map(region -> DemoTruth.deepest(map, regions, region))
                .max(Comparator.comparingInt(Cell::areaPx));
    }

    private void findAndReplace(String part) {
        page.navigate(project);
        page.getByText("Compare", new Page.GetByTextOptions().setExact(true)).click();
        page.locator("fieldset label", new Page.LocatorOptions().setHasText("Juniper"))
                .click();
        Locator row = page.locator("tr.is-stranger").filter(new Locator.FilterOptions().setHasText("Waistcoat"));
        assertThat(row.locator("[data-mark=FOREIGN]")).hasCount(2);
        assertThat(row.locator("[data-mark=FOREIGN]").first()).containsText("of Bram, among these");
        row.locator("select").selectOption(part);
        row.getByText("Replace these").click();
        assertThat(page.getByText("Replaced in 2 regions.")).isVisible();
        assertThat(page.locator("tr.is-stranger").filter(new Locator.FilterOptions().setHasText("Waistcoat")))
                .hasCount(0);
    }

    /** The largest region of a part, by its deepest cell. */
    private Cell placeOf(Sheet sheet, String drawing, String part) {
        Layer layer = layerOf(sheet);
        CellMap map = PlaneCodec.decodeMap(pond.bean(Planes.class).content(layer.cells()));
        Regions regions = sheets.regions(layer);
        return DemoTruth.of(drawing).byRegion(map.plane(), regions).entrySet().stream()
                .filter(each -> each.getValue().equals(part))
                .map(each -> DemoTruth.deepest(map, regions, each.getKey()))
                .max(Comparator.comparingInt(Cell::areaPx))
                .orElseThrow();
    }

    private Layer layerOf(Sheet sheet) {
        return sheets.get(sheet.project(), sheet.id()).layer();
    }

    private Sheet sheetCalled(String title) {
        return sheets.inProject(projectId()).stream()
                .filter(sheet -> sheet.title().equals(title))
                .findFirst()
                .orElseThrow();
    }

    private UUID projectId() {
        return UUID.fromString(project.substring(project.lastIndexOf('/') + 1));
    }

    private Palette palette() {
        return pond.bean(Palettes.class).of(projectId());
    }

    private UUID swatch(String cardAndName) {
        return palette().cards().stream()
                .flatMap(card -> card.swatches().stream()
                        .filter(swatch -> (card.name() + "/" + swatch.name()).equals(cardAndName)))
                .map(Swatch::id)
                .findFirst()
                .orElseThrow();
    }

    private void press(String button) {
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName(button).setExact(true))
                .click();
    }
}
