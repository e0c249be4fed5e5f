package stillpond.app.palette;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;

/** One entry of a project's staging; see Staging in the core. */
@Entity
@Table(name = "staged")
class StagedEntry {

    @Embeddable
    record Key(UUID projectId, String key) {}

    @EmbeddedId
    private Key id;

    private String value;

    protected StagedEntry() {}

    StagedEntry(UUID project, String key, String value) {
        this.id = new Key(project, key);
        this.value = value;
    }

    String key() {
        return id.key();
    }

    String value() {
        return value;
    }
}
