package stillpond.app.carry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.simple.JdbcClient;
import stillpond.app.sheet.ChangeRequest;
import stillpond.app.sheet.HandDams;
import stillpond.app.sheet.Layer;
import stillpond.app.sheet.LayerGroups;
import stillpond.app.sheet.Planes;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.SheetChanges;
import stillpond.app.sheet.Sheets;
import stillpond.app.support.Drawings;
import stillpond.app.support.TestPond;
import stillpond.app.support.Visitor;
import stillpond.app.support.Work;
import stillpond.core.fill.Fill;
import stillpond.core.format.PlaneCodec;
import stillpond.core.gap.DamState;
import stillpond.core.gap.Opening;
import stillpond.core.gap.Point;

/**
 * A run over several sheets, and the queue of what it is in doubt of. Places are in the units of the drawing, 600 x 400. Three sheets are laid; what the belt
 * wears they do not agree about.
 */
class CarryBookTest {

    private static final Pattern QUESTION = Pattern.compile("name=\"question\" value=\"([0-9a-f-]{36})\"");

    private final TestPond pond = TestPond.shared();
    private final Work work = Work.begin(pond);
    private final Visitor visitor = Visitor.signedIn(pond, work.person());
    private final CarryRuns runs = pond.bean(CarryRuns.class);
    private final String address = "/projects/" + work.project() + "/carry";
    private final List<Sheet> book = new ArrayList<>();
    private final UUID coat = work.coat().id();
    private final UUID scarf = work.scarf().id();

    /** The same person on five sheets, a step further to the right on each. */
    @BeforeEach
    void drawABook() {
        for (int step = 0; step < 5; step++) {
            book.add(work.bringToDesk(Drawings.person("translate(" + 40 * step + " 0)")));
        }
        for (int sheet = 0; sheet < 3; sheet++) {
            lay(sheet, coat, 185, 180);
            lay(sheet, coat, 185, 260);
            lay(sheet, scarf, 185, 100);
            lay(sheet, sheet == 2 ? coat : scarf, 185, 221);
        }
    }

    private void lay(int sheet, UUID swatch, int x, int y) {
        work.lay(book.get(sheet), swatch, 5 * (x + 40 * sheet), 5 * y);
    }

    private Fill worn(int sheet, int x, int y) {
        Layer layer = pond.bean(Sheets.class)
                .get(work.project(), book.get(sheet).id())
                .layer();
        double scale = layer.widthPx() / 600.0;
        int cell = PlaneCodec.cellAt(
                pond.bean(Planes.class).content(layer.cells()), (int) (scale * (x + 40 * sheet)), (int) (scale * y));
        return pond.bean(Sheets.class).fills(layer).of(cell);
    }

    private CarryRuns.Shown carry(List<Integer> sources, List<Integer> targets) {
        String[] fields = Stream.concat(
                        sources.stream()
                                .flatMap(sheet ->
                                        Stream.of("source", book.get(sheet).id().toString())),
                        targets.stream()
                                .flatMap(sheet ->
                                        Stream.of("target", book.get(sheet).id().toString())))
                .toArray(String[]::new);
        assertThat(visitor.submit(address, fields).statusCode()).isIn(200, 302);
        await().atMost(Duration.ofMinutes(2)).until(() -> latest().isOver());
        return latest();
    }

    private CarryRuns.Shown latest() {
        return runs.of(work.project()).get(0);
    }

    private List<String> asked(UUID run) {
        Matcher found =
                QUESTION.matcher(visitor.get(address + "/" + run + "/queue").body());
        return found.results().map(each -> each.group(1)).toList();
    }

    private String answer(UUID run, String act, String fill, List<String> questions) {
        String[] fields = Stream.concat(
                        Stream.of("act", act, "fill", fill),
                        questions.stream().flatMap(each -> Stream.of("question", each)))
                .toArray(String[]::new);
        return visitor.submit(address + "/" + run + "/queue", fields).body();
    }

