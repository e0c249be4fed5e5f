package stillpond.bench;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import stillpond.core.colour.Srgb;
import stillpond.core.ledger.NearTwins;

/** The pages that look over a whole project of many sheets with 1000 cells each: ledger, find, the project, change some sheets, the sheet to sign, and compare for a scene of 40; and near twins among 5000 colours. */
final class LedgerBench {

    private static final int ROUNDS = 9;
    private static final int COLOURS = 5000;
    private static final double THRESHOLD = 2.3;

    private final Page page;
    private final int sheets;
    private final int rounds;

    /** @param sheets how many the demo's project was grown by */
    LedgerBench(Page page, int sheets, int rounds) {
        this.page = page;
        this.sheets = sheets;
        this.rounds = rounds;
    }

    /** In milliseconds: the first time, and the median of all. */
    record Figure(String what, double first, double median, int rounds) {

        static Figure of(String what, List<Double> took) {
            return new Figure(what, took.get(0), took.stream().sorted().toList().get(took.size() / 2), took.size());
        }

        @Override
        public String toString() {
            return String.format("%s: %.0f ms (first %.0f ms, median of %d)", what, median, first, rounds);
        }
    }

    public static void main(String[] args) throws Exception {
        nearTwins();
        int sheets = args.length > 1 ? Integer.parseInt(args[1]) : GrownDemo.SHEETS;
        GrownDemo.grow(ServedDatabase.ofEnvironment(), sheets);
        try (HeadlessChromium chromium = new HeadlessChromium()) {
            Page page = chromium.newContext().newPage();
            page.setDefaultTimeout(120_000);
            new LedgerBench(page, sheets, ROUNDS).run(args[0]).forEach(System.out::println);
        }
    }

    List<Figure> run(String url) {
        page.navigate(url);
        page.getByText("Enter as the colourist").click();
        page.getByText("The Tide Post").first().click();
        page.waitForURL("**/projects/*");
        String project = page.url();
        List<Figure> figures = new ArrayList<>();
        figures.add(fetch("the ledger of " + sheets + " sheets with 1000 cells each", project + "/ledger", "Coat"));
        page.navigate(project + "/find");
        String swatch = page.locator("select[name=swatch] option").nth(5).getAttribute("value");
        figures.add(fetch("finding a swatch on " + sheets + " sheets", project + "/find?swatch=" + swatch, "Copy 0"));
        page.navigate(project + "/compare/sheets");
        String scene = page.locator("select[name=scene] option")
                .filter(new Locator.FilterOptions().setHasText("Copies 0"))
                .getAttribute("value");
        figures.addAll(pictures("the project", project, "main img"));
        figures.addAll(pictures("the ledger", project + "/ledger", "main tbody tr, main li"));
        figures.addAll(pictures("find", project + "/find?swatch=" + swatch, ".find-sheets li"));
        figures.addAll(pictures("change some sheets", project + "/reach", "[name=sheet]"));
        String compared = Math.min(sheets, GrownDemo.IN_SCENE) + " sheets";
        figures.addAll(pictures("to sign, all sheets", project + "/compare/consistency", "main tbody tr"));
        page.navigate(project + "/compare");
        String character = page.locator("input[name=card]").nth(1).getAttribute("value");
        figures.addAll(pictures(
                "compare, parts of one character by " + compared,
                project + "/compare?scene=" + scene + "&card=" + character,
                ".compare-table tbody tr:not(.compare-group)"));
        figures.addAll(pictures(
                "compare, parts by " + compared,
                project + "/compare?scene=" + scene,
                ".compare-table tbody tr:not(.compare-group)"));
        return figures;
    }

    /** @param shows what an answer has to hold to be the one that is meant */
    private Figure fetch(String what, String address, String shows) {
        List<Double> took = new ArrayList<>();
        for (int round = 0; round < rounds; round++) {
            took.add(((Number) page.evaluate("""
                    async ([address, shows]) => {
                      const start = performance.now();
                      const answer = await fetch(address);
                      const text = await answer.text();
                      const took = performance.now() - start;
                      if (!answer.ok || !text.includes(shows)) throw new Error(`${address}: ${answer.status}, no ${shows}`);
                      return took;
                    }""", List.of(address, shows))).doubleValue());
        }
        return Figure.of(what, took);
    }

    /** From asking for a page to the first paint that shows something of it, and until all of it is there. @param shows what it must have */
    private List<Figure> pictures(String what, String address, String shows) {
        List<Double> took = new ArrayList<>();
        List<Double> whole = new ArrayList<>();
        for (int round = 0; round < rounds; round++) {
            page.navigate(address);
            page.waitForFunction("() => performance.getEntriesByName('first-contentful-paint').length > 0");
            took.add(((Number)
                            page.evaluate("() => performance.getEntriesByName('first-contentful-paint')[0].startTime"))
                    .doubleValue());
            whole.add(((Number) page.evaluate("() => performance.getEntriesByType('navigation')[0].loadEventEnd"))
                    .doubleValue());
        }
        int count = page.locator(shows).count();
        if (count == 0) {
            throw new IllegalStateException(address + " shows nothing.");
        }
        return List.of(
                Figure.of(what + " (" + count + "), first picture", took),
                Figure.of(what + " (" + count + "), all of it", whole));
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
