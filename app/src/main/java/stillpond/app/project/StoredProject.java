package stillpond.app.project;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

@Entity
@Table(name = "project")
class StoredProject {

    @Id
    private UUID id;

    private String title;
    private Instant madeAt;

    @Nullable
    private Instant archivedAt;

    @Nullable
    private Instant removedAt;

    @Nullable
    private UUID coverSheetId;

    protected StoredProject() {}

    StoredProject(UUID id, String title, Instant madeAt) {
        this.id = id;
        this.title = title;
        this.madeAt = madeAt;
    }

    Instant madeAt() {
        return madeAt;
    }

    void rename(String newTitle) {
        title = newTitle;
    }

    void cover(UUID sheet) {
        coverSheetId = sheet;
    }

    boolean isArchived() {
        return archivedAt != null;
    }

    /** @param at null to take it out again */
    void archive(@Nullable Instant at) {
        archivedAt = at;
    }

    boolean isRemoved() {
        return removedAt != null;
    }

    /** @param at null to bring it back */
    void remove(@Nullable Instant at) {
        removedAt = at;
    }

    Project asProject() {
        return new Project(id, title, Optional.ofNullable(coverSheetId));
    }
}
