package stillpond.app.carry;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;

/** How often the like of a region, named by one of its cells, was given a fill instead of what was proposed. */
@Entity
@Table(name = "carry_correction")
class Correction {

    @Embeddable
    record Key(UUID layerId, int cell, String fill) {}

    @EmbeddedId
    private Key key;

    private int times;

    protected Correction() {}

    Correction(Key key) {
        this.key = key;
    }

    void oneMore() {
        times++;
    }

    int cell() {
        return key.cell();
    }

    String fill() {
        return key.fill();
    }

    int times() {
        return times;
    }
}
