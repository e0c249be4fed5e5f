package stillpond.bench;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import java.util.Arrays;
import java.util.List;

/** What somebody at the desk waits for, in headless Chromium with WebGL2 in software. */
final class DeskBench {

    private static final int ROUNDS = 3;

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

    private DeskBench(Page page, String url) {
        this.page = page;
        this.url = url;
    }

    public static void main(String[] args) throws Exception {
        try (HeadlessChromium chromium = new HeadlessChromium()) {
            Page page = chromium.newContext().newPage();
            page.setDefaultTimeout(120_000);
            new DeskBench(page, args[0]).run();
        }
    }

    private void run() throws Exception {
        page.navigate(url);
        page.getByText("Enter as the colourist").click();
        page.getByText("The Tide Post").click();
        String project = page.url();
        for (int megapixels : new int[] {4, 35}) {
            measure(megapixels, bring(project, megapixels));
        }
    }

    private String bring(String project, int megapixels) throws Exception {
        page.navigate(project + "/bring");
        byte[] file = MadePage.file(megapixels);
        page.setInputFiles("#files", new FilePayload(megapixels + " megapixels.png", "image/png", file));
        page.locator(".brought-state")
                .filter(new Locator.FilterOptions().setHasText("regions"))
                .waitFor();
        return url + page.getByText("Open on the desk").getAttribute("href");
    }

    private void measure(int megapixels, String sheet) {
        page.navigate("about:blank");
        double first = open(sheet);
        page.waitForSelector("#desk[data-sharp=true]");
        double[] again = new double[ROUNDS];
        for (int i = 0; i < ROUNDS; i++) {
            again[i] = open(sheet);
        }
        page.evaluate(WATCH);
        BoundingBox box = page.locator("#sheet").boundingBox();
        page.keyboard().press("1");
        for (int i = 0; i < 20; i++) {
            page.mouse().click(box.x + 300 + 20 * i, box.y + 120 + 17 * i);
            int pressed = i + 1;
            page.waitForFunction("count => window.presses.length >= count", pressed);
        }
        double[] presses = ((List<?>) page.evaluate("() => window.presses"))
                .stream().mapToDouble(each -> ((Number) each).doubleValue()).toArray();
        double sweepMs = sweep(box);
        double longestSweeping = longest();
        pan(box);
        System.out.printf(
                "%d megapixels: first picture %.0f ms the first time, %.0f ms again; click to painted %.0f ms (median);"
                        + " sweep of the whole page %.0f ms, longest task %.0f ms; panning and zooming, longest task %.0f ms%n",
                megapixels, first, median(again), median(presses), sweepMs, longestSweeping, longest());
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
            page.mouse().move(box.x + (row % 2 == 0 ? box.width - 280 : 280), y, new Mouse.MoveOptions().setSteps(15));
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
        page.mouse().move(box.x + 200, box.y + 200, new Mouse.MoveOptions().setSteps(40));
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
