package stillpond.app.sheet;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import java.util.Optional;
import java.util.UUID;
import stillpond.core.fill.UndoLine;

/** Where one person stands on their line of changes to one sheet. */
@Entity
class UndoHead {

    @Embeddable
    record Key(UUID sheetId, UUID authorId) {}

    @EmbeddedId
    private Key key;

    private UUID changeId;

    protected UndoHead() {}

    UndoHead(UUID sheetId, UUID authorId) {
        this.key = new Key(sheetId, authorId);
    }

    UndoLine<UUID> line() {
        return new UndoLine<>(Optional.ofNullable(changeId));
    }

    void moveTo(UndoLine<UUID> line) {
        changeId = line.head().orElse(null);
    }
}
