package stillpond.app.sheet;

import jakarta.persistence.Column;
import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;
import stillpond.app.history.ShadowText;
import stillpond.core.shadow.Shadow;

/** A shadow or a rim of a layer. */
@Entity
@Table(name = "shadow")
class StoredShadow {

    @Embeddable
    record Key(UUID layerId, int number) {}

    @EmbeddedId
    private Key key;

    private double rank;
    private String name;
    private String base;
    private String form;
    private String mode;
    private int darker;
    private int strength;

    @Column(name = "edge_px")
    private double edgePx;

    protected StoredShadow() {}

    StoredShadow(UUID layer, Shadow shadow) {
        ShadowText text = ShadowText.of(shadow);
        this.key = new Key(layer, text.number());
        this.rank = text.rank();
        this.name = text.name();
        this.base = text.base();
        this.form = text.form();
        this.mode = text.mode();
        this.darker = text.darker();
        this.strength = text.strength();
        this.edgePx = text.edgePx();
    }

    Shadow asShadow() {
        return new ShadowText(key.number(), rank, name, base, form, mode, darker, strength, edgePx).asShadow();
    }
}
