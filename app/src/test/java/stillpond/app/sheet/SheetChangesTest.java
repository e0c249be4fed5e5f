package stillpond.app.sheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import stillpond.app.palette.Palettes;
import stillpond.app.project.Projects;
import stillpond.app.project.Role;
import stillpond.app.sheet.ChangeOutcome.Made;
import stillpond.app.sheet.ChangeOutcome.Refused;
import stillpond.app.sheet.ChangeOutcome.Unneeded;
import stillpond.app.support.Drawings;
import stillpond.app.support.TestPond;
import stillpond.app.support.Work;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Swap;
import stillpond.core.gap.DamState;
import stillpond.core.palette.Card;
import stillpond.core.palette.Swatch;

class SheetChangesTest {

    private final TestPond pond = TestPond.shared();
    private final SheetChanges changes = pond.bean(SheetChanges.class);
    private Work work;
    private Sheet sheet;
    private UUID layer;
    private Fill coat;
    private Fill scarf;

    @BeforeEach
    void bringInThreeBoxes() {
        work = Work.begin(pond);
        sheet = work.bring(Drawings.threeBoxes());
        layer = sheet.layer().id();
        coat = Fill.flat(work.coat().id());
        scarf = Fill.flat(work.scarf().id());
    }

    @Test
    void whatIsLaidIsThereAndInTheLog() {
        Made made = (Made) lay(work.account(), coat, 1, 2);
        assertThat(made.change().words()).isEqualTo("Filled 2 cells");
        assertThat(worn(0)).isEqualTo(Fill.NONE);
        assertThat(worn(1)).isEqualTo(coat);
        assertThat(worn(2)).isEqualTo(coat);
        lay(work.account(), Fill.NONE, 1);
        assertThat(worn(1)).isEqualTo(Fill.NONE);
        assertThat(logged()).isEqualTo(2);
    }

    @Test
    void severalSwatchesAreReplacedByAnotherAsOneStepOnASheet() {
        lay(work.account(), coat, 1);
        lay(work.account(), scarf, 2);
        UUID grey = pond.bean(Palettes.class).of(work.project()).cards().stream()
                .filter(card -> card.kind() == Card.Kind.NEUTRALS)
                .flatMap(card -> card.swatches().stream())
                .map(Swatch::id)
                .findFirst()
                .orElseThrow();
        Set<UUID> worn = Set.of(work.coat().id(), work.scarf().id());

        var replaced = pond.bean(Replacing.class).replace(work.project(), List.of(sheet), work.account(), worn, grey);

        assertThat(replaced.regions()).isEqualTo(2);
        assertThat(worn(1)).isEqualTo(Fill.flat(grey));
        assertThat(worn(2)).isEqualTo(Fill.flat(grey));
        assertThat(work.line(sheet.id(), work.account()).undoable()).hasSize(3);
    }

    @Test
    void askingTwiceChangesNothingTwice() {
        ChangeRequest request = new ChangeRequest.Lay(UUID.randomUUID(), layer, coat, List.of(1));
        ChangeOutcome first = make(work.account(), request);
        lay(work.account(), scarf, 1);
        assertThat(make(work.account(), request)).isEqualTo(first);
        assertThat(worn(1)).isEqualTo(scarf);
        assertThat(logged()).isEqualTo(2);
    }

    @Test
    void layingWhatIsThereAlreadyIsNoStepToUndo() {
        lay(work.account(), coat, 1);
        assertThat(lay(work.account(), coat, 1)).isInstanceOf(Unneeded.class);
        assertThat(work.line(sheet.id(), work.account()).undoable()).hasSize(1);
    }

    @Test
    void undoAndRedoGoBackAndForth() {
        lay(work.account(), coat, 1);
        lay(work.account(), scarf, 1);
        undo(work.account());
        assertThat(worn(1)).isEqualTo(coat);
        undo(work.account());
        assertThat(worn(1)).isEqualTo(Fill.NONE);
        redo(work.account());
        redo(work.account());
        assertThat(worn(1)).isEqualTo(scarf);
        assertThat(work.line(sheet.id(), work.account()).redoable()).isEmpty();
    }

    @Test
    void eachPersonUndoesTheirOwnAndLeavesTheOthersAlone() {
        UUID other = pond.openAccount("o" + UUID.randomUUID());
        pond.bean(Projects.class).addMember(work.project(), other, Role.COLOURIST);
        lay(work.account(), coat, 1, 2);
        lay(other, scarf, 2);
        undo(work.account());
        assertThat(worn(1)).isEqualTo(Fill.NONE);
        assertThat(worn(2)).isEqualTo(scarf);
        undo(other);
        assertThat(worn(2)).isEqualTo(coat);
    }

