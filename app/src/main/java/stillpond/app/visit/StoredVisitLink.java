package stillpond.app.visit;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import stillpond.app.account.OneTimeCode;
import stillpond.core.refusal.Refusal;

/** See {@link Visits}. */
@Entity
@Table(name = "visit_link")
class StoredVisitLink {

    @Id
    private UUID id;

    private String codeHash;
    private UUID projectId;

    @Nullable
    private UUID sceneId;

    @Nullable
    private UUID madeBy;

    private Instant madeAt;
    private Instant endsAt;

    @Nullable
    private Instant withdrawnAt;

    protected StoredVisitLink() {}

    StoredVisitLink(OneTimeCode code, UUID project, Optional<UUID> scene, UUID madeBy, Instant madeAt, Instant endsAt) {
        this.id = UUID.randomUUID();
        this.codeHash = code.hash();
        this.projectId = project;
        this.sceneId = scene.orElse(null);
        this.madeBy = madeBy;
        this.madeAt = madeAt;
        this.endsAt = endsAt;
    }

    UUID id() {
        return id;
    }

    UUID project() {
        return projectId;
    }

    /** Empty: all scenes. */
    Optional<UUID> scene() {
        return Optional.ofNullable(sceneId);
    }

    Instant endsAt() {
        return endsAt;
    }

    boolean isOpen(Instant now) {
        return withdrawnAt == null && now.isBefore(endsAt);
    }

    /** @throws Refusal that says why it leads nowhere any more */
    void requireOpen(Instant now) {
        if (withdrawnAt != null) {
            throw new Refusal("This link was withdrawn. Ask whoever gave it to you for another one.");
        }
        if (!now.isBefore(endsAt)) {
            throw new Refusal("This link has ended. Ask whoever gave it to you for another one.");
        }
    }

    void withdraw(Instant now) {
        withdrawnAt = now;
    }
}
