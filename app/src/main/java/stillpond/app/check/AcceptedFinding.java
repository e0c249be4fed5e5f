package stillpond.app.check;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import java.time.Instant;
import java.util.UUID;

/** A finding that somebody has accepted as meant; it stays quiet. */
@Entity
class AcceptedFinding {

    /** @param finding see the key of a finding in the core */
    @Embeddable
    record Key(UUID layerId, String finding) {}

    @EmbeddedId
    private Key key;

    private UUID acceptedBy;
    private Instant acceptedAt;

    protected AcceptedFinding() {}

    AcceptedFinding(Key key, UUID acceptedBy, Instant acceptedAt) {
        this.key = key;
        this.acceptedBy = acceptedBy;
        this.acceptedAt = acceptedAt;
    }

    String finding() {
        return key.finding();
    }
}
