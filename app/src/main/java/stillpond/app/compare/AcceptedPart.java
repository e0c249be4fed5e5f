package stillpond.app.compare;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import stillpond.core.ledger.ConsistencySheet;
import stillpond.core.ledger.PartsTable;

/** What stands out about a part on a sheet, and was accepted as meant. */
@Entity
@Table(name = "part_accepted")
class AcceptedPart {

    @Embeddable
    record Key(
            UUID sheetId,
            UUID swatchId,
            @Enumerated(EnumType.STRING) PartsTable.Mark mark) {}

    @EmbeddedId
    private Key key;

    private UUID acceptedBy;
    private Instant acceptedAt;
    private String why;

    protected AcceptedPart() {}

    AcceptedPart(Key key, UUID acceptedBy, Instant acceptedAt, String why) {
        this.key = key;
        this.acceptedBy = acceptedBy;
        this.acceptedAt = acceptedAt;
        this.why = why;
    }

    ConsistencySheet.Key key() {
        return new ConsistencySheet.Key(key.sheetId(), key.swatchId(), key.mark());
    }

    UUID acceptedBy() {
        return acceptedBy;
    }

    Instant acceptedAt() {
        return acceptedAt;
    }

    String why() {
        return why;
    }
}
