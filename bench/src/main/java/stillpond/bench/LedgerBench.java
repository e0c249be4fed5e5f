package stillpond.bench;

import com.microsoft.playwright.Page;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import stillpond.core.colour.Srgb;
import stillpond.core.ledger.NearTwins;

/** The ledger of a project of 200 sheets with 1000 cells each, and near twins among 5000 colours. */
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
            String ledger = page.url() + "/ledger";
            List<Double> took = new ArrayList<>();
            for (int round = 0; round < ROUNDS; round++) {
                took.add(((Number) page.evaluate("""
                        async (ledger) => {
                          const start = performance.now();
                          await (await fetch(ledger)).text();
                          return performance.now() - start;
                        }""", ledger)).doubleValue());
            }
            System.out.printf(
                    "the ledger of %d sheets with 1000 cells each: %.0f ms (first %.0f ms, median of %d)%n",
                    GrownDemo.SHEETS, took.stream().sorted().toList().get(ROUNDS / 2), took.get(0), ROUNDS);
        }
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
