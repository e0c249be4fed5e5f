package stillpond.app.sheet;

import java.util.Optional;
import java.util.UUID;
import stillpond.core.fill.UndoLine;

/** One person's changes to one sheet, as the undo line sees them. */
record StoredTree(ChangeRepository changes, UUID sheet, UUID author) implements UndoLine.Tree<UUID> {

    @Override
    public Optional<UUID> parentOf(UUID change) {
        return changes.findById(change).flatMap(StoredChange::parent);
    }

    @Override
    public Optional<UUID> newestChildOf(Optional<UUID> parent) {
        return changes.findNewestChild(sheet, author, parent.orElse(null)).map(StoredChange::getId);
    }
}
