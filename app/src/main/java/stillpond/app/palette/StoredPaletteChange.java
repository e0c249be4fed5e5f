package stillpond.app.palette;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

/** One row of a palette's log. */
@Entity
@Table(name = "palette_change")
class StoredPaletteChange {

    @Id
    private UUID id;

    private UUID projectId;
    private UUID authorId;
    private Instant madeAt;
    private String words;
    private String before;
    private String after;
    private Instant undoneAt;
    private String reason;

    protected StoredPaletteChange() {}

    /** The cards concerned before and after, as JSON. */
    record Texts(String before, String after) {}

    StoredPaletteChange(UUID id, UUID project, UUID author, Instant madeAt, String words, String reason, Texts texts) {
        this.id = id;
        this.projectId = project;
        this.authorId = author;
        this.madeAt = madeAt;
        this.words = words;
        this.reason = reason;
        this.before = texts.before();
        this.after = texts.after();
    }

    UUID id() {
        return id;
    }

    UUID projectId() {
        return projectId;
    }

    UUID authorId() {
        return authorId;
    }

    Instant madeAt() {
        return madeAt;
    }

    String words() {
        return words;
    }

    String before() {
        return before;
    }

    String after() {
        return after;
    }

    /** When it was taken back; null if it stands. */
    Instant undoneAt() {
        return undoneAt;
    }

    void undo(Instant at) {
        undoneAt = at;
    }

    /** Why it was made; may be empty. */
    String reason() {
        return reason;
    }

    void explain(String why) {
        reason = why;
    }
}
