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

    /** For one opaque swatch. */
    private UUID swatchId;

    /** For every other fill: its text. */
    private String made;

    protected CellFill() {}

    int cell() {
        return key.cell();
    }

    Fill fill() {
        return made == null ? Fill.flat(swatchId) : Fill.ofText(made);
    }
}