    @Test
    void whatIsSureIsLaidAndWhatTheSourcesDisagreeAboutIsAskedOnceForAllSheets() {
        CarryRuns.Shown run = carry(List.of(0, 1, 2), List.of(3, 4));
        assertThat(run.state()).isEqualTo(StoredRun.State.DONE);
        for (int sheet = 3; sheet < 5; sheet++) {
            assertThat(worn(sheet, 185, 180)).isEqualTo(Fill.flat(coat));
            assertThat(worn(sheet, 185, 100)).isEqualTo(Fill.flat(scarf));
            assertThat(worn(sheet, 185, 221))
                    .as("the belt, of which they disagree")
                    .isEqualTo(Fill.NONE);
        }
        List<String> belts = asked(run.id());
        assertThat(belts).as("both belts at once").hasSize(2);

        String next = answer(run.id(), "TAKE", coat.toString(), belts);
        assertThat(next).contains("Laid Juniper, Coat on 2 regions.");
        assertThat(worn(3, 185, 221)).isEqualTo(Fill.flat(coat));
        assertThat(worn(4, 185, 221)).isEqualTo(Fill.flat(coat));
        assertThat(asked(run.id())).doesNotContainAnyElementsOf(belts);
        assertThat(answer(run.id(), "TAKE", scarf.toString(), belts)).contains("Nothing was laid");
        assertThat(worn(3, 185, 221)).isEqualTo(Fill.flat(coat));

        assertThat(answer(run.id(), "TAKE_BACK", "none", List.of())).contains("Taken back.");
        assertThat(worn(3, 185, 221)).isEqualTo(Fill.NONE);
        assertThat(worn(4, 185, 221)).isEqualTo(Fill.NONE);
        assertThat(asked(run.id())).containsExactlyInAnyOrderElementsOf(belts);
    }

    @Test
    void whatIsCorrectedOnOneSheetIsKnownOnTheNext() {
        CarryRuns.Shown first = carry(List.of(0, 1, 2), List.of(3));
        List<String> belt = asked(first.id());
        assertThat(visitor.get(address + "/" + first.id() + "/queue").body())
                .containsSubsequence("value=\"" + scarf + "\"", "value=\"" + coat + "\"");
        answer(first.id(), "TAKE", coat.toString(), belt);
        CarryRuns.Shown second = carry(List.of(0, 1, 2), List.of(4));
        if (!worn(4, 185, 221).equals(Fill.flat(coat))) {
            assertThat(visitor.get(address + "/" + second.id() + "/queue").body())
                    .as("the coat is likelier now")
                    .containsSubsequence("value=\"" + coat + "\"", "value=\"" + scarf + "\"");
        }
        assertThat(worn(4, 185, 221)).isNotEqualTo(Fill.flat(scarf));
    }

    @Test
    void whatSomebodyFilledMeanwhileStandsAndIsNotAskedAbout() {
        lay(3, scarf, 185, 180);
        CarryRuns.Shown run = carry(List.of(0, 1, 2), List.of(3, 4));
        assertThat(worn(3, 185, 180)).isEqualTo(Fill.flat(scarf));
        assertThat(asked(run.id())).hasSize(2);
        lay(3, coat, 185, 221);
        assertThat(asked(run.id())).hasSize(1);
        answer(run.id(), "LEAVE", "none", asked(run.id()));
        assertThat(asked(run.id())).isEmpty();
        assertThat(answer(run.id(), "ASK_AGAIN", "none", List.of())).contains("1 region in doubt");
    }

    @Test
    void aRunIsTakenBackAsAWholeOrSheetBySheet() {
        CarryRuns.Shown run = carry(List.of(0, 1), List.of(3, 4));
        visitor.submit(address + "/" + run.id() + "/take-back", "sheet", "0");
        assertThat(worn(3, 185, 180)).isEqualTo(Fill.NONE);
        assertThat(worn(4, 185, 180)).isEqualTo(Fill.flat(coat));
        lay(4, coat, 185, 100);
        visitor.submit(address + "/" + run.id() + "/take-back");
        assertThat(worn(4, 185, 180)).isEqualTo(Fill.NONE);
        assertThat(worn(4, 185, 100)).as("laid by hand since").isEqualTo(Fill.flat(coat));
        assertThat(runs.get(work.project(), run.id()).sheets())
                .extracting(CarryRuns.ShownSheet::state)
                .containsOnly(StoredRunSheet.State.TAKEN_BACK);
    }

