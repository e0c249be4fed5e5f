package stillpond.app.carry;

import jakarta.persistence.Column;
import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.util.List;
import java.util.UUID;

/** A sheet that a run carries onto. */
@Entity
@Table(name = "carry_run_sheet")
class StoredRunSheet {

    /** What became of it. */
    enum State {
        WAITING,
        DONE,
        FAILED,
        TAKEN_BACK
    }

    /** @param position from 0, in the order in which sheets are carried onto */
    @Embeddable
    record Key(UUID runId, int position) {}

    @EmbeddedId
    private Key key;

    private UUID sheetId;

    @Enumerated(EnumType.STRING)
    private State state;

    private int regions;
    private int strokes;
    private int shadows;
    private int unasked;
    private String said;

    @Column(columnDefinition = "uuid[]")
    private UUID[] changes;

    protected StoredRunSheet() {}

    StoredRunSheet(Key key, UUID sheet) {
        this.key = key;
        this.sheetId = sheet;
        this.state = State.WAITING;
        this.said = "";
        this.changes = new UUID[0];
    }

    Key key() {
        return key;
    }

    UUID sheetId() {
        return sheetId;
    }

    State state() {
        return state;
    }

    int regions() {
        return regions;
    }

    int strokes() {
        return strokes;
    }

    int shadows() {
        return shadows;
    }

    /** How many more regions were in doubt than are asked about. */
    int unasked() {
        return unasked;
    }

    /** Why it failed; empty if it did not. */
    String said() {
        return said;
    }

    /** What was laid, as changes of the history, in their order. */
    List<UUID> changes() {
        return List.of(changes);
    }

    void done(SureLaying.Carried carried, int unasked) {
        state = State.DONE;
        regions = carried.laid().sure();
        strokes = carried.laid().strokes();
        shadows = carried.laid().shadows();
        changes = carried.changes().toArray(UUID[]::new);
        this.unasked = unasked;
    }

    void failed(String why) {
        state = State.FAILED;
        said = why;
    }

    void takenBack() {
        state = State.TAKEN_BACK;
    }
}
