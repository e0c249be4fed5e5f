package stillpond.app.sheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.awaitility.Awaitility.await;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.function.Supplier;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import stillpond.app.history.History;
import stillpond.app.support.Drawings;
import stillpond.app.support.TestPond;
import stillpond.app.support.Work;
import stillpond.core.cell.CellPlane;
import stillpond.core.fill.Fill;
import stillpond.core.format.PlaneCodec;
import stillpond.core.format.UnreadableFile;
import stillpond.core.ink.InkSettings;
import stillpond.core.ink.Pencil;

/** Places are given in the units of the drawings, 600 x 400. */
class RecutsTest {

    private final TestPond pond = TestPond.shared();
    private final Recuts recuts = pond.bean(Recuts.class);
    private final SheetChanges changes = pond.bean(SheetChanges.class);
    private Work work;
    private UUID sheet;
    private Fill coat;
    private Fill scarf;

    @BeforeEach
    void fillABoxWithAFaintLineThroughIt() {
        work = Work.begin(pond);
        sheet = work.bring(drawing(0, "<path d='M340 100V300' stroke='#555' stroke-width='6'/>"))
                .id();
        coat = Fill.flat(work.coat().id());
        scarf = Fill.flat(work.scarf().id());
        lay(coat, 300, 200);
        lay(coat, 350, 200);
        lay(scarf, 100, 200);
    }

    @Test
    void fillsStayWhenFaintLinesAreNoInkAnyMore() {
        assertThat(cellAt(300, 200)).isNotEqualTo(cellAt(350, 200));
        assertThat(reanalyse(200)).isEmpty();
        assertThat(cellAt(300, 200)).isEqualTo(cellAt(350, 200));
        assertThat(worn(300, 200)).isEqualTo(coat);
        assertThat(worn(100, 200)).isEqualTo(scarf);
        assertThat(layer().settings().threshold()).hasValue(200);
    }

    @Test
    void aFillThatFindsNoPlaceIsNamedWithItsPlace() {
        lay(scarf, 350, 200);
        List<Recuts.LostFill> lost = reanalyse(200);
        assertThat(lost).singleElement().satisfies(each -> {
            assertThat(each.fill()).isEqualTo(work.scarf().id().toString());
            assertThat(each.x() * 600).isBetween(343.0, 357.0);
        });
        undo();
        assertThat(worn(350, 200)).isEqualTo(scarf);
    }

    /** A desk that was opened just before still asks for the planes of the layer that it knows. */
    @Test
    void planesOfAReplacedLayerAreStillThere() {
        Layer former = layer();
        reanalyse(200);
        assertThat(layer().cells()).isNotEqualTo(former.cells());
        for (String plane : List.of(former.cells(), former.smallCells(), layer().cells())) {
            assertThat(pond.bean(Sheets.class).hasPlane(work.project(), sheet, plane))
                    .isTrue();
        }
        assertThat(pond.bean(Sheets.class).hasPlane(work.project(), sheet, former.source()))
                .as("the file itself is no plane of the desk")
                .isFalse();
    }

    @Test
    void undoGoesBackOverIt() {
        reanalyse(200);
        lay(scarf, 500, 200);
        undo();
        undo();
        assertThat(cellAt(300, 200)).isNotEqualTo(cellAt(350, 200));
        undo();
        assertThat(worn(100, 200)).isEqualTo(Fill.NONE);
        redo();
        redo();
        redo();
        assertThat(cellAt(300, 200)).isEqualTo(cellAt(350, 200));
        assertThat(worn(500, 200)).isEqualTo(scarf);
        assertThat(worn(100, 200)).isEqualTo(scarf);
    }

    /** What somebody else has filled in between stays, and their own undo still finds its place afterwards. */
    @Test
    void undoKeepsWhatOthersHaveFilledSince() {
        UUID other = pond.openAccount("other" + UUID.randomUUID());
        Lay before = new Lay(other, coat, 500, 200);
        make(before);
        reanalyse(200);
        make(new Lay(other, scarf, 300, 200));
        undo();
        assertThat(worn(300, 200)).isEqualTo(scarf);
        assertThat(worn(350, 200)).isEqualTo(scarf);
        assertThat(worn(500, 200)).isEqualTo(coat);
        stepBack(other);
        stepBack(other);
        assertThat(worn(500, 200)).isEqualTo(Fill.NONE);
        assertThat(worn(100, 200)).isEqualTo(scarf);
    }

    @Test
    void aCorrectedDrawingTakesThePlaceAndKeepsTheFills() {
        List<Recuts.LostFill> lost = recuts.replace(
                pond.bean(Sheets.class).get(work.project(), sheet),
                work.account(),
                drawing(4, "<circle cx='300' cy='50' r='20' stroke='#000' stroke-width='6'/>"));
        assertThat(lost).isEmpty();
        assertThat(worn(104, 204)).isEqualTo(scarf);
        assertThat(worn(300, 204)).isEqualTo(coat);
        assertThat(worn(300, 50)).isEqualTo(Fill.NONE);
    }