    @Test
    void groupsComeAlongAndWhatIsLockedStays() {
        LayerGroups groups = pond.bean(LayerGroups.class);
        UUID author = work.account();
        groups.change(present(0), author, "Made", all -> all.making(new UUID(5, 1), "Her coat", cells(0)));
        groups.change(
                present(4),
                author,
                "Made",
                all -> all.making(new UUID(5, 2), "Later", cells(4))
                        .changing(new UUID(5, 2), group -> group.locked(true)));
        CarryRuns.Shown run = carry(List.of(0), List.of(3, 4));
        assertThat(groups.of(present(3).layer().id()).groups()).singleElement().satisfies(group -> {
            assertThat(group.name()).isEqualTo("Her coat");
            assertThat(group.cells()).containsAll(cells(3));
        });
        assertThat(worn(4, 185, 180)).as("locked").isEqualTo(Fill.NONE);
        assertThat(worn(4, 185, 100)).isEqualTo(Fill.flat(scarf));

        visitor.submit(address + "/" + run.id() + "/take-back", "sheet", "0");
        assertThat(groups.of(present(3).layer().id()).groups()).isEmpty();
    }

    /** A line across her coat stops short of its side; on the model somebody has said whether fills run through there. */
    @Test
    void whatWasSaidOfAGapComesAlongAndIsTakenBackWithTheRun() {
        for (int step : new int[] {5, 6}) {
            String cut = new String(Drawings.person("translate(" + 40 * step + " 0)"), StandardCharsets.UTF_8)
                    .replace("M130 210H240", "M130 180H216M130 210H240");
            book.add(work.bringToDesk(cut.getBytes(StandardCharsets.UTF_8)));
        }
        lay(5, coat, 185, 165);
        lay(5, coat, 185, 195);
        lay(5, coat, 185, 260);
        for (int[] place : new int[][] {{185, 100}, {185, 221}, {156, 320}, {216, 320}, {282, 250}, {282, 222}}) {
            lay(5, scarf, place[0], place[1]);
        }
        int gap = gapBeside(5);
        boolean isShut = pond.bean(Sheets.class).dams(present(5).layer()).isShut(gap, gaps(5).get(gap));
        DamState said = isShut ? DamState.OPEN : DamState.SHUT;
        pond.bean(SheetChanges.class)
                .make(
                        book.get(5).id(),
                        work.account(),
                        new ChangeRequest.Dam(
                                UUID.randomUUID(), present(5).layer().id(), Map.of(gap, said), OptionalDouble.empty()));

        CarryRuns.Shown run = carry(List.of(5), List.of(6));
        assertThat(pond.bean(Sheets.class).dams(present(6).layer()).of(gapBeside(6)))
                .isEqualTo(said);
        assertThat(worn(6, 185, 165)).isEqualTo(Fill.flat(coat));
        visitor.submit(address + "/" + run.id() + "/take-back");
        assertThat(pond.bean(Sheets.class).dams(present(6).layer()).of(gapBeside(6)))
                .isEqualTo(DamState.BY_REACH);
    }

    @Test
    void aDamDrawnByHandComesAlongFromTheDeskOrWithARun() {
        for (int step : new int[] {5, 6, 7}) {
            book.add(work.bringToDesk(Drawings.person("translate(" + 40 * step + " 0)")));
        }
        for (int[] place : new int[][] {{185, 180}, {185, 260}}) {
            lay(5, coat, place[0], place[1]);
        }
        for (int[] place : new int[][] {{185, 100}, {185, 221}, {156, 320}, {216, 320}, {282, 250}, {282, 222}}) {
            lay(5, scarf, place[0], place[1]);
        }
        double scale = present(5).layer().widthPx() / 600.0;
        boolean isDrawn = pond.bean(HandDams.class)
                .draw(
                        present(5),
                        work.account(),
                        List.of(new Point(scale * 326, scale * 165), new Point(scale * 444, scale * 165)),
                        seen -> {});
        assertThat(isDrawn).isTrue();
        assertThat(drawn(6)).isZero();

        CarryRuns.Shown run = carry(List.of(5), List.of(6));
        assertThat(drawn(6)).isPositive();
        assertThat(worn(6, 185, 180)).isEqualTo(Fill.flat(coat));
        visitor.submit(address + "/" + run.id() + "/take-back");
        assertThat(drawn(6)).isZero();
        assertThat(worn(6, 185, 180)).isEqualTo(Fill.NONE);

        String sources = "{\"sources\":[\"" + book.get(5).id() + "\"],\"overFilled\":false}";
        assertThat(visitor.post(work.address(book.get(7)) + "/carry", sources).body())
                .contains("\"along\":{\"gaps\":1,\"groups\":0}");
        visitor.post(work.address(book.get(7)) + "/carry/along", sources);
        assertThat(drawn(7)).isPositive();
        assertThat(visitor.post(work.address(book.get(7)) + "/carry", sources).body())
                .as("there already")
                .contains("\"along\":{\"gaps\":0,\"groups\":0}");
    }

