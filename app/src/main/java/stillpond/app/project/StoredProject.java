package stillpond.app.project;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

@Entity
@Table(name = "project")
class StoredProject {

    @Id
    private UUID id;

    private String title;
    private Instant madeAt;

    protected StoredProject() {}

    StoredProject(UUID id, String title, Instant madeAt) {
        this.id = id;
        this.title = title;
        this.madeAt = madeAt;
    }

    Instant madeAt() {
        return madeAt;
    }

    Project asProject() {
        return new Project(id, title);
    }
}
