package stillpond.app.project;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

@Entity
@Table(name = "scene")
class StoredScene {

    @Id
    private UUID id;

    private UUID projectId;
    private String title;
    private int position;
    private Instant removedAt;

    protected StoredScene() {}

    StoredScene(UUID id, UUID projectId, String title, int position) {
        this.id = id;
        this.projectId = projectId;
        this.title = title;
        this.position = position;
    }

    void rename(String newTitle) {
        title = newTitle;
    }

    void placeAt(int newPosition) {
        position = newPosition;
    }

    /** @param at null to bring it back */
    void remove(Instant at) {
        removedAt = at;
    }

    boolean isRemoved() {
        return removedAt != null;
    }

    int position() {
        return position;
    }

    Scene asScene() {
        return new Scene(id, projectId, title);
    }
}
