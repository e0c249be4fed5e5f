package stillpond.bench;

import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import stillpond.core.blockin.Shape;
import stillpond.core.blockin.ShapeMap;
import stillpond.core.blockin.ShapeText;
import stillpond.core.blockin.Shapes;

/** What a change of one shape among many costs: in the core, and while a point is dragged on the desk. */
final class BlockInBench {

    private static final int WARM_UP = 60;
    private static final double MILLIS = 1e6;

    private final ShapesPage page;
    private final int rounds;

    BlockInBench(ShapesPage page, int rounds) {
        this.page = page;
        this.rounds = rounds;
    }

    public static void main(String[] args) throws Exception {
        BlockInBench bench = new BlockInBench(ShapesPage.FULL, 200);
        System.out.println(bench.core());
        try (HeadlessChromium chromium = new HeadlessChromium()) {
            Page page = chromium.newContext().newPage();
            page.setDefaultTimeout(120_000);
            System.out.println(bench.desk(page, args[0]));
        }
    }

    /**
     * Medians, in milliseconds.
     *
     * @param fresh a whole page made from nothing
     * @param shown a moved point shown in the planes
     * @param remade the map after it: planes, and all that is known of the cells
     */
    record Core(int shapes, int pixels, double fresh, double shown, double remade) {
        @Override
        public String toString() {
            return String.format(
                    "%d shapes on %.1f megapixels, in the JVM: a page from nothing %.0f ms; a point that four share, moved: shown %.2f ms, the map made again %.2f ms (medians)",
                    shapes, pixels / 1e6, fresh, shown, remade);
        }
    }

    Core core() {
        Shapes shapes = page.shapes();
        double[] fresh = new double[5];
        for (int i = 0; i < fresh.length; i++) {
            long start = System.nanoTime();
            ShapeMap.of(shapes, page.widthPx(), page.heightPx());
            fresh[i] = (System.nanoTime() - start) / MILLIS;
        }
        ShapeMap map = ShapeMap.of(shapes, page.widthPx(), page.heightPx());
        double[] shown = new double[rounds];
        double[] remade = new double[rounds];
        for (int i = -Math.min(WARM_UP, rounds); i < rounds; i++) {
            long start = System.nanoTime();
            Shapes moved = page.moved(shapes, Math.abs(i));
            map.show(moved);
            double showing = (System.nanoTime() - start) / MILLIS;
            map.show(shapes);
            start = System.nanoTime();
            map.become(moved);
            double making = (System.nanoTime() - start) / MILLIS;
            requireSame(map, moved, i);
            map.become(shapes);
            if (i >= 0) {
                shown[i] = showing;
                remade[i] = making;
            }
        }
        return new Core(
                shapes.all().size(), page.widthPx() * page.heightPx(), median(fresh), median(shown), median(remade));
    }

    /** What was measured has been done: now and then it is compared with a page made from nothing. */
    private void requireSame(ShapeMap map, Shapes moved, int round) {
        if (round % 50 == 0
                && !Arrays.equals(
                        map.map().areasPx(),
                        ShapeMap.of(moved, page.widthPx(), page.heightPx())
                                .map()
                                .areasPx())) {
            throw new IllegalStateException("The map that was made again is not that of the shapes.");
        }
    }

    /**
     * Medians, in milliseconds, in headless Chromium with WebGL2 in software.
     *
     * @param handled from a move of the pointer until the shapes are shown in the planes that the next frame draws
     * @param longest of these
     * @param painted until that frame is drawn
     * @param frame of the same page, as it is zoomed
     */
    record Desk(double handled, double longest, double painted, double frame) {
        @Override
        public String toString() {
            return String.format(
                    "Dragging a point on the desk: handled in %.1f ms (longest %.1f ms), painted after %.0f ms; a frame of that page by itself %.0f ms (medians)",
                    handled, longest, painted, frame);
        }
    }

    Desk desk(Page browser, String url) {
        browser.navigate(url);
        browser.getByText("Enter as the colourist").click();
        browser.getByText("The Tide Post").click();
        browser.navigate(browser.url() + "/block-in");
        browser.locator("input[name=title]").fill("Many shapes");
        browser.getByText("of its own").click();
        browser.locator("input[name=widthMm]").fill(String.valueOf(page.widthPx() * 25.4 / 200));
        browser.locator("input[name=heightMm]").fill(String.valueOf(page.heightPx() * 25.4 / 200));
        browser.getByText("Begin").click();
        browser.waitForSelector("#desk[data-ready=true]");
        put(browser);
        browser.reload();
        browser.waitForSelector("#desk[data-ready=true]");
        browser.keyboard().press("Shift+B");
        browser.locator("label.shape-mode").getByText("Choose").click();
        double[] at = onScreen(browser, 0.5, 0.5);
        browser.mouse().click(at[0], at[1]);
        browser.locator(".span-handle.knot").first().waitFor();
        return dragged(browser);
    }

