package stillpond.browser;

import java.util.ArrayList;
import java.util.List;
import org.teavm.jso.JSExport;
import stillpond.core.history.OwnSteps;
import stillpond.core.history.UndoLine;

/** What the person at a desk can take back and do again, before the server knows of their last steps. Changes are named by their ids. */
public final class OwnLine {

    private final List<UndoLine.Known<String>> told = new ArrayList<>();
    private OwnSteps<String> steps = new OwnSteps<>(told);

    @JSExport
    public OwnLine() {}

    /** What the server knows of one more change; to be called before any step. See {@link UndoLine.Known}. */
    @JSExport
    public void know(String change, double made, double last, boolean stands) {
        told.add(new UndoLine.Known<>(change, (long) made, (long) last, stands));
        steps = new OwnSteps<>(told);
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