    @Test
    void redoDoesAgainOnlyWhatItsUndoTookBack() {
        UUID lead = pond.openAccount("l" + UUID.randomUUID());
        lay(work.account(), coat, 1, 2);
        lay(lead, Fill.NONE, 1);
        undo(work.account());
        redo(work.account());
        assertThat(worn(1)).as("cleared by the lead").isEqualTo(Fill.NONE);
        assertThat(worn(2)).isEqualTo(coat);
    }

    @Test
    void undoAfterARedoTakesBackOnlyWhatTheRedoDid() {
        UUID lead = pond.openAccount("l" + UUID.randomUUID());
        lay(work.account(), coat, 1, 2);
        lay(lead, Fill.NONE, 1);
        undo(work.account());
        redo(work.account());
        lay(lead, coat, 1);
        undo(work.account());
        assertThat(worn(1)).as("filled by the lead").isEqualTo(coat);
        assertThat(worn(2)).isEqualTo(Fill.NONE);
    }

    @Test
    void whatTheDeskIsToldOfARedoIsWhatItWillDo() {
        UUID lead = pond.openAccount("l" + UUID.randomUUID());
        lay(work.account(), coat, 1, 2);
        lay(lead, Fill.NONE, 1);
        undo(work.account());
        MadeChange next = work.line(sheet.id(), work.account()).redoable().get(0);
        assertThat(next.change().swaps()).containsExactly(new Swap(2, coat, Fill.NONE));
    }

    @Test
    void severalAtOnceAreMadeInTheirOrderOrNotAtAll() {
        ChangeRequest first = new ChangeRequest.Lay(UUID.randomUUID(), layer, coat, List.of(1));
        ChangeRequest second = new ChangeRequest.Lay(UUID.randomUUID(), layer, scarf, List.of(1, 2));
        ChangeRequest undo = new ChangeRequest.Undo(UUID.randomUUID(), second.id());
        ChangeRequest unfit = new ChangeRequest.Dam(UUID.randomUUID(), layer, Map.of(), OptionalDouble.of(7));
        assertThatExceptionOfType(UnfitChange.class)
                .isThrownBy(() -> changes.makeAll(sheet.id(), work.account(), List.of(first, second, unfit)))
                .satisfies(problem -> assertThat(problem.change()).isEqualTo(unfit.id()));
        assertThat(logged()).isZero();
        assertThat(changes.makeAll(sheet.id(), work.account(), List.of(first, second, undo)))
                .hasOnlyElementsOfType(Made.class);
        assertThat(worn(1)).isEqualTo(coat);
        assertThat(worn(2)).isEqualTo(Fill.NONE);
        assertThat(pond.bean(Sheets.class).get(work.project(), sheet.id()).revision())
                .isEqualTo(3);
    }

    @Test
    void whatIsNotTheLatestCanBeTakenBackButNotTwice() {
        UUID first = ((Made) lay(work.account(), coat, 1)).change().id();
        lay(work.account(), scarf, 2);
        assertThat(make(work.account(), new ChangeRequest.Undo(UUID.randomUUID(), first)))
                .isInstanceOf(Made.class);
        assertThat(worn(1)).isEqualTo(Fill.NONE);
        assertThat(worn(2)).isEqualTo(scarf);
        assertRefused(new ChangeRequest.Undo(UUID.randomUUID(), first), "went on elsewhere");
        make(work.account(), new ChangeRequest.Redo(UUID.randomUUID(), first));
        assertThat(worn(1)).isEqualTo(coat);
        assertRefused(new ChangeRequest.Redo(UUID.randomUUID(), first), "went on elsewhere");
    }

    @Test
    void nobodyTakesBackWhatIsNotTheirs() {
        UUID other = pond.openAccount("o" + UUID.randomUUID());
        UUID theirs = ((Made) lay(other, coat, 1)).change().id();
        assertRefused(new ChangeRequest.Undo(UUID.randomUUID(), theirs), "no such change of yours");
        assertRefused(new ChangeRequest.Undo(UUID.randomUUID(), UUID.randomUUID()), "no such change of yours");
        assertThat(worn(1)).isEqualTo(coat);
    }

    @Test
    void whatSomebodyHasChangedSinceIsLeftAloneAndSaid() {
        UUID lead = pond.openAccount("l" + UUID.randomUUID());
        UUID both = ((Made) lay(work.account(), coat, 1, 2)).change().id();
        UUID one = ((Made) lay(work.account(), coat, 3)).change().id();
        lay(lead, scarf, 2);
        lay(lead, scarf, 3);
        Made partly = (Made) make(work.account(), new ChangeRequest.Undo(UUID.randomUUID(), both));
        assertThat(partly.leftAlone())
                .hasValueSatisfying(words -> assertThat(words).contains("part of this"));
        Made not = (Made) make(work.account(), new ChangeRequest.Undo(UUID.randomUUID(), one));
        assertThat(not.leftAlone())
                .hasValueSatisfying(words -> assertThat(words).contains("stays as it is"));
        assertThat(worn(1)).isEqualTo(Fill.NONE);
        assertThat(worn(2)).isEqualTo(scarf);
        assertThat(worn(3)).isEqualTo(scarf);
    }

