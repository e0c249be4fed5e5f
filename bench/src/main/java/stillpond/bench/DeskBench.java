package stillpond.bench;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import java.io.IOException;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import stillpond.core.format.ImageLimits;
import stillpond.core.format.LineArtReader;
import stillpond.core.gap.Openings;
import stillpond.core.gap.Point;
import stillpond.core.ink.InkFinder;
import stillpond.core.ink.InkPlane;

/** What somebody at the desk waits for, in headless Chromium with WebGL2 in software. */
final class DeskBench {

    private static final double LEAST_LINE_PX = 40;
    /** How large a shadow is on the screen, from its middle. */
    private static final double SHADOW_PX = 28;

    private static final int MOST_WHEELS = 20;
    private static final Effort FULL = new Effort(3, 20, 15, 31, 5, 40);

    /** Tasks that hold up the main thread, and the time from a press until the frame after it has been drawn. */
    private static final String WATCH = """
            () => {
              window.longest = 0;
              window.presses = [];
              new PerformanceObserver((list) => {
                for (const task of list.getEntries()) window.longest = Math.max(window.longest, task.duration);
              }).observe({ type: "longtask" });
              document.getElementById("sheet").addEventListener("pointerdown", (event) => {
                const frame = new MessageChannel();
                frame.port1.onmessage = () => window.presses.push(performance.now() - event.timeStamp);
                requestAnimationFrame(() => frame.port2.postMessage(0));
              });
            }""";

    private final Page page;
    private final String url;
    private final Effort effort;
    private String project;

    DeskBench(Page page, String url, Effort effort) {
        this.page = page;
        this.url = url;
        this.effort = effort;
    }

    public static void main(String[] args) throws Exception {
        try (HeadlessChromium chromium = new HeadlessChromium()) {
            Page page = chromium.newContext().newPage();
            page.setDefaultTimeout(120_000);
            DeskBench bench = new DeskBench(page, args[0], FULL);
            bench.enter();
            for (int megapixels : new int[] {4, 35}) {
                System.out.println(bench.measure(megapixels));
            }
        }
    }

    /**
     * @param rounds how often the sheet is opened again
     * @param steps of the pointer across the page
     * @param shadows that lie on it for the last frame, a multiple of 8
     */
    record Effort(int rounds, int clicks, int steps, int frames, int dams, int shadows) {}

    /**
     * Medians and longest ones, in milliseconds.
     *
     * @param first from the navigation to the first picture, the first time
     * @param again the same later
     * @param click from a press to the painted frame
     * @param sweep over the whole page
     * @param frame from the start of a frame of the whole page until it is drawn, with black ink
     * @param colouredFrame the same with coloured ink
     * @param shadowedFrame the same with coloured ink and forty shadows
     * @param dam from the end of a line drawn by hand across an ordinary cell to the new cells on the desk
     * @param largeDam the same, of the largest cell
     */
    record Figures(
            int megapixels,
            double first,
            double again,
            double click,
            double sweep,
            double longestSweeping,
            double longestPanning,
            double frame,
            double colouredFrame,
            double shadowedFrame,
            double dam,
            double largeDam) {

        @Override
        public String toString() {
            return String.format(
                    "%d megapixels: first picture %.0f ms the first time, %.0f ms again; click to painted %.0f ms (median);"
                            + " sweep of the whole page %.0f ms, longest task %.0f ms; panning and zooming, longest task %.0f ms;"
                            + " a frame of the whole page %.0f ms, with coloured ink %.0f ms,"
                            + " with forty shadows too %.0f ms (medians);"
                            + " a dam by hand, with all of these there, until the new cells are there %.0f ms, of the largest cell %.0f ms (medians)",
                    megapixels,
                    first,
                    again,
                    click,
                    sweep,
                    longestSweeping,
                    longestPanning,
                    frame,
                    colouredFrame,
                    shadowedFrame,
                    dam,
                    largeDam);
        }
    }

    DeskBench enter() {
        page.navigate(url);
        page.getByText("Enter as the colourist").click();
        page.locator(".book-title").getByText("The Tide Post").click();
        project = page.url();
        return this;
    }

    private String bring(int megapixels) throws IOException {
        page.navigate(project + "/bring");
        byte[] file = MadePage.file(megapixels);
        page.setInputFiles("#files", new FilePayload(megapixels + " megapixels.png", "image/png", file));
        page.locator(".brought-state")
                .filter(new Locator.FilterOptions().setHasText("regions"))
                .waitFor();
        return url + page.getByText("Open on the desk").getAttribute("href");
    }

