package stillpond.app.sheet;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import stillpond.core.stack.Standing;

/** How a layer stands in its sheet. */
@Entity
@Table(name = "standing")
class StoredStanding {

    @Id
    private UUID id;

    private UUID sheetId;
    private int position;
    private String name;

    @Column(name = "is_hidden")
    private boolean hidden;

    @Column(name = "is_locked")
    private boolean locked;

    private int opacityPercent;
    private int xPx;
    private int yPx;
    private @Nullable UUID kept;

    protected StoredStanding() {}

    StoredStanding(UUID sheetId, Standing standing, int position) {
        this.id = standing.layer();
        this.sheetId = sheetId;
        become(standing, position);
    }

    final void become(Standing standing, int newPosition) {
        position = newPosition;
        name = standing.name();
        hidden = standing.isHidden();
        locked = standing.isLocked();
        opacityPercent = standing.opacityPercent();
        xPx = standing.xPx();
        yPx = standing.yPx();
    }

    UUID id() {
        return id;
    }

    int position() {
        return position;
    }

    /** The cutting that the layer had when it was taken out of the sheet; null while it stands in it. */
    @Nullable
    UUID kept() {
        return kept;
    }

    void keep(@Nullable UUID cutting) {
        kept = cutting;
    }

    Standing asStanding() {
        return new Standing(id, name, hidden, locked, opacityPercent, xPx, yPx);
    }
}