    private long drawn(int sheet) {
        return gaps(sheet).stream()
                .filter(gap -> gap.kind() == Opening.Kind.HAND)
                .count();
    }

    private List<Opening> gaps(int sheet) {
        return pond.bean(Sheets.class).openings(present(sheet).layer()).openings();
    }

    /** Between the end of the line across the coat and its side. */
    private int gapBeside(int sheet) {
        double scale = present(sheet).layer().widthPx() / 600.0;
        Point place = new Point(scale * (228 + 40 * sheet), scale * 180);
        List<Opening> gaps = gaps(sheet);
        return IntStream.range(0, gaps.size())
                .boxed()
                .filter(i -> gaps.get(i).middle().distanceTo(place) < 12 * scale)
                .min(Comparator.comparingDouble(i -> gaps.get(i).middle().distanceTo(place)))
                .orElseThrow();
    }

    private Sheet present(int sheet) {
        return pond.bean(Sheets.class).get(work.project(), book.get(sheet).id());
    }

    /** The upper half of the coat. */
    private List<Integer> cells(int sheet) {
        Layer layer = present(sheet).layer();
        double scale = layer.widthPx() / 600.0;
        int cell = PlaneCodec.cellAt(
                pond.bean(Planes.class).content(layer.cells()), (int) (scale * (185 + 40 * sheet)), (int)
                        (scale * 180));
        return pond.bean(Sheets.class).regions(layer).with(cell);
    }

    @Test
    void whatIsBrokenOrGoneIsNamedAndTheRestGoesOn() {
        JdbcClient database = pond.bean(JdbcClient.class);
        // A drawing that no other test has: planes are shared by those that are equal.
        book.set(3, work.bringToDesk(Drawings.person("translate(7 3)")));
        String broken = pond.bean(Sheets.class)
                .get(work.project(), book.get(3).id())
                .layer()
                .cells();
        database.sql("update plane set content = ? where sha256 = ?")
                .params(Arrays.copyOf(new byte[] {7}, 40), broken)
                .update();
        visitor.submit(work.address(book.get(1)) + "/remove");
        CarryRuns.Shown run = carry(List.of(0), List.of(3, 4));
        assertThat(run.sheets())
                .extracting(CarryRuns.ShownSheet::state)
                .containsExactly(StoredRunSheet.State.DONE, StoredRunSheet.State.FAILED);
        assertThat(worn(4, 185, 180)).isEqualTo(Fill.flat(coat));
        String page = visitor.get(address + "/" + run.id()).body();
        assertThat(page).contains("not carried to: something went wrong here");
        String removed = book.get(1).id().toString();
        assertThat(visitor.submit(
                                address,
                                "source",
                                removed,
                                "target",
                                book.get(4).id().toString())
                        .statusCode())
                .isEqualTo(404);
    }

    @Test
    void aRunThatIsPausedGoesOnWhereItWasAndOneThatIsEndedDoesNot() {
        CarryRuns.Order order = new CarryRuns.Order(
                List.of(book.get(0).id()), List.of(book.get(3).id(), book.get(4).id()), true);
        UUID run = runs.begin(work.project(), work.account(), order);
        visitor.submit(address + "/" + run + "/pause");
        assertThat(runs.next(run)).isEmpty();
        assertThat(visitor.submit(address + "/" + run + "/pause").body()).contains("is not under way any more");
        visitor.submit(address + "/" + run + "/go-on");
        await().atMost(Duration.ofMinutes(2))
                .until(() -> runs.get(work.project(), run).isOver());
        assertThat(runs.get(work.project(), run).done()).isEqualTo(2);
        assertThat(worn(4, 185, 180)).isEqualTo(Fill.flat(coat));

        UUID other = runs.begin(work.project(), work.account(), order);
        visitor.submit(address + "/" + other + "/cancel");
        assertThat(runs.next(other)).isEmpty();
        assertThat(runs.get(work.project(), other).done()).isZero();
    }

    @Test
    void aRunThatComesToNothingIsRefused() {
        assertThat(visitor.submit(address, "target", book.get(3).id().toString())
                        .body())
                .contains("Choose at least one sheet to carry from.");
        assertThat(visitor.submit(
                                address,
                                "source",
                                book.get(0).id().toString(),
                                "target",
                                book.get(0).id().toString())
                        .body())
                .contains("that is not carried from");
        assertThat(runs.of(work.project())).isEmpty();
    }
}
