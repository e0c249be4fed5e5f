package stillpond.app.remark;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

/** What somebody answers to a remark. */
@Entity
@Table(name = "remark_answer")
class StoredAnswer {

    @Id
    private UUID id;

    private UUID remarkId;
    private UUID authorId;
    private Instant madeAt;
    private String body;

    protected StoredAnswer() {}

    StoredAnswer(UUID remarkId, UUID authorId, Instant madeAt, String body) {
        this.id = UUID.randomUUID();
        this.remarkId = remarkId;
        this.authorId = authorId;
        this.madeAt = madeAt;
        this.body = body;
    }

    UUID remarkId() {
        return remarkId;
    }

    UUID authorId() {
        return authorId;
    }

    Instant madeAt() {
        return madeAt;
    }

    String body() {
        return body;
    }
}
