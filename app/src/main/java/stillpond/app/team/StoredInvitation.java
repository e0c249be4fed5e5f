package stillpond.app.team;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import stillpond.app.account.OneTimeCode;
import stillpond.app.project.Role;
import stillpond.core.refusal.Refusal;

/** See {@link Invitations}. */
@Entity
@Table(name = "invitation")
class StoredInvitation {

    @Id
    private UUID id;

    private String codeHash;

    @Nullable
    private UUID projectId;

    @Nullable
    @Enumerated(EnumType.STRING)
    private Role role;

    private String sentTo;

    @Nullable
    private UUID invitedBy;

    private Instant madeAt;
    private Instant endsAt;

    @Nullable
    private Instant usedAt;

    @Nullable
    private UUID usedBy;

    @Nullable
    private Instant withdrawnAt;

    protected StoredInvitation() {}

    /** To an account alone. */
    StoredInvitation(OneTimeCode code, Instant madeAt, Instant endsAt) {
        this.id = UUID.randomUUID();
        this.codeHash = code.hash();
        this.sentTo = "";
        this.madeAt = madeAt;
        this.endsAt = endsAt;
    }

    StoredInvitation(
            OneTimeCode code, UUID project, Role role, String sentTo, UUID invitedBy, Instant madeAt, Instant endsAt) {
        this(code, madeAt, endsAt);
        this.projectId = project;
        this.role = role;
        this.sentTo = sentTo;
        this.invitedBy = invitedBy;
    }

    UUID id() {
        return id;
    }

    /** Empty: to an account alone. */
    Optional<UUID> project() {
        return Optional.ofNullable(projectId);
    }

    Optional<Role> role() {
        return Optional.ofNullable(role);
    }

    String sentTo() {
        return sentTo;
    }

    @Nullable
    UUID invitedBy() {
        return invitedBy;
    }

    Instant endsAt() {
        return endsAt;
    }

    boolean isOpen(Instant now) {
        return usedAt == null && withdrawnAt == null && now.isBefore(endsAt);
    }

    /** @throws Refusal that says why it leads nowhere any more */
    void requireOpen(Instant now) {
        if (withdrawnAt != null) {
            throw new Refusal("This invitation was withdrawn. Ask for another one.");
        }
        if (usedAt != null) {
            throw new Refusal("This invitation was used already. Ask for another one, or sign in.");
        }
        if (!now.isBefore(endsAt)) {
            throw new Refusal("This invitation has ended. Ask for another one.");
        }
    }

    void use(UUID account, Instant now) {
        usedAt = now;
        usedBy = account;
    }

    void withdraw(Instant now) {
        withdrawnAt = now;
    }
}
