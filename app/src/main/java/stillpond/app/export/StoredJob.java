package stillpond.app.export;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Several sheets, handed on at once in several forms. */
@Entity
@Table(name = "handed_job")
class StoredJob {

    @Id
    private UUID id;

    private UUID projectId;
    private UUID authorId;
    private Instant madeAt;
    private String words;
    private @Nullable Instant cancelledAt;
    private @Nullable Instant finishedAt;

    protected StoredJob() {}

    /** @param words what goes out, for people */
    StoredJob(UUID project, UUID author, Instant madeAt, String words) {
        this.id = UUID.randomUUID();
        this.projectId = project;
        this.authorId = author;
        this.madeAt = madeAt;
        this.words = words;
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

    boolean isCancelled() {
        return cancelledAt != null;
    }

    boolean isOver() {
        return finishedAt != null || cancelledAt != null;
    }

    void cancel(Instant at) {
        if (!isOver()) {
            cancelledAt = at;
        }
    }

    void finish(Instant at) {
        if (!isOver()) {
            finishedAt = at;
        }
    }
}