    Figures measure(int megapixels) throws IOException {
        String sheet = bring(megapixels);
        page.navigate("about:blank");
        double first = open(sheet);
        page.waitForSelector("#desk[data-sharp=true]");
        double[] again = new double[effort.rounds];
        for (int i = 0; i < effort.rounds; i++) {
            again[i] = open(sheet);
        }
        page.evaluate(WATCH);
        BoundingBox box = page.locator("#sheet").boundingBox();
        page.keyboard().press("1");
        for (int i = 0; i < effort.clicks; i++) {
            page.mouse().click(box.x + 300 + 20 * i, box.y + 120 + 17 * i);
            int pressed = i + 1;
            page.waitForFunction("count => window.presses.length >= count", pressed);
        }
        double[] presses = ((List<?>) page.evaluate("() => window.presses"))
                .stream().mapToDouble(each -> ((Number) each).doubleValue()).toArray();
        double sweepMs = sweep(box);
        double longestSweeping = longest();
        pan(box);
        double longestPanning = longest();
        page.locator("#zoom-fit").click();
        double frame = frame();
        colourInk();
        double colouredFrame = frame();
        drawShadows();
        double shadowedFrame = frame();
        InkPlane ink = InkFinder.find(new LineArtReader(ImageLimits.DEFAULT).read(MadePage.file(megapixels)));
        Openings openings = Openings.of(ink);
        open(sheet);
        double smallDam = dam(PartingLine.ofOrdinaryCell(openings, ink));
        double largeDam = dam(PartingLine.ofLargestCell(openings, ink));
        return new Figures(
                megapixels,
                first,
                median(again),
                median(presses),
                sweepMs,
                longestSweeping,
                longestPanning,
                frame,
                colouredFrame,
                shadowedFrame,
                smallDam,
                largeDam);
    }

    /** Lays a swatch on all ink of the page. */
    private void colourInk() {
        page.locator("#tool-line").click();
        page.locator("#lines-lay").click();
        page.waitForFunction("() => document.getElementById('said').textContent.startsWith('Coloured ')");
        page.locator("#tool-fill").click();
    }

    /** Draws them by hand, in rows of eight, all over the page. */
    private void drawShadows() {
        page.locator("#tool-shadow").click();
        View view = view();
        double[] size = pageSize();
        for (int i = 0; i < effort.shadows; i++) {
            double[] at = view.onScreen(
                    new Point(size[0] * (i % 8 + 0.5) / 8, size[1] * (i / 8 + 0.5) / (effort.shadows / 8.0)));
            for (int step = 0; step <= 12; step++) {
                double angle = 2 * Math.PI * step / 13;
                page.mouse().move(at[0] + SHADOW_PX * Math.cos(angle), at[1] + SHADOW_PX * Math.sin(angle));
                if (step == 0) {
                    page.mouse().down();
                }
            }
            page.mouse().up();
            int laid = i + 1;
            page.waitForFunction("count => document.querySelectorAll('.shadow-row').length === count", laid);
            page.keyboard().press("Escape");
        }
        page.locator("#tool-fill").click();
    }

    /** In pixels of the sheet. */
    private double[] pageSize() {
        List<?> size = (List<?>) page.evaluate("""
                () => {
                  const { layer } = JSON.parse(document.getElementById("desk-state").textContent);
                  return [layer.widthPx, layer.heightPx];
                }""");
        return size.stream().mapToDouble(each -> ((Number) each).doubleValue()).toArray();
    }

    /** From the start of a frame until it is drawn, which reading a pixel back waits for. */
    private double frame() {
        List<?> took = (List<?>) page.evaluate("""
                async (frames) => {
                  const canvas = document.getElementById("sheet");
                  const gl = canvas.getContext("webgl2");
                  const { left, top, width, height } = canvas.getBoundingClientRect();
                  const drawn = () => gl.readPixels(0, 0, 1, 1, gl.RGBA, gl.UNSIGNED_BYTE, new Uint8Array(4));
                  const took = [];
                  for (let i = 0; i < frames; i++) {
                    drawn();
                    let start = 0;
                    requestAnimationFrame(() => (start = performance.now()));
                    // Hardly another size, so that the page is drawn anew.
                    canvas.dispatchEvent(new WheelEvent("wheel", { deltaY: i % 2 ? 1 : -1, bubbles: true,
                      cancelable: true, clientX: left + width / 2, clientY: top + height / 2 }));
                    await new Promise((done) => requestAnimationFrame(done));
                    drawn();
                    took.push(performance.now() - start);
                  }
                  return took;
                }""", effort.frames);
        return median(
                took.stream().mapToDouble(each -> ((Number) each).doubleValue()).toArray());
    }

