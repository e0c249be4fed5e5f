package stillpond.app.ledger;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.awt.Color;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.UUID;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import stillpond.app.sheet.ChangeRequest;
import stillpond.app.sheet.Layer;
import stillpond.app.sheet.Planes;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.SheetChanges;
import stillpond.app.sheet.Sheets;
import stillpond.app.support.Browser;
import stillpond.app.support.Drawings;
import stillpond.app.support.TestPond;
import stillpond.app.support.Visitor;
import stillpond.app.support.Work;
import stillpond.core.cell.CellPlane;
import stillpond.core.fill.Fill;
import stillpond.core.format.PlaneCodec;

class FindJourneyTest {

    private final TestPond pond = TestPond.shared();
    private final Work work = Work.begin(pond);

    @Test
    void aSwatchIsFoundWithAPictureAndReplacedWhereItIsWorn() throws IOException {
        Sheet sheet = work.bring(Drawings.threeBoxes());
        lay(sheet, work.coat().id().toString(), 500);
        lay(sheet, work.scarf().id().toString(), 1500);
        lay(
                sheet,
                "linear 100% 2200 0 2800 0 0% " + work.coat().id() + " 100% "
                        + work.scarf().id(),
                2500);
        try (Browser browser = new Browser()) {
            Page page = browser.signIn(pond, work.person());
            page.navigate(pond.url() + "/projects/" + work.project() + "/find?swatch="
                    + work.coat().id());
            assertThat(page.locator(".find-sheets")).containsText("2 regions");
            String address = page.locator(".find-sheets img").getAttribute("src");
            BufferedImage picture = ImageIO.read(new ByteArrayInputStream(
                    page.request().get(pond.url() + address).body()));
            assertThat(at(picture, 500, 1000)).isEqualTo(new Color(0x2f6f5e));
            Color other = at(picture, 1500, 1000);
            assertThat(Math.abs(other.getRed() - other.getBlue())).isLessThan(4);

            page.locator("select[name=by]").selectOption(work.scarf().id().toString());
            assertThat(page.locator(".find-sheets img").first()).hasAttribute("src", Pattern.compile("try="));
            BufferedImage tried = ImageIO.read(new ByteArrayInputStream(page.request()
                    .get(pond.url() + page.locator(".find-sheets img").first().getAttribute("src"))
                    .body()));
            assertThat(at(tried, 500, 1000)).as("as it would look").isEqualTo(new Color(0xd2603f));
            page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Replace on what is ticked"))
                    .click();
            assertThat(page.getByText("Replaced in 2 regions.")).isVisible();
            assertThat(page.locator(".find-sheets")).containsText("3 regions");
            assertThat(browser.complaints()).isEmpty();
        }
        assertThat(worn(sheet, 500)).isEqualTo(work.scarf().id().toString());
    }

    @Test
    void fromASheetOnSheWearsAnotherCoat() throws IOException {
        Sheet before = work.bringToDesk(boxes("one"));
        Sheet from = work.bringToDesk(boxes("two"));
        Sheet after = work.bringToDesk(boxes("three"));
        List.of(before, from, after)
                .forEach(sheet -> work.lay(sheet, work.coat().id(), 500, 1000));
        try (Browser browser = new Browser()) {
            Page page = browser.signIn(pond, work.person());
            page.navigate(pond.url() + "/projects/" + work.project() + "/find?swatch="
                    + work.coat().id());
            page.getByText("from here on").first().click();
            assertThat(page.locator("[name=sheet]").first()).not().isChecked();
            page.locator("select[name=by]").selectOption(work.scarf().id().toString());
            assertThat(page.locator(".find-sheets img").first()).hasAttribute("src", Pattern.compile("try="));
            assertThat(page.locator("[name=sheet]").first()).not().isChecked();
            page.getByText("Replace on what is ticked").click();
            assertThat(page.getByText("Replaced in 2 regions.")).isVisible();
        }
        assertThat(worn(before, 500)).isEqualTo(work.coat().id().toString());
        assertThat(worn(from, 500)).isEqualTo(work.scarf().id().toString());
        assertThat(worn(after, 500)).isEqualTo(work.scarf().id().toString());
    }

    @Test
    void whereNothingIsTickedNothingIsReplaced() {
        Sheet sheet = work.bringToDesk(Drawings.threeBoxes());
        work.lay(sheet, work.coat().id(), 500, 1000);
        Visitor.signedIn(pond, work.person())
                .submit(
                        "/projects/" + work.project() + "/find/replace",
                        "swatches",
                        work.coat().id().toString(),
                        "by",
                        work.scarf().id().toString(),
                        "limited",
                        "true");
        assertThat(worn(sheet, 500)).isEqualTo(work.coat().id().toString());
    }

    /** The same drawing in a file of its own. */
    private static byte[] boxes(String name) {
        String drawing = new String(Drawings.threeBoxes(), StandardCharsets.UTF_8);
        return (drawing + "<!-- " + name + " -->").getBytes(StandardCharsets.UTF_8);
    }

    private static Color at(BufferedImage picture, int x, int y) {
        return new Color(picture.getRGB(x * picture.getWidth() / 3000, y * picture.getHeight() / 2000));
    }

    private String worn(Sheet sheet, int x) {
        Layer layer = pond.bean(Sheets.class).get(work.project(), sheet.id()).layer();
        return pond.bean(Sheets.class).fills(layer).of(cell(layer, x)).text();
    }

    private void lay(Sheet sheet, String fill, int x) {
        Layer layer = pond.bean(Sheets.class).get(work.project(), sheet.id()).layer();
        pond.bean(SheetChanges.class)
                .make(
                        sheet.id(),
                        work.account(),
                        new ChangeRequest.Lay(
                                UUID.randomUUID(), layer.id(), Fill.ofText(fill), List.of(cell(layer, x))));
    }

    private int cell(Layer layer, int x) {
        CellPlane cells = PlaneCodec.decodeCells(pond.bean(Planes.class).content(layer.cells()));
        return cells.numberAt(x * cells.widthPx() / 3000, 1000 * cells.widthPx() / 3000);
    }
}
