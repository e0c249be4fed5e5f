package stillpond.app.card;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.util.List;
import java.util.UUID;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import stillpond.app.palette.Palettes;
import stillpond.app.project.Projects;
import stillpond.app.sheet.Sheet;
import stillpond.app.support.Browser;
import stillpond.app.support.DeskPage;
import stillpond.app.support.Drawings;
import stillpond.app.support.TestPond;
import stillpond.app.support.Work;
import stillpond.core.palette.Card;
import stillpond.core.palette.Palette;

/** From a reference picture to a card, to the sheets, and to another project. */
class PaletteJourneyTest {

    private static final int ROPE = 0xb8864a;

    private final TestPond pond = TestPond.shared();
    private final Work work = Work.begin(pond);
    private final Browser browser = new Browser();
    private final Palettes palettes = pond.bean(Palettes.class);

    @AfterEach
    void close() {
        assertThat(browser.complaints()).isEmpty();
        browser.close();
    }

    @Test
    void aCardFromAPictureTiedEditedUndoneAndHandedOn() throws IOException {
        Sheet first = work.bringToDesk(Drawings.threeBoxes());
        Sheet second = work.bringToDesk(Drawings.svg(
                "<rect x='60' y='60' width='480' height='280' fill='none' stroke='#000' stroke-width='6'/>"));
        Page page = browser.signIn(pond, work.person());

        takeAColourOutOfAPicture(page);
        page.locator(".part-name").first().fill("Rope");
        page.locator(".part-name").first().press("Enter");
        assertThat(page.locator("#said")).containsText("Changed Rope");

        tieAShade(page);
        assertThat(page.locator(".part-tie")).containsText("follows Rope");
        putInAnotherOrder(page);
        int wet = colourOf("Wet rope");
        assertThat(wet).isNotEqualTo(ROPE);

        DeskPage boxes = open(first);
        boxes.take("Rope");
        boxes.click(500, 1000);
        boxes.expectSaved();
        DeskPage box = open(second);
        box.take("Wet rope");
        box.click(1500, 1000);
        box.expectSaved();

        Page ledger = page.context().newPage();
        ledger.navigate(pond.url() + "/projects/" + work.project() + "/ledger");
        assertThat(ledger.locator("#page")).containsText("Wet rope");

        page.bringToFront();
        page.locator(".part-stone").first().click();
        page.locator(".mixer-text").fill("#3a5a9c");
        page.locator(".mixer-text").press("Enter");
        assertThat(page.locator(".mixer-said")).containsText("2 regions on 2 sheets change");
        page.getByText("Change Rope everywhere").click();
        assertThat(page.locator("#said")).containsText("Changed Rope");
        assertThat(ledger.locator("#page [fill='#3a5a9c']").first()).isVisible();
        int wetNow = colourOf("Wet rope");
        assertThat(wetNow).isNotEqualTo(wet);
        expectShown(boxes, 500, 1000, 0x3a5a9c);
        expectShown(box, 1500, 1000, wetNow);

        page.bringToFront();
        page.getByText("Take back").click();
        assertThat(page.locator("#said")).containsText("Taken back everywhere");
        expectShown(boxes, 500, 1000, ROPE);
        expectShown(box, 1500, 1000, wet);

        page.bringToFront();
        handOn(page);
    }

    private void takeAColourOutOfAPicture(Page page) throws IOException {
        page.navigate(pond.url() + "/projects/" + work.project() + "/pictures");
        page.locator("#file").setInputFiles(new FilePayload("Harbour wall.png", "image/png", picture()));
        Locator marks = page.locator("#marks");
        assertThat(page.locator("#main-colours li")).hasCount(2);
        BoundingBox shown = marks.boundingBox();
        marks.click(new Locator.ClickOptions().setPosition(shown.width * 0.75, shown.height * 0.5));
        assertThat(page.locator("#samples")).containsText("#b8864a");
        page.locator("#put-card").selectOption("");
        page.locator("#put-name").fill("Harbour");
        page.getByText("Put them on the card").click();
        page.waitForURL("**/cards/*");
        assertThat(page.locator("h1")).hasText("Harbour");
    }

    private static void tieAShade(Page page) {
        page.locator(".part-stone").first().click();
        page.locator(".mixer").getByText("Darker").click();
        page.locator(".mixer-new input").fill("Wet rope");
        page.locator("#mixer-tie").check();
        page.getByText("Take as new").click();
        assertThat(page.locator(".part")).hasCount(3);
    }

