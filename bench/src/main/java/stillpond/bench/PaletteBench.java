package stillpond.bench;

import com.microsoft.playwright.Page;
import java.util.ArrayList;
import java.util.List;

/** Editing a swatch of a project of 200 sheets with 1000 cells each: until it is committed, and until an open desk has repainted. */
final class PaletteBench {

    private static final int ROUNDS = 9;
    private static final int WARM_UP_ROUNDS = 2;

    private final Page desk;
    private final int sheets;

    /** @param sheets how many the demo's project was grown by */
    PaletteBench(Page desk, int sheets) {
        this.desk = desk;
        this.sheets = sheets;
    }

    /** Medians in milliseconds. */
    record Figures(int sheets, double committed, double repainted, int rounds) {
        @Override
        public String toString() {
            return String.format(
                    "a swatch edit in a project of %d sheets with 1000 cells each: committed in %.0f ms, an open desk repainted in %.0f ms (medians of %d)",
                    sheets, committed, repainted, rounds);
        }
    }

    public static void main(String[] args) throws Exception {
        GrownDemo.grow(ServedDatabase.ofEnvironment(), GrownDemo.SHEETS);
        try (HeadlessChromium chromium = new HeadlessChromium()) {
            Page desk = chromium.newContext().newPage();
            desk.setDefaultTimeout(120_000);
            System.out.println(new PaletteBench(desk, GrownDemo.SHEETS).run(args[0], WARM_UP_ROUNDS, ROUNDS));
        }
    }

    Figures run(String url, int warmUpRounds, int rounds) {
        desk.navigate(url);
        desk.getByText("Enter as the colourist").click();
        desk.getByText("The Tide Post").first().click();
        desk.getByText("The crossing").first().click();
        desk.waitForSelector("#desk[data-ready=true]");
        String coat = (String)
                desk.evaluate(
                        "() => JSON.parse(document.getElementById('desk-state').textContent).palette.cards.flatMap(c => c.swatches).find(s => s.name === 'Coat').id");
        List<Double> commits = new ArrayList<>();
        List<Double> repaints = new ArrayList<>();
        for (int round = 0; round < rounds; round++) {
            double[] took = edit(coat, String.format("#%02x6f5e", 20 + 10 * round));
            if (round >= warmUpRounds) {
                commits.add(took[0]);
                repaints.add(took[1]);
            }
        }
        return new Figures(sheets, median(commits), median(repaints), commits.size());
    }

    /** In milliseconds, from asking: until the answer, and until the frame after the desk has the new colour. */
    private double[] edit(String swatch, String colour) {
        @SuppressWarnings("unchecked")
        List<Number> took = (List<Number>) desk.evaluate("""
                async ([swatch, colour]) => {
                  const token = document.querySelector("meta[name=csrf-token]").content;
                  const project = location.pathname.split("/")[2];
                  const painted = new Promise((resolve) => {
                    const watch = new MutationObserver(() => {
                      if (document.querySelector(`.pebble .stone-drawing path[fill="${colour}"]`)) {
                        watch.disconnect();
                        requestAnimationFrame(() => requestAnimationFrame(() => resolve(performance.now())));
                      }
                    });
                    watch.observe(document.getElementById("cards"), { childList: true, subtree: true });
                  });
                  const start = performance.now();
                  const answer = await fetch(`/projects/${project}/palette/changes`, {
                    method: "POST",
                    headers: { "X-Requested-With": "bench", "X-CSRF-TOKEN": token, "Content-Type": "application/json" },
                    body: JSON.stringify([{ kind: "CHANGE", swatch, colour }]),
                  });
                  if (!answer.ok) throw new Error(await answer.text());
                  await answer.text();
                  const committed = performance.now() - start;
                  return [committed, (await painted) - start];
                }""", List.of(swatch, colour));
        return took.stream().mapToDouble(Number::doubleValue).toArray();
    }

    private static double median(List<Double> values) {
        return values.stream().sorted().toList().get(values.size() / 2);
    }
}
