package stillpond.app.check;

import jakarta.persistence.Column;
import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import org.springframework.data.domain.Persistable;

/** See {@link Difference}. Those of a layer are always written anew, all of them. */
@Entity
@Table(name = "sheet_difference")
class StoredDifference implements Persistable<StoredDifference.Key> {

    @Embeddable
    record Key(UUID layerId, String key) {}

    @EmbeddedId
    private Key key;

    @Column(columnDefinition = "integer[]")
    private int[] cells;

    private String fill;
    private String sheets;

    protected StoredDifference() {}

    StoredDifference(UUID layer, Difference difference) {
        this.key = new Key(layer, difference.key());
        this.cells = difference.cells().stream().mapToInt(cell -> cell).toArray();
        this.fill = difference.fill();
        this.sheets = String.join("\n", difference.sheets());
    }

    @Override
    public Key getId() {
        return key;
    }

    @Override
    public boolean isNew() {
        return true;
    }

    Difference asDifference() {
        return new Difference(Arrays.stream(cells).boxed().toList(), fill, List.of(sheets.split("\n")), key.key());
    }
}
