package stillpond.core.fill;

import java.util.Optional;

/**
 * Which change undo takes back and which one redo does again, for one person on one sheet.
 *
 * <p>Each change knows the one that was the latest when it was made, its <em>parent</em>; so changes form a tree, and the line from the root to
 * the <em>head</em> is what can be undone. Undo moves the head to its parent. Redo moves it to the newest child: after an undo that
 * is the change just taken back, and once something new is made there, that is the newest, and what was undone before it is out of reach.
 * Only the head has to be kept, however long the line.
 *
 * @param head the change that undo takes back next; empty at the root
 * @param <I> how changes are named
 */
public record UndoLine<I>(Optional<I> head) {

    /** What the line needs to know of the changes that were made. */
    public interface Tree<I> {

        /** The parent of a change; empty for one that was made at the root. */
        Optional<I> parentOf(I change);

        /** The newest of the changes whose parent this is (empty: the root); empty if there is none. */
        Optional<I> newestChildOf(Optional<I> parent);
    }

    /** A step along the line: the change that it concerns and the line after it. */
    public record Step<I>(I change, UndoLine<I> after) {}

    public static <I> UndoLine<I> root() {
        return new UndoLine<>(Optional.empty());
    }

    /** The line after a new change was made at the head. */
    public UndoLine<I> made(I change) {
        return new UndoLine<>(Optional.of(change));
    }

    /** Empty if there is nothing to undo. */
    public Optional<Step<I>> undo(Tree<I> tree) {
        return head.map(change -> new Step<>(change, new UndoLine<>(tree.parentOf(change))));
    }

    /** Empty if there is nothing to do again. */
    public Optional<Step<I>> redo(Tree<I> tree) {
        return tree.newestChildOf(head).map(change -> new Step<>(change, made(change)));
    }
}
