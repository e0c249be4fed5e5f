package stillpond.app.device;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;

/** An ink of its own that the press is loaded with. */
@Entity
@Table(name = "press_ink")
class PressInk {

    @Embeddable
    record Key(UUID projectId, String ink) {}

    @EmbeddedId
    private Key key;

    protected PressInk() {}

    PressInk(UUID project, String ink) {
        this.key = new Key(project, ink);
    }

    String ink() {
        return key.ink();
    }
}
