package stillpond.core.history;

import java.util.Collection;
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

    /** @param known what is known already, in any order */
    public OwnSteps(Collection<UndoLine.Known<C>> known) {
        for (UndoLine.Known<C> each : known) {
            this.known.put(each.change(), each);
            number = Math.max(number, Math.max(each.made(), each.last()));
        }
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