    private void put(Page browser) {
        Shapes shapes = page.shapes();
        List<String> put = shapes.all().stream().map(ShapeText::of).toList();
        List<Integer> order = shapes.all().stream().map(Shape::number).toList();
        Object status = browser.evaluate("""
                async ({ put, order }) => {
                  const { layer } = JSON.parse(document.getElementById("desk-state").textContent);
                  const answer = await fetch(location.pathname + "/shapes", {
                    method: "POST",
                    headers: { "Content-Type": "application/json", "X-Requested-With": "desk",
                      "X-CSRF-TOKEN": document.querySelector("meta[name=csrf-token]").content },
                    body: JSON.stringify({ layer: layer.id, becomes: crypto.randomUUID(), words: "Drew shapes",
                      put, order, lines: [], like: {}, wears: {} }),
                  });
                  return answer.status;
                }""", Map.of("put", put, "order", order));
        if (((Number) status).intValue() != 204) {
            throw new IllegalStateException("The shapes were answered with " + status);
        }
    }

    private Desk dragged(Page browser) {
        browser.evaluate("""
                () => {
                  window.handled = [];
                  window.painted = [];
                  document.querySelectorAll(".span-handle.knot").forEach((knot) =>
                    knot.addEventListener("pointermove", (event) => {
                      if (event.buttons === 0) return;
                      window.handled.push(performance.now() - event.timeStamp);
                      const frame = new MessageChannel();
                      frame.port1.onmessage = () => window.painted.push(performance.now() - event.timeStamp);
                      requestAnimationFrame(() => frame.port2.postMessage(0));
                    }));
                }""");
        BoundingBox knot = browser.locator(".span-handle.knot").first().boundingBox();
        double x = knot.x + knot.width / 2;
        double y = knot.y + knot.height / 2;
        browser.mouse().move(x, y);
        browser.mouse().down();
        // The tool's own listener is added with the press; what listens after it sees its work done.
        browser.evaluate("""
                () => document.querySelectorAll(".span-handle.knot").forEach((knot) =>
                  knot.addEventListener("pointermove", (event) => {
                    window.handled[window.handled.length - 1] = performance.now() - event.timeStamp;
                  }))""");
        browser.mouse().move(x + 18, y + 14, new Mouse.MoveOptions().setSteps(rounds));
        browser.mouse().up();
        browser.waitForFunction("() => document.getElementById('delivery').textContent === 'Saved'");
        double[] handled = numbers(browser, "window.handled");
        double[] painted = numbers(browser, "window.painted");
        if (handled.length == 0) {
            throw new IllegalStateException("No point was dragged.");
        }
        return new Desk(
                median(handled),
                Arrays.stream(handled).max().orElseThrow(),
                median(painted),
                median(numbers(browser, FRAMES)));
    }

    private static final String FRAMES = """
            (async () => {
              const canvas = document.getElementById("sheet");
              const gl = canvas.getContext("webgl2");
              const drawn = () => gl.readPixels(0, 0, 1, 1, gl.RGBA, gl.UNSIGNED_BYTE, new Uint8Array(4));
              const took = [];
              for (let i = 0; i < 15; i++) {
                drawn();
                const start = performance.now();
                canvas.dispatchEvent(new WheelEvent("wheel", { deltaY: i % 2 ? 1 : -1, bubbles: true,
                  cancelable: true, clientX: 500, clientY: 300 }));
                await new Promise((done) => requestAnimationFrame(done));
                drawn();
                took.push(performance.now() - start);
              }
              return took;
            })()""";

    private static double[] numbers(Page browser, String expression) {
        return ((List<?>) browser.evaluate(expression))
                .stream().mapToDouble(each -> ((Number) each).doubleValue()).toArray();
    }

    private double[] onScreen(Page browser, double shareX, double shareY) {
        BoundingBox box = browser.locator("#sheet").boundingBox();
        Map<?, ?> view =
                (Map<?, ?>) browser.evaluate("() => JSON.parse(document.getElementById('sheet').dataset.view)");
        double scale = ((Number) view.get("scale")).doubleValue();
        return new double[] {
            box.x + ((Number) view.get("x")).doubleValue() + shareX * page.widthPx() * scale + 5,
            box.y + ((Number) view.get("y")).doubleValue() + shareY * page.heightPx() * scale + 5
        };
    }

    private static double median(double[] values) {
        double[] sorted = values.clone();
        Arrays.sort(sorted);
        return sorted[sorted.length / 2];
    }
}
