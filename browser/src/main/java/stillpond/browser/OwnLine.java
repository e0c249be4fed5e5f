package stillpond.browser;

import org.teavm.jso.JSExport;
import stillpond.core.history.OwnSteps;
import stillpond.core.history.UndoLine;

/** What the person at a desk can take back and do again, before the server knows of their last steps. Changes are named by their ids. */
public final class OwnLine {

    private final OwnSteps<String> steps = new OwnSteps<>();

    @JSExport
    public OwnLine() {}

    /** What the server knows of one more change. See {@link UndoLine.Known}. */
    @JSExport
    public void know(String change, double made, double last, boolean stands) {
        steps.know(new UndoLine.Known<>(change, (long) made, (long) last, stands));
    }

    @JSExport
    public void make(String change) {
        steps.make(change);
    }

    @JSExport
    public void takeBack(String change) {
        steps.takeBack(change);
    }

    @JSExport
    public void doAgain(String change) {
        steps.doAgain(change);
    }

    /** It came to nothing. */
    @JSExport
    public void forget(String change) {
        steps.forget(change);
    }

    /** Newest first. */
    @JSExport
    public String[] undoable() {
        return steps.line().undoable().toArray(String[]::new);
    }

    /** The next one first. */
    @JSExport
    public String[] redoable() {
        return steps.line().redoable().toArray(String[]::new);
    }
}