    /** Dragged by its stone, and its menu gone through with the arrow keys. */
    private static void putInAnotherOrder(Page page) {
        Locator names = page.locator(".part-name");
        String second = names.nth(1).inputValue();
        page.locator(".part-stone").nth(1).dragTo(page.locator(".part-stone").first());
        assertThat(page.locator("#said")).containsText("Moved a swatch");
        assertThat(names.first()).hasValue(second);
        page.locator(".part .menu > button").first().click();
        page.keyboard().press("ArrowDown");
        assertThat(page.locator(".part .menu-item").first()).isFocused();
        page.keyboard().press("ArrowUp");
        assertThat(page.locator(".part .menu-item:visible").last()).isFocused();
        page.keyboard().press("Escape");
        assertThat(page.locator(".part .menu-item:visible")).hasCount(0);
        page.locator(".part-stone").first().dragTo(page.locator(".part-stone").nth(1));
        assertThat(names.nth(1)).hasValue(second);
    }

    /** The tokens of the card, brought into another project, make the same card. */
    private void handOn(Page page) {
        page.getByText("Export").click();
        Download tokens =
                page.waitForDownload(() -> page.getByText("Design tokens").click());
        UUID other = pond.bean(Projects.class).start("Second book", work.account());
        page.navigate(pond.url() + "/projects/" + other + "/cards");
        // A download has no ending of its own in its path; the file goes in under its name.
        page.locator("#import-cards input")
                .setInputFiles(new FilePayload(tokens.suggestedFilename(), "application/json", read(tokens)));
        assertThat(page.locator(".import-plan")).containsText("Harbour.json would add");
        assertThat(cards(other)).as("nothing is taken before consent").hasSize(1);
        page.getByText("Add this card").click();
        assertThat(page.locator(".card-wall")).containsText("Wet rope");

        Palette there = palettes.of(other);
        Palette here = palettes.of(work.project());
        assertThat(described(there)).isEqualTo(described(here));
    }

    private static List<String> described(Palette palette) {
        Card harbour = palette.cards().stream()
                .filter(card -> card.name().equals("Harbour"))
                .findFirst()
                .orElseThrow();
        String rope = harbour.swatches().get(0).id().toString();
        return harbour.swatches().stream()
                .map(swatch -> swatch.name() + " "
                        + swatch.paint().text().replace(rope, "ROPE") + " "
                        + palette.colourOf(swatch.id()).orElseThrow().hex())
                .toList();
    }

    private List<Card> cards(UUID project) {
        return palettes.of(project).cards();
    }

    private int colourOf(String name) {
        Palette palette = palettes.of(work.project());
        return palette.cards().stream()
                .flatMap(card -> card.swatches().stream())
                .filter(swatch -> swatch.name().equals(name))
                .map(swatch -> palette.colourOf(swatch.id()).orElseThrow().packed())
                .findFirst()
                .orElseThrow();
    }

    private DeskPage open(Sheet sheet) {
        Page page = browser.newPage();
        page.navigate(pond.url() + work.address(sheet));
        return DeskPage.inUnits(page).waitUntilOpen();
    }

    /** Other people's open desks repaint by themselves. */
    private static void expectShown(DeskPage desk, double x, double y, int colour) {
        desk.page().bringToFront();
        String hex = String.format("#%06x", colour);
        desk.page()
                .waitForFunction(
                        "hex => [...document.querySelectorAll('.pebble .stone-drawing path')].some(path => path.getAttribute('fill') === hex)",
                        hex);
        assertThat(desk.shown(x, y)).isEqualTo(colour);
    }

    /** Left half sky, right half rope. */
    private static byte[] picture() throws IOException {
        BufferedImage image = new BufferedImage(400, 300, BufferedImage.TYPE_INT_RGB);
        Graphics2D graphics = image.createGraphics();
        graphics.setColor(new Color(0x9cc0d0));
        graphics.fillRect(0, 0, 200, 300);
        graphics.setColor(new Color(ROPE));
        graphics.fillRect(200, 0, 200, 300);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, "png", out);
        return out.toByteArray();
    }

    private static byte[] read(Download download) {
        try {
            return Files.readAllBytes(download.path());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
