package stillpond.app.remark;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import stillpond.core.ink.Placing;

/** See {@link Remarks}. */
@Entity
@Table(name = "remark")
class StoredRemark {

    @Id
    private UUID id;

    private UUID projectId;

    @Nullable
    private UUID sheetId;

    @Nullable
    private UUID standingId;

    @Nullable
    private Integer xPx;

    @Nullable
    private Integer yPx;

    @Nullable
    private UUID swatchId;

    private UUID authorId;
    private Instant madeAt;
    private String body;

    @Nullable
    private Instant doneAt;

    @Nullable
    private UUID doneBy;

    protected StoredRemark() {}

    private StoredRemark(UUID projectId, UUID authorId, Instant madeAt, String body) {
        this.id = UUID.randomUUID();
        this.projectId = projectId;
        this.authorId = authorId;
        this.madeAt = madeAt;
        this.body = body;
    }

    static StoredRemark atPlace(UUID project, Remarks.Place place, UUID author, Instant madeAt, String body) {
        StoredRemark remark = new StoredRemark(project, author, madeAt, body);
        remark.sheetId = place.sheet();
        remark.standingId = place.standing();
        remark.xPx = place.xPx();
        remark.yPx = place.yPx();
        return remark;
    }

    static StoredRemark ofSwatch(UUID project, UUID swatch, UUID author, Instant madeAt, String body) {
        StoredRemark remark = new StoredRemark(project, author, madeAt, body);
        remark.swatchId = swatch;
        return remark;
    }

    UUID id() {
        return id;
    }

    Optional<Remarks.Place> place() {
        return sheetId == null ? Optional.empty() : Optional.of(new Remarks.Place(sheetId, standingId, xPx, yPx));
    }

    Optional<UUID> swatch() {
        return Optional.ofNullable(swatchId);
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

    Optional<UUID> doneBy() {
        return Optional.ofNullable(doneBy);
    }

    void finish(UUID by, Instant now) {
        doneBy = by;
        doneAt = now;
    }

    void openAgain() {
        doneBy = null;
        doneAt = null;
    }

    /** @param placing where the pixels of the new drawing lie in the one that the remark was made on */
    void move(Placing placing) {
        xPx = placing.xHere(xPx);
        yPx = placing.yHere(yPx);
    }
}
