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
    private boolean undone;

    protected StoredPaletteChange() {}

    StoredPaletteChange(UUID id, UUID project, UUID author, Instant madeAt, String words, String before, String after) {
        this.id = id;
        this.projectId = project;
        this.authorId = author;
        this.madeAt = madeAt;
        this.words = words;
        this.before = before;
        this.after = after;
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

    boolean isUndone() {
        return undone;
    }

    void undo() {
        undone = true;
    }
}
