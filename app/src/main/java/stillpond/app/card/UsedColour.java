package stillpond.app.card;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import java.time.Instant;
import java.util.UUID;

/** A colour that somebody has used, in whatever project. */
@Entity
class UsedColour {

    @Embeddable
    record Key(UUID accountId, int srgb) {}

    @EmbeddedId
    private Key key;

    private Instant usedAt;

    protected UsedColour() {}

    UsedColour(UUID account, int srgb, Instant usedAt) {
        this.key = new Key(account, srgb);
        this.usedAt = usedAt;
    }

    int srgb() {
        return key.srgb();
    }

    Instant usedAt() {
        return usedAt;
    }
}
