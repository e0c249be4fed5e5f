package stillpond.app.compare;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Somebody has signed that parts are the same everywhere. */
@Entity
@Table(name = "consistency_signed")
class Signature {

    @Id
    private UUID id;

    private UUID projectId;
    private @Nullable UUID cardId;
    private UUID signedBy;
    private Instant signedAt;
    private String content;

    protected Signature() {}

    /** @param card whose parts are signed; null for all @param content what is signed, as a hash */
    Signature(UUID project, @Nullable UUID card, UUID signedBy, Instant signedAt, String content) {
        this.id = UUID.randomUUID();
        this.projectId = project;
        this.cardId = card;
        this.signedBy = signedBy;
        this.signedAt = signedAt;
        this.content = content;
    }

    UUID signedBy() {
        return signedBy;
    }

    Instant signedAt() {
        return signedAt;
    }

    String content() {
        return content;
    }
}
