package stillpond.app.sheet;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

/** A motif that somebody brought. */
@Entity
@Table(name = "motif")
class StoredMotif {

    @Id
    private UUID id;

    private UUID projectId;
    private String title;

    /** The name of its plane: the SVG of one repeat. */
    private String content;

    private Instant madeAt;

    protected StoredMotif() {}

    StoredMotif(UUID project, String title, String content, Instant madeAt) {
        this.id = UUID.randomUUID();
        this.projectId = project;
        this.title = title;
        this.content = content;
        this.madeAt = madeAt;
    }

    /** By which fills know it. */
    String name() {
        return id.toString();
    }

    UUID projectId() {
        return projectId;
    }

    String title() {
        return title;
    }

    String content() {
        return content;
    }

    Instant madeAt() {
        return madeAt;
    }
}
