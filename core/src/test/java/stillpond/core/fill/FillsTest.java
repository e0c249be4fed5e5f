package stillpond.core.fill;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import stillpond.core.cell.Box;
import stillpond.core.ink.Placing;

class FillsTest {

    private static final Fill COAT = Fill.flat(UUID.fromString("00000000-0000-0000-0000-00000000c0a7"));
    private static final Fill SCARF = Fill.flat(UUID.fromString("00000000-0000-0000-0000-00000000ca2f"));

    @Test
    void layingLeavesOutWhatWearsItAlready() {
        Fills fills = Fills.of(Map.of(1, COAT, 2, SCARF));
        assertThat(fills.laying(COAT, List.of(1, 2, 3, 2)).swaps())
                .containsExactly(new Swap(2, SCARF, COAT), new Swap(3, Fill.NONE, COAT));
    }

    @Test
    void takingBackLeavesAloneWhatSomebodyElseChangedSince() {
        Fills fills = Fills.none();
        Change mine = fills.laying(COAT, List.of(1, 2));
        fills = fills.after(mine);
        fills = fills.after(fills.laying(SCARF, List.of(2)));
        Fills after = fills.after(fills.takingBack(mine));
        assertThat(after.of(1)).isEqualTo(Fill.NONE);
        assertThat(after.of(2)).isEqualTo(SCARF);
    }

    @Test
    void aChangeThatDoesNotFitIsRefused() {
        Change change = new Change(List.of(new Swap(4, COAT, SCARF)));
        assertThatThrownBy(() -> Fills.none().after(change)).hasMessageContaining("Cell 4 wears none");
    }

    @Test
    void textFormsComeBack() {
        assertThat(Fill.ofText(COAT.text())).isEqualTo(COAT);
        assertThat(Fill.ofText("none")).isEqualTo(Fill.NONE);
        assertThatThrownBy(() -> Fill.ofText("green")).hasMessageContaining("'green'");
    }

    @Test
    void everyKindOfFillComesBackFromItsText() {
        String coat = COAT.text();
        String scarf = SCARF.text();
        for (String text : List.of(
                "flat 40% " + coat,
                "linear 100% 10 -20 300 40 0% " + coat + " 50% " + scarf + " 100% " + coat,
                "radial 70% 10 20 30 40 0% " + coat + " 100% " + scarf,
                "pattern 100% 0 0 64 0 tide mirrored " + coat + " " + scarf)) {
            assertThat(Fill.ofText(text).text()).isEqualTo(text);
        }
        assertThat(Fill.ofText("flat 100% " + coat)).isEqualTo(COAT);
    }

    @Test
    void whatIsNoFillIsRefusedWithTheReason() {
        String coat = COAT.text();
        for (String text : List.of(
                "linear 100% 1 2 3 4 0% " + coat,
                "linear 100% 1 2 1 2 0% " + coat + " 100% " + coat,
                "linear 100% 1 2 3 4 60% " + coat + " 40% " + coat,
                "linear 0% 1 2 3 4 0% " + coat + " 100% " + coat,
                "pattern 100% 1 2 3 4 ../waves plain " + coat,
                "pattern 100% 1 2 3 4 tide plain",
                "radial 100% 1 2 x 4 0% " + coat + " 100% " + coat,
                "flat 40%")) {
            assertThatThrownBy(() -> Fill.ofText(text))
                    .isInstanceOf(IllegalArgumentException.class)
                    .hasMessageContaining("is no fill");
        }
    }

    @Test
    void replacingASwatchReachesStopsAndPatterns() {
        UUID coat = COAT.swatches().get(0);
        UUID scarf = SCARF.swatches().get(0);
        UUID other = new UUID(0, 5);
        Fill gradient = Fill.ofText("linear 100% 0 0 9 0 0% " + coat + " 100% " + other);
        Fill pattern = Fill.ofText("pattern 100% 0 0 64 0 tide plain " + other + " " + coat);
        Fills fills = Fills.of(Map.of(1, COAT, 2, gradient, 3, pattern, 4, Fill.flat(other)));
        Fills replaced = fills.after(fills.replacing(Set.of(coat), scarf));
        assertThat(replaced.of(1)).isEqualTo(SCARF);
        assertThat(replaced.of(2).swatches()).containsExactly(scarf, other);
        assertThat(replaced.of(3).swatches()).containsExactly(other, scarf);
        assertThat(replaced.of(4)).isEqualTo(Fill.flat(other));
    }

