package stillpond.app.travel;

import jakarta.persistence.Column;
import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;

/** Something that a project file held and that is not known here. */
@Entity
@Table(name = "unknown_part")
class UnknownPart {

    @Embeddable
    record Key(@Column(name = "project_id") UUID projectId, String place) {}

    @EmbeddedId
    private Key key;

    private byte[] content;

    protected UnknownPart() {}

    /** @param place see {@link UnknownParts} */
    UnknownPart(UUID project, String place, byte[] content) {
        this.key = new Key(project, place);
        this.content = content;
    }

    String place() {
        return key.place();
    }

    byte[] content() {
        return content;
    }
}