    /** Draws a line, and takes it back, some times. */
    private double dam(List<Point> line) {
        page.evaluate("""
                () => document.getElementById("sheet").addEventListener(
                  "pointerup", (event) => { window.released = event.timeStamp; }, true)""");
        // Where it was left off is where it opens.
        page.locator("#zoom-fit").click();
        comeNear(line);
        page.locator("#tool-fill").click();
        untilUnpacked(() -> page.locator("#tool-dam").click());
        double[] took = new double[effort.dams];
        for (int i = 0; i < took.length; i++) {
            page.evaluate("() => performance.clearMarks('new cells')");
            // Asked for once the new cells are stored.
            page.waitForResponse(response -> response.url().endsWith("/desk"), () -> draw(line));
            page.waitForFunction("() => performance.getEntriesByName('new cells').length > 0");
            took[i] = ((Number) page.evaluate(
                            "() => performance.getEntriesByName('new cells')[0].startTime - window.released"))
                    .doubleValue();
            untilUnpacked(() -> page.keyboard().press("Control+z"));
        }
        return median(took);
    }

    private void untilUnpacked(Runnable act) {
        page.waitForResponse(response -> response.url().endsWith("/dams/expected") && response.status() == 204, act);
    }

    /** A line is drawn where it can be seen. */
    private void comeNear(List<Point> line) {
        Point from = line.get(0);
        Point to = line.get(line.size() - 1);
        Point middle = new Point((from.x() + to.x()) / 2, (from.y() + to.y()) / 2);
        double length = Math.hypot(to.x() - from.x(), to.y() - from.y());
        View now = view();
        for (int i = 0; i < MOST_WHEELS && now.scale() * length < LEAST_LINE_PX; i++) {
            double[] at = now.onScreen(middle);
            page.mouse().move(at[0], at[1]);
            page.mouse().wheel(0, -120);
            page.waitForFunction(
                    "scale => JSON.parse(document.getElementById('sheet').dataset.view).scale > scale", now.scale());
            now = view();
        }
    }

    /** Where the sheet lies on the screen. */
    private record View(double left, double top, double scale) {
        double[] onScreen(Point place) {
            return new double[] {left + place.x() * scale, top + place.y() * scale};
        }
    }

    private View view() {
        BoundingBox box = page.locator("#sheet").boundingBox();
        Map<?, ?> view = (Map<?, ?>) page.evaluate("() => JSON.parse(document.getElementById('sheet').dataset.view)");
        return new View(
                box.x + ((Number) view.get("x")).doubleValue(),
                box.y + ((Number) view.get("y")).doubleValue(),
                ((Number) view.get("scale")).doubleValue());
    }

    private void draw(List<Point> line) {
        double[] from = view().onScreen(line.get(0));
        double[] to = view().onScreen(line.get(line.size() - 1));
        page.mouse().move(from[0], from[1]);
        page.mouse().down();
        page.mouse().move(to[0], to[1], new Mouse.MoveOptions().setSteps(4));
        page.mouse().up();
    }

    /** Milliseconds from the start of the navigation to the first frame with the sheet in it. */
    private double open(String sheet) {
        page.navigate(sheet);
        page.waitForSelector("#desk[data-ready=true]");
        return ((Number) page.evaluate("() => performance.getEntriesByName('first picture')[0].startTime"))
                .doubleValue();
    }

    private double sweep(BoundingBox box) {
        page.evaluate("() => { window.longest = 0; }");
        page.keyboard().press("2");
        long start = System.nanoTime();
        page.mouse().move(box.x + 280, box.y + 40);
        page.mouse().down();
        for (int row = 0; row < 4; row++) {
            double y = box.y + 40 + row * box.height / 5;
            page.mouse()
                    .move(
                            box.x + (row % 2 == 0 ? box.width - 280 : 280),
                            y,
                            new Mouse.MoveOptions().setSteps(effort.steps));
        }
        page.mouse().up();
        return (System.nanoTime() - start) / 1e6;
    }

    private void pan(BoundingBox box) {
        page.evaluate("() => { window.longest = 0; }");
        page.mouse().move(box.x + box.width / 2, box.y + box.height / 2);
        for (int i = 0; i < 10; i++) {
            page.mouse().wheel(0, -120);
        }
        page.keyboard().down(" ");
        page.mouse().down();
        page.mouse().move(box.x + 200, box.y + 200, new Mouse.MoveOptions().setSteps(2 * effort.steps));
        page.mouse().up();
        page.keyboard().up(" ");
    }

    private double longest() {
        return ((Number) page.evaluate("() => window.longest")).doubleValue();
    }

    private static double median(double[] values) {
        double[] sorted = values.clone();
        Arrays.sort(sorted);
        return sorted[sorted.length / 2];
    }
}
