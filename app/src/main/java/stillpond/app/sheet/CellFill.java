package stillpond.app.sheet;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import java.util.UUID;
import stillpond.core.fill.Fill;

/** What one cell wears; a cell that wears nothing has no row. */
@Entity
class CellFill {

    @Embeddable
    record Key(UUID layerId, int cell) {}

    @EmbeddedId
    private Key key;

    private UUID swatchId;

    protected CellFill() {}

    int cell() {
        return key.cell();
    }

    Fill fill() {
        return Fill.flat(swatchId);
    }
}
