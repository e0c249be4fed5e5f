package stillpond.core.history;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import stillpond.core.fill.Change;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;

class UndoLineTest {

    private static final Fill COAT = Fill.flat(new UUID(0, 1));
    private static final Fill SCARF = Fill.flat(new UUID(0, 2));

    private final OwnSteps<Integer> steps = new OwnSteps<>();
    private int count;

    private int make() {
        steps.make(count);
        return count++;
    }

    private void step(int change, boolean stands) {
        if (stands) {
            steps.doAgain(change);
        } else {
            steps.takeBack(change);
        }
    }

    private UndoLine<Integer> line() {
        return steps.line();
    }

    @Test
    void somethingNewAfterAnUndoTakesTheOldRedoAway() {
        make();
        int second = make();
        step(second, false);
        assertThat(line()).isEqualTo(new UndoLine<>(List.of(0), List.of(1)));
        make();
        assertThat(line()).isEqualTo(new UndoLine<>(List.of(2, 0), List.of()));
        step(2, false);
        step(0, false);
        assertThat(line()).as("last taken back, first done again").isEqualTo(new UndoLine<>(List.of(), List.of(0, 2)));
    }

    @Test
    void whatIsTakenBackOutOfTurnIsDoneAgainInItsOldPlace() {
        make();
        make();
        make();
        step(1, false);
        assertThat(line()).isEqualTo(new UndoLine<>(List.of(2, 0), List.of(1)));
        step(1, true);
        assertThat(line()).isEqualTo(new UndoLine<>(List.of(2, 1, 0), List.of()));
    }

    /** As after a reload: the numbers of the log go on. */
    @Test
    void whatIsDoneNextComesAfterWhatIsKnown() {
        OwnSteps<String> later = new OwnSteps<>();
        later.know(new UndoLine.Known<>("coat", 40, 40, true));
        later.know(new UndoLine.Known<>("scarf", 12, 12, true));
        later.know(new UndoLine.Known<>("hat", 30, 90, false));
        assertThat(later.line()).isEqualTo(new UndoLine<>(List.of("coat", "scarf"), List.of("hat")));
        later.takeBack("coat");
        assertThat(later.line()).isEqualTo(new UndoLine<>(List.of("scarf"), List.of("coat", "hat")));
        later.doAgain("hat");
        assertThat(later.line()).isEqualTo(new UndoLine<>(List.of("hat", "scarf"), List.of("coat")));
        later.make("dam");
        later.takeBack("nothing that is known");
        assertThat(later.line()).isEqualTo(new UndoLine<>(List.of("dam", "hat", "scarf"), List.of()));
        later.forget("dam");
        assertThat(later.line().undoable()).containsExactly("hat", "scarf");
    }

    /** Any length of work, undone to the start and done again, passes through the same states. */
    @Test
    void undoAndRedoOfAnyLengthRetraceEveryState() {
        Random random = new Random(7);
        List<Change> changes = new ArrayList<>();
        List<Fills> states = new ArrayList<>(List.of(Fills.none()));
        Fills fills = Fills.none();
        for (int i = 0; i < 500; i++) {
            Change change = fills.laying(random.nextBoolean() ? COAT : SCARF, List.of(random.nextInt(9), 9 + i));
            fills = fills.after(change);
            changes.add(change);
            make();
            states.add(fills);
        }
        for (int i = 499; i >= 0; i--) {
            int last = line().undoable().get(0);
            fills = fills.after(fills.takingBack(changes.get(last)));
            step(last, false);
            assertSame(fills, states.get(i));
        }
        assertThat(line().undoable()).isEmpty();
        for (int i = 1; i <= 500; i++) {
            int next = line().redoable().get(0);
            fills = fills.after(changes.get(next));
            step(next, true);
            assertSame(fills, states.get(i));
        }
        assertThat(line().redoable()).isEmpty();
    }

    private static void assertSame(Fills actual, Fills expected) {
        assertThat(actual.filled().size()).isEqualTo(expected.filled().size());
        for (int cell = 0; cell < 520; cell++) {
            assertThat(actual.of(cell)).isEqualTo(expected.of(cell));
        }
    }
}
