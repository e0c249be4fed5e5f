package stillpond.app.account;

import jakarta.persistence.CollectionTable;
import jakarta.persistence.Column;
import jakarta.persistence.ElementCollection;
import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.MapKeyColumn;
import jakarta.persistence.Table;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;

/** See {@link OwnKeys.Keys}. */
@Entity
@Table(name = "own_keys")
class StoredKeys {

    @Id
    private UUID accountId;

    private boolean letters;

    @ElementCollection(fetch = FetchType.EAGER)
    @CollectionTable(name = "own_key", joinColumns = @JoinColumn(name = "account_id"))
    @MapKeyColumn(name = "command")
    @Column(name = "pressed")
    private Map<String, String> pressed = new HashMap<>();

    protected StoredKeys() {}

    StoredKeys(UUID accountId) {
        this.accountId = accountId;
    }

    OwnKeys.Keys keys() {
        return new OwnKeys.Keys(letters, pressed);
    }

    void become(OwnKeys.Keys keys) {
        letters = keys.letters();
        pressed.clear();
        pressed.putAll(keys.pressed());
    }
}
