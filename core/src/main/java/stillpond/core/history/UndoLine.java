package stillpond.core.history;

import java.util.Collection;
import java.util.Comparator;
import java.util.List;

/**
 * What one person can take back and do again.
 *
 * <p>A change stands from when it is made until it is taken back, and again once it is done again. What stands can be taken back, in whatever
 * order, though the newest is offered first. What was taken back can be done again until something new is made: after that it is out of reach
 * of the line.
 *
 * @param undoable newest first
 * @param redoable what was taken back last comes first
 * @param <C> how changes are named
 */
public record UndoLine<C>(List<C> undoable, List<C> redoable) {

    public UndoLine {
        undoable = List.copyOf(undoable);
        redoable = List.copyOf(redoable);
    }

    /**
     * What is known of a change. Numbers say what came first, of changes and of steps back and forth alike.
     *
     * @param made its number
     * @param last the number of the last step that took it back or did it again; its own if there was none
     * @param stands whether it was not taken back by that step
     */
    public record Known<C>(C change, long made, long last, boolean stands) {}

    /** @param changes of one person, in any order */
    public static <C> UndoLine<C> of(Collection<Known<C>> changes) {
        long newest = changes.stream().mapToLong(Known::made).max().orElse(0);
        return new UndoLine<>(
                changes.stream()
                        .filter(Known::stands)
                        .sorted(Comparator.comparingLong((Known<C> each) -> each.made())
                                .reversed())
                        .map(Known::change)
                        .toList(),
                changes.stream()
                        .filter(each -> !each.stands() && each.last() > newest)
                        .sorted(Comparator.comparingLong((Known<C> each) -> each.last())
                                .reversed())
                        .map(Known::change)
                        .toList());
    }
}
