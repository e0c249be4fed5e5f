package stillpond.app.export;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import stillpond.core.handon.Arrangement;

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

    @Enumerated(EnumType.STRING)
    private Arrangement arrangement;

    private String light;
    private @Nullable Instant cancelledAt;
    private @Nullable Instant finishedAt;

    protected StoredJob() {}

    /** @param words what goes out, for people */
    StoredJob(UUID project, UUID author, Instant madeAt, String words, HandingOn.Choices choices) {
        this.id = UUID.randomUUID();
        this.projectId = project;
        this.authorId = author;
        this.madeAt = madeAt;
        this.words = words;
        this.arrangement = choices.by();
        this.light = choices.light();
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

    HandingOn.Choices choices() {
        return new HandingOn.Choices(arrangement, light);
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
