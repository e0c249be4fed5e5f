package stillpond.app.history;

import jakarta.persistence.Column;
import jakarta.persistence.Embeddable;
import jakarta.persistence.Embedded;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.Table;
import java.util.UUID;
import org.hibernate.annotations.Immutable;

/** One effect of a row of the log. */
@Entity
@Immutable
@Table(name = "effect")
class StoredEffect {

    @Embeddable
    record Key(@Column(name = "change_id") UUID changeId, int position) {}

    @EmbeddedId
    private Key key;

    @ManyToOne(fetch = FetchType.LAZY)
    @JoinColumn(name = "change_id", insertable = false, updatable = false)
    private StoredChange change;

    @Embedded
    private EffectRow row;

    protected StoredEffect() {}

    EffectRow row() {
        return row;
    }

    StoredChange change() {
        return change;
    }
}
