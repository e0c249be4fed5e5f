package stillpond.app.sheet;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.PostPersist;
import jakarta.persistence.Table;
import jakarta.persistence.Transient;
import java.util.UUID;
import org.springframework.data.domain.Persistable;
import stillpond.core.gap.DamState;

/** What somebody has said about an opening; one that reach decides about has no row. */
@Entity
@Table(name = "dam")
class StoredDam implements Persistable<StoredDam.Key> {

    @Embeddable
    record Key(UUID layerId, int opening) {}

    @EmbeddedId
    private Key key;

    @Enumerated(EnumType.STRING)
    private DamState state;

    @Transient
    private boolean fresh;

    protected StoredDam() {}

    /** One that has no row yet. */
    StoredDam(UUID layer, int opening, DamState state) {
        this.key = new Key(layer, opening);
        this.state = state;
        this.fresh = true;
    }

    @PostPersist
    void keep() {
        fresh = false;
    }

    @Override
    public Key getId() {
        return key;
    }

    @Override
    public boolean isNew() {
        return fresh;
    }

    int opening() {
        return key.opening();
    }

    DamState state() {
        return state;
    }

    void say(DamState other) {
        state = other;
    }
}
