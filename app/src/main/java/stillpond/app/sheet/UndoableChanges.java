package stillpond.app.sheet;

import java.util.List;

/**
 * What one person can take back and do again on one sheet. Each change tells what was done last about it, which is what the next step
 * takes back: an undo that left alone what somebody else had changed leaves nothing to do again there.
 *
 * @param undoable newest first
 * @param redoable the next one first
 */
public record UndoableChanges(List<MadeChange> undoable, List<MadeChange> redoable) {}
