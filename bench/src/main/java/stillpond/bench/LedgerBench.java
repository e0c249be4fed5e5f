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
        GrownDemo.grow(ServedDatabase.ofEnvironment(), GrownDemo.SHEETS);
        try (HeadlessChromium chromium = new HeadlessChromium()) {
            Page page = chromium.newContext().newPage();
            page.setDefaultTimeout(120_000);
            new LedgerBench(page, GrownDemo.SHEETS, ROUNDS).run(args[0]).forEach(System.out::println);
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
        figures.addAll(firstPicture(project + "/compare?scene=" + scene));
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

    /** From asking for the page to the first paint that shows something of it. */
    private List<Figure> firstPicture(String address) {
        List<Double> took = new ArrayList<>();
        List<Double> whole = new ArrayList<>();
        for (int round = 0; round < rounds; round++) {
            page.navigate(address);
            took.add(((Number)
                            page.evaluate("() => performance.getEntriesByName('first-contentful-paint')[0].startTime"))
                    .doubleValue());
            whole.add(((Number) page.evaluate("() => performance.getEntriesByType('navigation')[0].loadEventEnd"))
                    .doubleValue());
        }
        int parts = page.locator(".compare-table tbody tr:not(.compare-group)").count();
        if (parts == 0) {
            throw new IllegalStateException("Nothing was compared.");
        }
        String size = parts + " parts by " + Math.min(sheets, GrownDemo.IN_SCENE) + " sheets";
        return List.of(
                Figure.of("compare, " + size + ", first picture", took),
                Figure.of("compare, " + size + ", with every crop", whole));
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
