package stillpond.bench;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import stillpond.core.colour.Srgb;
import stillpond.core.ledger.NearTwins;

/** The pages that look over a whole project of 200 sheets with 1000 cells each: ledger, find, and compare for a scene of 40; and near twins among 5000 colours. */
final class LedgerBench {

    private static final int ROUNDS = 9;
    private static final int COLOURS = 5000;
    private static final double THRESHOLD = 2.3;

    private LedgerBench() {}

    public static void main(String[] args) throws Exception {
        nearTwins();
        GrownDemo.grow();
        try (HeadlessChromium chromium = new HeadlessChromium()) {
            Page page = chromium.newContext().newPage();
            page.setDefaultTimeout(120_000);
            page.navigate(args[0]);
            page.getByText("Enter as the colourist").click();
            page.getByText("The Tide Post").first().click();
            page.waitForURL("**/projects/*");
            String project = page.url();
            fetch(page, "the ledger of 200 sheets with 1000 cells each", project + "/ledger");
            page.navigate(project + "/find");
            String swatch = page.locator("select[name=swatch] option").nth(5).getAttribute("value");
            fetch(page, "finding a swatch on 200 sheets", project + "/find?swatch=" + swatch);
            page.navigate(project + "/compare/sheets");
            String scene = page.locator("select[name=scene] option")
                    .filter(new Locator.FilterOptions().setHasText("Copies 0"))
                    .getAttribute("value");
            firstPicture(page, project + "/compare?scene=" + scene);
        }
    }

    private static void fetch(Page page, String what, String address) {
        List<Double> took = new ArrayList<>();
        for (int round = 0; round < ROUNDS; round++) {
            took.add(((Number) page.evaluate("""
                    async (address) => {
                      const start = performance.now();
                      await (await fetch(address)).text();
                      return performance.now() - start;
                    }""", address)).doubleValue());
        }
        report(what, took);
    }

    /** From asking for the page to the first paint that shows something of it. */
    private static void firstPicture(Page page, String address) {
        List<Double> took = new ArrayList<>();
        List<Double> whole = new ArrayList<>();
        for (int round = 0; round < ROUNDS; round++) {
            page.navigate(address);
            took.add(((Number)
                            page.evaluate("() => performance.getEntriesByName('first-contentful-paint')[0].startTime"))
                    .doubleValue());
            whole.add(((Number) page.evaluate("() => performance.getEntriesByType('navigation')[0].loadEventEnd"))
                    .doubleValue());
        }
        int parts = page.locator(".compare-table tbody tr:not(.compare-group)").count();
        String size = parts + " parts by " + GrownDemo.IN_SCENE + " sheets";
        report("compare, " + size + ", first picture", took);
        report("compare, " + size + ", with every crop", whole);
    }

    private static void report(String what, List<Double> took) {
        System.out.printf(
                "%s: %.0f ms (first %.0f ms, median of %d)%n",
                what, took.stream().sorted().toList().get(took.size() / 2), took.get(0), took.size());
    }

    private static void nearTwins() {
        List<Srgb> colours =
                new Random(1).ints(COLOURS, 0, 1 << 24).mapToObj(Srgb::ofPacked).toList();
        double[] millis = new double[ROUNDS];
        int found = 0;
        for (int round = 0; round < ROUNDS; round++) {
            long start = System.nanoTime();
            found = NearTwins.among(colours, THRESHOLD).size();
            millis[round] = (System.nanoTime() - start) / 1e6;
        }
        double first = millis[0];
        Arrays.sort(millis);
        System.out.printf(
                "near twins among %d colours: %.0f ms (first %.0f ms, median of %d), %d pairs%n",
                COLOURS, millis[ROUNDS / 2], first, ROUNDS, found);
    }
}
