package stillpond.app.account;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.util.UUID;

/** A person who can sign in. */
@Entity
class Account {

    @Id
    private UUID id;

    private String signInName;
    private String displayName;
    private String passwordHash;

    protected Account() {}

    Account(UUID id, String signInName, String displayName, String passwordHash) {
        this.id = id;
        this.signInName = signInName;
        this.displayName = displayName;
        this.passwordHash = passwordHash;
    }

    String displayName() {
        return displayName;
    }

    String passwordHash() {
        return passwordHash;
    }

    UUID id() {
        return id;
    }

    SignedIn signedIn() {
        return new SignedIn(id, signInName, displayName);
    }
}