    @Test
    void whatIsSaidOfOneGapAgainAndAgainInOneBatchEndsAsItWasSaidLast() {
        Sheet gapped = work.bring(Drawings.svg("""
                <path d="M100 100H500V300H100V100M300 100V170M300 215V300" fill="none" stroke="#000" stroke-width="6"/>"""));
        UUID there = gapped.layer().id();
        List<ChangeRequest> said = new ArrayList<>();
        for (DamState state : List.of(DamState.OPEN, DamState.SHUT, DamState.BY_REACH, DamState.OPEN, DamState.INKED)) {
            said.add(new ChangeRequest.Dam(UUID.randomUUID(), there, Map.of(0, state), OptionalDouble.empty()));
        }
        assertThat(changes.makeAll(gapped.id(), work.account(), said)).hasOnlyElementsOfType(Made.class);
        assertThat(pond.bean(Sheets.class).dams(gapped.layer()).of(0)).isEqualTo(DamState.INKED);
        for (DamState before : List.of(DamState.OPEN, DamState.BY_REACH, DamState.SHUT)) {
            UUID last = work.line(gapped.id(), work.account()).undoable().get(0).id();
            changes.make(gapped.id(), work.account(), new ChangeRequest.Undo(UUID.randomUUID(), last));
            assertThat(pond.bean(Sheets.class).dams(gapped.layer()).of(0)).isEqualTo(before);
        }
    }

    @Test
    void whatDoesNotExistIsRefusedWithTheReason() {
        assertRefused(new ChangeRequest.Lay(UUID.randomUUID(), layer, coat, List.of(99)), "no such region");
        assertRefused(new ChangeRequest.Lay(UUID.randomUUID(), layer, coat, List.of(-9999)), "no such region");
        assertRefused(new ChangeRequest.Lay(UUID.randomUUID(), UUID.randomUUID(), coat, List.of(1)), "analysed anew");
        Fill stranger = Fill.flat(Work.begin(pond).coat().id());
        assertRefused(
                new ChangeRequest.Lay(UUID.randomUUID(), layer, stranger, List.of(1)), "none of the project's cards");
        assertThat(logged()).isZero();
    }

    @Test
    void manyHandsAtOnceLoseAndDoubleNothing() throws Exception {
        int hands = 6;
        int changesEach = 25;
        ExecutorService threads = Executors.newFixedThreadPool(hands);
        List<Future<Integer>> made = new ArrayList<>();
        for (int hand = 0; hand < hands; hand++) {
            UUID person = pond.openAccount("h" + UUID.randomUUID());
            made.add(threads.submit(() -> fillInTurn(person, changesEach)));
        }
        int total = 0;
        for (Future<Integer> each : made) {
            total += each.get();
        }
        threads.shutdown();
        assertThat(logged()).isEqualTo(total);
        assertThat(pond.bean(Sheets.class).get(work.project(), sheet.id()).revision())
                .isEqualTo(total);
    }

    /** Every change is sent twice, as a desk does that has not heard the answer. */
    private int fillInTurn(UUID person, int count) {
        int made = 0;
        for (int i = 0; i < count; i++) {
            Fill fill = i % 2 == 0 ? coat : scarf;
            ChangeRequest request = new ChangeRequest.Lay(UUID.randomUUID(), layer, fill, List.of(i % 4));
            boolean first = make(person, request) instanceof Made;
            boolean again = make(person, request) instanceof Made;
            made += first || again ? 1 : 0;
        }
        return made;
    }

    private void assertRefused(ChangeRequest request, String reason) {
        assertThat(make(work.account(), request))
                .isInstanceOfSatisfying(
                        Refused.class, refused -> assertThat(refused.reason()).contains(reason));
    }

    private ChangeOutcome lay(UUID author, Fill fill, Integer... cells) {
        return make(author, new ChangeRequest.Lay(UUID.randomUUID(), layer, fill, List.of(cells)));
    }

    private void undo(UUID author) {
        UUID latest = work.line(sheet.id(), author).undoable().get(0).id();
        assertThat(make(author, new ChangeRequest.Undo(UUID.randomUUID(), latest)))
                .isInstanceOf(Made.class);
    }

    private void redo(UUID author) {
        UUID next = work.line(sheet.id(), author).redoable().get(0).id();
        assertThat(make(author, new ChangeRequest.Redo(UUID.randomUUID(), next)))
                .isInstanceOf(Made.class);
    }

    private ChangeOutcome make(UUID author, ChangeRequest request) {
        return changes.make(sheet.id(), author, request);
    }

    private Fill worn(int cell) {
        return pond.bean(Sheets.class).fills(sheet.layer()).of(cell);
    }

    private long logged() {
        return work.logged(sheet);
    }
}
