package stillpond.app.sheet;

import java.util.List;

/**
 * What one person can take back and do again on one sheet.
 *
 * @param undoable newest first
 * @param redoable the next one first
 */
public record UndoableChanges(List<MadeChange> undoable, List<MadeChange> redoable) {}
