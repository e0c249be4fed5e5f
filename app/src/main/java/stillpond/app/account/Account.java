package stillpond.app.account;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A person who can sign in. */
@Entity
class Account {

    @Id
    private UUID id;

    private String signInName;
    private String displayName;
    private String passwordHash;

    @Nullable
    private String email;

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

    @Nullable
    String email() {
        return email;
    }

    void showAs(String name) {
        displayName = name;
    }

    void writeTo(@Nullable String address) {
        email = address;
    }

    void takePassword(String hash) {
        passwordHash = hash;
    }

    UUID id() {
        return id;
    }

    SignedIn signedIn() {
        return new SignedIn(id, signInName, displayName);
    }
}
