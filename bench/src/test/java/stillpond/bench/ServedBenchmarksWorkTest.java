package stillpond.bench;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfEnvironmentVariable;

/** Each benchmark of the served application does its work once, small; they fail by themselves when what they look for is not there. */
@EnabledIfEnvironmentVariable(named = "POND_TEST", matches = "all")
class ServedBenchmarksWorkTest {

    private static final int SHEETS = 3;
    private static final int PATIENCE_MS = 60_000;

    private static ServedProcess demo;
    private static HeadlessChromium chromium;
    private static String url;

    @BeforeAll
    static void serve() throws Exception {
        demo = ServedDemo.start();
        chromium = new HeadlessChromium();
        url = demo.url();
        GrownDemo.grow(demo.database(), SHEETS);
    }

    @AfterAll
    static void stop() {
        chromium.close();
        demo.close();
    }

    @Test
    void theDeskIsMeasuredAtWork() throws Exception {
        DeskBench.Figures figures = new DeskBench(page(), url, new DeskBench.Effort(1, 2, 3, 3, 1, 8))
                .enter()
                .measure(1);
        assertThat(List.of(
                        figures.first(),
                        figures.again(),
                        figures.click(),
                        figures.sweep(),
                        figures.frame(),
                        figures.colouredFrame(),
                        figures.dam(),
                        figures.largeDam()))
                .allMatch(millis -> millis > 0);
    }

    @Test
    void peopleFillAtOnce() throws Exception {
        LoadBench.Figures figures = new LoadBench(List.of(url), demo.database(), new LoadBench.Load(4, 1, 1, 3)).run();
        assertThat(figures.acknowledged()).isBetween(1L, 20L);
        assertThat(figures.p50()).isPositive().isLessThanOrEqualTo(figures.p99());
        assertThat(figures.application()).isPositive();
    }

    @Test
    void theLedgerOfManySheetsIsAskedFor() {
        assertThat(new LedgerBench(page(), SHEETS, 1).run(url))
                .hasSize(16)
                .allMatch(figure -> figure.median() > 0)
                .last()
                .satisfies(figure -> assertThat(figure.what()).contains("by 3 sheets"));
    }

    @Test
    void aSwatchIsEditedUnderAnOpenDesk() {
        PaletteBench.Figures figures = new PaletteBench(page(), SHEETS).run(url, 0, 1);
        assertThat(figures.committed()).isPositive();
        assertThat(figures.repainted()).isPositive();
    }

    @Test
    void aProjectGoesOutAsAFileAndComesInAgain() throws Exception {
        TravelBench.Figure figure = new TravelBench(new DemoMember(url, "lead"), 2).run(demo.database());
        assertThat(figure.layers()).isGreaterThanOrEqualTo(2);
        assertThat(figure.bytes()).isGreaterThan(10_000);
        assertThat(List.of(figure.out(), figure.in())).allMatch(millis -> millis > 0);
    }

    @Test
    void aPointIsDraggedAmongShapes() {
        BlockInBench bench = new BlockInBench(new ShapesPage(600, 400, 6, 4), 4);
        BlockInBench.Core core = bench.core();
        assertThat(core.shapes()).isEqualTo(24);
        assertThat(List.of(core.fresh(), core.shown(), core.remade())).allMatch(millis -> millis > 0);
        BlockInBench.Desk desk = bench.desk(page(), url);
        assertThat(List.of(desk.handled(), desk.painted(), desk.frame())).allMatch(millis -> millis > 0);
    }

    private static Page page() {
        Page page = chromium.newContext().newPage();
        page.setDefaultTimeout(PATIENCE_MS);
        return page;
    }
}