    @Test
    void anotherPageOrNoPictureIsRefusedAndNothingChanges() {
        String tall =
                "<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 400 600'><rect x='9' y='9' width='90' height='90'/></svg>";
        UUID before = layer().id();
        assertThatThrownBy(() -> recuts.replace(
                        pond.bean(Sheets.class).get(work.project(), sheet), work.account(), tall.getBytes()))
                .isInstanceOf(UnreadableFile.class)
                .hasMessageContaining("another page");
        assertThatThrownBy(() -> recuts.replace(
                        pond.bean(Sheets.class).get(work.project(), sheet), work.account(), new byte[] {1, 2, 3}))
                .isInstanceOf(UnreadableFile.class);
        assertThat(layer().id()).isEqualTo(before);
        assertThat(worn(300, 200)).isEqualTo(coat);
    }

    @Test
    void whatIsReplacedEverywhereIsSoOnCellsThatCameMeanwhile() {
        List<Sheet> scope = List.of(pond.bean(Sheets.class).get(work.project(), sheet));
        Replacing replacing = pond.bean(Replacing.class);
        whileItIsCutAnew(() -> replacing.replace(
                work.project(),
                scope,
                work.account(),
                Set.of(work.coat().id()),
                work.scarf().id()));
        assertThat(worn(300, 200)).isEqualTo(scarf);
        assertThat(worn(100, 200)).isEqualTo(scarf);
    }

    @Test
    void aSwatchTakenFromWhateverWearsItIsTakenFromCellsThatCameMeanwhile() {
        WornSwatches swatches = pond.bean(WornSwatches.class);
        whileItIsCutAnew(() -> inTransaction(() ->
                swatches.replace(work.coat().id(), Optional.of(work.scarf().id()))));
        assertThat(worn(300, 200)).isEqualTo(scarf);
    }

    /** @param change waits until the sheet has other cells */
    private void whileItIsCutAnew(Runnable change) {
        CompletableFuture<Void> changing = inTransaction(() -> {
            pond.bean(History.class).lockSheets(Set.of(sheet));
            CompletableFuture<Void> begun = CompletableFuture.runAsync(change);
            await().pollInSameThread().until(() -> begun.isDone() || somebodyWaitsForThis());
            reanalyse(200);
            return begun;
        });
        changing.join();
    }

    private boolean somebodyWaitsForThis() {
        return pond.bean(JdbcClient.class)
                .sql("select exists (select 1 from pg_locks where pg_backend_pid() = any(pg_blocking_pids(pid)))")
                .query(Boolean.class)
                .single();
    }

    private <T> T inTransaction(Supplier<T> act) {
        return new TransactionTemplate(pond.bean(PlatformTransactionManager.class)).execute(status -> act.get());
    }

    private record Lay(UUID author, Fill fill, double x, double y) {}

    private List<Recuts.LostFill> reanalyse(int threshold) {
        InkSettings settings = new InkSettings(OptionalInt.of(threshold), OptionalInt.empty(), Pencil.NONE);
        return recuts.reanalyse(pond.bean(Sheets.class).get(work.project(), sheet), work.account(), settings, false);
    }

    private void lay(Fill fill, double x, double y) {
        make(new Lay(work.account(), fill, x, y));
    }

    private void make(Lay lay) {
        changes.make(
                sheet,
                lay.author(),
                new ChangeRequest.Lay(UUID.randomUUID(), layer().id(), lay.fill(), List.of(cellAt(lay.x(), lay.y()))));
    }

    private void undo() {
        stepBack(work.account());
    }

    private void stepBack(UUID author) {
        UUID latest = work.line(sheet, author).undoable().get(0).id();
        assertThat(changes.make(sheet, author, new ChangeRequest.Undo(UUID.randomUUID(), latest)))
                .isInstanceOf(ChangeOutcome.Made.class);
    }

    private void redo() {
        UUID next = work.line(sheet, work.account()).redoable().get(0).id();
        assertThat(changes.make(sheet, work.account(), new ChangeRequest.Redo(UUID.randomUUID(), next)))
                .isInstanceOf(ChangeOutcome.Made.class);
    }

    private Layer layer() {
        return pond.bean(Sheets.class).get(work.project(), sheet).layer();
    }

    private int cellAt(double x, double y) {
        CellPlane cells = PlaneCodec.decodeCells(pond.bean(Planes.class).content(layer().cells()));
        return cells.numberAt((int) (x * cells.widthPx() / 600), (int) (y * cells.heightPx() / 400));
    }

    private Fill worn(double x, double y) {
        return pond.bean(Sheets.class).fills(layer()).of(cellAt(x, y));
    }

    private static byte[] drawing(int shift, String more) {
        return Drawings.svg(
                "<g fill='none' stroke='#000' stroke-width='6' transform='translate(" + shift + " " + shift + ")'>"
                        + "<rect x='40' y='100' width='120' height='200'/><rect x='240' y='100' width='120' height='200'/>"
                        + "<rect x='440' y='100' width='120' height='200'/></g><g fill='none'>" + more + "</g>");
    }
}
