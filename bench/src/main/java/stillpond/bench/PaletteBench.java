package stillpond.bench;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Page;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;

/** Editing a swatch of a project of 200 sheets with 1000 cells each: until it is committed, and until an open desk has repainted. */
final class PaletteBench {

    private static final int SHEETS = 200;
    private static final int ROUNDS = 9;
    private static final int WARM_UP_ROUNDS = 2;

    private PaletteBench() {}

    public static void main(String[] args) throws Exception {
        growDemo();
        try (HeadlessChromium chromium = new HeadlessChromium()) {
            BrowserContext context = chromium.newContext();
            Page desk = context.newPage();
            desk.setDefaultTimeout(120_000);
            desk.navigate(args[0]);
            desk.getByText("Enter as the colourist").click();
            desk.getByText("The Tide Post").first().click();
            desk.getByText("The crossing").first().click();
            desk.waitForSelector("#desk[data-ready=true]");
            String coat = (String)
                    desk.evaluate(
                            "() => JSON.parse(document.getElementById('desk-state').textContent).cards.flatMap(c => c.swatches).find(s => s.name === 'Coat').id");
            List<Double> commits = new ArrayList<>();
            List<Double> repaints = new ArrayList<>();
            for (int round = 0; round < ROUNDS; round++) {
                String colour = String.format("#%02x6f5e", 20 + 10 * round);
                double[] took = edit(desk, coat, colour);
                if (round >= WARM_UP_ROUNDS) {
                    commits.add(took[0]);
                    repaints.add(took[1]);
                }
            }
            System.out.printf(
                    "a swatch edit in a project of %d sheets with 1000 cells each: committed in %.0f ms, an open desk repainted in %.0f ms (medians of %d)%n",
                    SHEETS, median(commits), median(repaints), commits.size());
        }
    }

    /** In milliseconds, from asking: until the answer, and until the frame after the desk has the new colour. */
    private static double[] edit(Page desk, String swatch, String colour) {
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

    /** Copies a sheet of the demo, with 1000 cells that wear the cards' swatches in turn. */
    private static void growDemo() throws Exception {
        try (Connection connection = DriverManager.getConnection(
                        System.getenv("POND_DB_URL"),
                        System.getenv("POND_DB_USER"),
                        System.getenv("POND_DB_PASSWORD"));
                Statement statement = connection.createStatement()) {
            statement.execute("create temp table one_sheet as select * from sheet where title = 'The crossing'");
            statement.execute(
                    "create temp table one_layer as select * from layer where is_current and sheet_id = (select id from one_sheet)");
            for (int i = 0; i < SHEETS; i++) {
                statement.execute("update one_sheet set id = gen_random_uuid(), title = 'Copy " + i + "', position = "
                        + (100 + i));
                statement.execute("insert into sheet select * from one_sheet");
                statement.execute(
                        "update one_layer set id = gen_random_uuid(), sheet_id = (select id from one_sheet), cell_count = 1000, "
                                + "regions = (select array_agg(n order by n) from generate_series(0, 999) n)");
                statement.execute("insert into layer select * from one_layer");
                statement.execute("""
                        insert into cell_fill (layer_id, cell, swatch_id)
                        select (select id from one_layer), n, s.ids[1 + n % array_length(s.ids, 1)]
                        from generate_series(0, 999) n,
                             (select array_agg(swatch.id) ids from swatch join card on card.id = card_id
                              where project_id = (select project_id from one_sheet)) s""");
            }
        }
    }
}
