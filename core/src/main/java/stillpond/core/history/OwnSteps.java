package stillpond.core.history;

import java.util.LinkedHashMap;
import java.util.Map;

/**
 * The changes of one person, and the steps back and forth that are taken about them while nobody has numbered these yet: a desk paints a step before the
 * server knows of it.
 *
 * @param <C> how changes are named
 */
public final class OwnSteps<C> {

    private final Map<C, UndoLine.Known<C>> known = new LinkedHashMap<>();
    private long number;

    /** One more change that is numbered already; in any order. */
    public void know(UndoLine.Known<C> change) {
        known.put(change.change(), change);
        number = Math.max(number, Math.max(change.made(), change.last()));
    }

    public UndoLine<C> line() {
        return UndoLine.of(known.values());
    }

    /** Something new; one that is known already is as new. */
    public void make(C change) {
        number++;
        known.put(change, new UndoLine.Known<>(change, number, number, true));
    }

    /** A step about a change that is not known is none. */
    public void takeBack(C change) {
        step(change, false);
    }

    /** A step about a change that is not known is none. */
    public void doAgain(C change) {
        step(change, true);
    }

    private void step(C change, boolean stands) {
        number++;
        known.computeIfPresent(change, (any, each) -> new UndoLine.Known<>(change, each.made(), number, stands));
    }

    /** It came to nothing. */
    public void forget(C change) {
        known.remove(change);
    }
}
