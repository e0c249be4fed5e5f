package stillpond.app.support;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.MouseButton;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Map;
import javax.imageio.ImageIO;
import stillpond.app.sheet.Sheet;

/**
 * The desk, used as a person uses it.
 *
 * @param pxPerUnit places on the sheet, and in pictures of it, are given in units of so many of its pixels
 */
public record DeskPage(Page page, double pxPerUnit) {

    /** A sheet on which places are given as if it were so wide, however small it is drawn. */
    static final double UNITS = 3000;

    /** Places are given in pixels of the sheet. */
    public DeskPage(Page page) {
        this(page, 1);
    }

    public record At(double x, double y) {}

    /** On a sheet that was brought in by {@link Work#bringToDesk}: places are given as if it were 3000 pixels wide. */
    public static DeskPage inUnits(Page page) {
        return new DeskPage(page, Work.DESK_PX / UNITS);
    }

    /** A sheet on the desk of the one whose work it is; places are given as if it were 3000 pixels wide. */
    public static DeskPage open(Browser browser, Work work, Sheet sheet) {
        Page page = browser.signIn(work.pond(), work.person());
        page.navigate(work.pond().url() + work.address(sheet));
        return new DeskPage(page, sheet.layer().widthPx() / UNITS).waitUntilOpen();
    }

    /** Also until the gaps of a sheet just brought in have been found. */
    public DeskPage waitUntilOpen() {
        page.waitForSelector("#desk[data-ready=true][data-sharp=true]");
        return this;
    }

    /** Takes a swatch of the shore into the hand. */
    public void take(String swatch) {
        Locator pebble = page.locator(".pebble")
                .filter(new Locator.FilterOptions().setHasText(swatch))
                .first();
        pebble.click();
        assertThat(pebble).hasAttribute("aria-pressed", "true");
    }

    /** Drags a pebble from the shore to a place on the sheet. */
    public void drop(String swatch, double x, double y) {
        BoundingBox pebble = page.locator(".pebble")
                .filter(new Locator.FilterOptions().setHasText(swatch))
                .first()
                .boundingBox();
        At at = onScreen(x, y);
        page.mouse().move(pebble.x + pebble.width / 2, pebble.y + pebble.height / 2);
        page.mouse().down();
        page.mouse().move(at.x(), at.y(), new Mouse.MoveOptions().setSteps(6));
        page.mouse().up();
    }

    public void pointAt(double x, double y) {
        At at = onScreen(x, y);
        page.mouse().move(at.x(), at.y());
    }

    public void secondClick(double x, double y) {
        At at = onScreen(x, y);
        page.mouse().click(at.x(), at.y(), new Mouse.ClickOptions().setButton(MouseButton.RIGHT));
    }

    public void click(double x, double y) {
        At at = onScreen(x, y);
        page.mouse().click(at.x(), at.y());
    }

    /** Presses at the first place, passes the others in a straight line each, and lets go at the last. */
    public void sweep(At... places) {
        At first = onScreen(places[0].x(), places[0].y());
        page.mouse().move(first.x(), first.y());
        page.mouse().down();
        for (At place : places) {
            At at = onScreen(place.x(), place.y());
            page.mouse().move(at.x(), at.y(), new Mouse.MoveOptions().setSteps(24));
        }
        page.mouse().up();
    }

    public void press(String key) {
        page.keyboard().press(key);
    }

    public void expectSaved() {
        assertThat(page.locator("#delivery")).hasText("Saved");
    }

    public void expectLeft(String text) {
        assertThat(page.locator("#left")).hasText(text);
    }

    /** Colour of the canvas at a place on the sheet, 0xRRGGBB, as it is shown. */
    public int shown(double x, double y) {
        At at = onScreen(x, y);
        byte[] png =
                page.screenshot(new Page.ScreenshotOptions().setClip(Math.floor(at.x()), Math.floor(at.y()), 1, 1));
        return decode(png).getRGB(0, 0) & 0xffffff;
    }

    /** A picture that the export menu offers, as large in units. */
    public BufferedImage export(String what) {
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Hand on"))
                .click();
        Download download = page.waitForDownload(() -> page.locator(".menu-item")
                .filter(new Locator.FilterOptions().setHasText(what))
                .click());
        page.keyboard().press("Escape");
        try {
            return inUnits(ImageIO.read(download.path().toFile()));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private BufferedImage inUnits(BufferedImage picture) {
        if (pxPerUnit == 1) {
            return picture;
        }
        int width = (int) Math.round(picture.getWidth() / pxPerUnit);
        int height = (int) Math.round(picture.getHeight() / pxPerUnit);
        int[] pixels = picture.getRGB(0, 0, picture.getWidth(), picture.getHeight(), null, 0, picture.getWidth());
        BufferedImage large = new BufferedImage(width, height, BufferedImage.TYPE_INT_ARGB);
        int[] row = new int[width];
        for (int y = 0; y < height; y++) {
            int start = (int) (y * pxPerUnit) * picture.getWidth();
            for (int x = 0; x < width; x++) {
                row[x] = pixels[start + (int) (x * pxPerUnit)];
            }
            large.getRaster().setDataElements(0, y, width, 1, row);
        }
        return large;
    }

    public At onScreen(double x, double y) {
        @SuppressWarnings("unchecked")
        Map<String, Number> place = (Map<String, Number>) page.evaluate("""
                ([x, y]) => {
                  const sheet = document.getElementById("sheet");
                  const box = sheet.getBoundingClientRect();
                  const view = JSON.parse(sheet.dataset.view);
                  return { x: box.x + view.x + x * view.scale, y: box.y + view.y + y * view.scale };
                }""", List.of(x * pxPerUnit, y * pxPerUnit));
        return new At(place.get("x").doubleValue(), place.get("y").doubleValue());
    }

    private static BufferedImage decode(byte[] png) {
        try {
            return ImageIO.read(new ByteArrayInputStream(png));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
