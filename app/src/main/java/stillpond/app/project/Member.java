package stillpond.app.project;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import java.util.UUID;

/** That somebody works on a project. */
@Entity
class Member {

    @Embeddable
    record Key(UUID projectId, UUID accountId) {}

    @EmbeddedId
    private Key key;

    @Enumerated(EnumType.STRING)
    private Role role;

    protected Member() {}

    Member(UUID projectId, UUID accountId, Role role) {
        this.key = new Key(projectId, accountId);
        this.role = role;
    }

    UUID projectId() {
        return key.projectId();
    }

    UUID accountId() {
        return key.accountId();
    }

    void become(Role other) {
        role = other;
    }

    Role role() {
        return role;
    }
}
