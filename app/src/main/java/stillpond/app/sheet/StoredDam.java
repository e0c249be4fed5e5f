package stillpond.app.sheet;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.util.UUID;
import stillpond.core.gap.DamState;

/** What somebody has said about an opening; one that reach decides about has no row. */
@Entity
@Table(name = "dam")
class StoredDam {

    @Embeddable
    record Key(UUID layerId, int opening) {}

    @EmbeddedId
    private Key key;

    @Enumerated(EnumType.STRING)
    private DamState state;

    protected StoredDam() {}

    int opening() {
        return key.opening();
    }

    DamState state() {
        return state;
    }
}