    @Test
    void stopsKeepTheirOrderHoweverTheyAreMoved() {
        String[] ids = {COAT.text(), SCARF.text(), COAT.text()};
        Fill.Gradient gradient =
                (Fill.Gradient) Fill.ofText("linear 100% 0 0 9 0 10% " + ids[0] + " 50% " + ids[1] + " 90% " + ids[2]);
        assertThat(percents(gradient.movingStop(1, 70))).containsExactly(10, 70, 90);
        assertThat(percents(gradient.movingStop(1, 99))).containsExactly(10, 90, 90);
        assertThat(percents(gradient.movingStop(0, -5))).containsExactly(0, 50, 90);
        assertThat(percents(gradient.addingStop(0))).containsExactly(10, 30, 50, 90);
        assertThat(percents(gradient.addingStop(2))).containsExactly(10, 50, 70, 90);
        assertThat(percents(gradient.withoutStop(1))).containsExactly(10, 90);
        assertThat(percents(gradient.turned())).containsExactly(10, 50, 90);
        assertThat(gradient.addingStop(0).stops().get(1).swatch())
                .isEqualTo(COAT.swatches().get(0));
    }

    private static List<Integer> percents(Fill.Gradient gradient) {
        return gradient.stops().stream().map(Stop::percent).toList();
    }

    @Test
    void aFillBeginsWhereItSuitsTheBoxThatItIsLaidIn() {
        Box box = new Box(10, 20, 110, 60);
        assertThat(Span.downThrough(box)).isEqualTo(new Span(60, 20, 60, 60));
        assertThat(Span.outOf(box)).isEqualTo(new Span(60, 40, 110, 40));
        assertThat(Span.repeatedIn(box)).as("no smaller than 24 pixels").isEqualTo(new Span(10, 20, 34, 20));
        assertThat(Span.repeatedIn(new Box(0, 0, 200, 300))).isEqualTo(new Span(0, 0, 60, 0));
    }

    @Test
    void aGradientStaysInItsPlaceOnALargerScan() {
        Fill gradient = Fill.ofText("linear 100% 10 20 110 20 0% " + COAT.text() + " 100% " + SCARF.text());
        Fill there = gradient.seenFrom(new Placing(0.5, 0.5, -5, 0));
        assertThat(((Fill.Gradient) there).span()).isEqualTo(new Span(30, 40, 230, 40));
    }

    /** Any length of work, undone to the start and done again, passes through the same states. */
    @Test
    void undoAndRedoOfAnyLengthRetraceEveryState() {
        Random random = new Random(7);
        Journal journal = new Journal();
        List<Fills> states = new ArrayList<>(List.of(Fills.none()));
        Fills fills = Fills.none();
        for (int i = 0; i < 500; i++) {
            Change change = fills.laying(random.nextBoolean() ? COAT : SCARF, List.of(random.nextInt(9), 9 + i));
            fills = fills.after(change);
            journal.make(change);
            states.add(fills);
        }
        for (int i = 499; i >= 0; i--) {
            fills = fills.after(fills.takingBack(journal.undo().orElseThrow()));
            assertSame(fills, states.get(i));
        }
        assertThat(journal.undo()).isEmpty();
        for (int i = 1; i <= 500; i++) {
            fills = fills.after(journal.redo().orElseThrow());
            assertSame(fills, states.get(i));
        }
        assertThat(journal.redo()).isEmpty();
    }

    @Test
    void somethingNewAfterAnUndoTakesTheOldRedoAway() {
        Journal journal = new Journal();
        Change first = Fills.none().laying(COAT, List.of(1));
        Change second = Fills.none().laying(COAT, List.of(2));
        Change instead = Fills.none().laying(SCARF, List.of(3));
        journal.make(first);
        journal.make(second);
        journal.undo();
        journal.make(instead);
        assertThat(journal.redo()).isEmpty();
        assertThat(journal.undo()).contains(instead);
        assertThat(journal.redo()).contains(instead);
        assertThat(journal.undo()).contains(instead);
        assertThat(journal.undo()).contains(first);
        assertThat(journal.redo()).contains(first);
        assertThat(journal.redo()).contains(instead);
    }

    private static void assertSame(Fills actual, Fills expected) {
        assertThat(actual.filledCells()).isEqualTo(expected.filledCells());
        for (int cell = 0; cell < 520; cell++) {
            assertThat(actual.of(cell)).isEqualTo(expected.of(cell));
        }
    }

    /** The tree of changes as the store keeps it, in memory. */
    private static final class Journal implements UndoLine.Tree<Integer> {

        private final List<Change> made = new ArrayList<>();
        private final Map<Integer, Optional<Integer>> parents = new HashMap<>();
        private UndoLine<Integer> line = UndoLine.root();

        void make(Change change) {
            parents.put(made.size(), line.head());
            line = line.made(made.size());
            made.add(change);
        }

        Optional<Change> undo() {
            return follow(line.undo(this));
        }

        Optional<Change> redo() {
            return follow(line.redo(this));
        }

        private Optional<Change> follow(Optional<UndoLine.Step<Integer>> step) {
            line = step.map(UndoLine.Step::after).orElse(line);
            return step.map(taken -> made.get(taken.change()));
        }

        @Override
        public Optional<Integer> parentOf(Integer change) {
            return parents.get(change);
        }

        @Override
        public Optional<Integer> newestChildOf(Optional<Integer> parent) {
            return parents.keySet().stream()
                    .filter(change -> parents.get(change).equals(parent))
                    .max(Integer::compare);
        }
    }
}
