package stillpond.app.card;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Edits of cards that somebody asks the lead for. */
@Entity
@Table(name = "proposal")
class StoredProposal {

    @Id
    private UUID id;

    private UUID projectId;
    private UUID authorId;
    private Instant madeAt;
    private String reason;

    /** As the page sent them, in JSON. */
    private String edits;

    @Enumerated(EnumType.STRING)
    private Proposals.State state;

    private @Nullable UUID answeredBy;
    private @Nullable Instant answeredAt;
    private String answer;

    protected StoredProposal() {}

    StoredProposal(UUID project, UUID author, Instant madeAt, String reason, String edits) {
        this.id = UUID.randomUUID();
        this.projectId = project;
        this.authorId = author;
        this.madeAt = madeAt;
        this.reason = reason;
        this.edits = edits;
        this.state = Proposals.State.OPEN;
        this.answer = "";
    }

    void answer(Proposals.State newState, UUID by, Instant at, String words) {
        state = newState;
        answeredBy = by;
        answeredAt = at;
        answer = words;
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

    String reason() {
        return reason;
    }

    String edits() {
        return edits;
    }

    Proposals.State state() {
        return state;
    }

    @Nullable
    UUID answeredBy() {
        return answeredBy;
    }

    @Nullable
    Instant answeredAt() {
        return answeredAt;
    }

    String answer() {
        return answer;
    }
}
