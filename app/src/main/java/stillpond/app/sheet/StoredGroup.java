package stillpond.app.sheet;

import jakarta.persistence.Column;
import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.Arrays;
import java.util.UUID;
import org.springframework.data.domain.Persistable;
import stillpond.core.ledger.CellGroup;

/** A group of cells of a layer. Those of a layer are always written anew, all of them. */
@Entity
@Table(name = "cell_group")
class StoredGroup implements Persistable<StoredGroup.Key> {

    @Embeddable
    record Key(UUID layerId, UUID id) {}

    @EmbeddedId
    private Key key;

    private String name;
    private int position;

    @Column(name = "is_hidden")
    private boolean hidden;

    @Column(name = "is_locked")
    private boolean locked;

    @Column(columnDefinition = "integer[]")
    private int[] cells;

    protected StoredGroup() {}

    StoredGroup(UUID layer, int position, CellGroup group) {
        this.key = new Key(layer, group.id());
        this.position = position;
        this.name = group.name();
        this.hidden = group.isHidden();
        this.locked = group.isLocked();
        this.cells = group.cells().stream().mapToInt(cell -> cell).toArray();
    }

    @Override
    public Key getId() {
        return key;
    }

    @Override
    public boolean isNew() {
        return true;
    }

    CellGroup asGroup() {
        return new CellGroup(
                key.id(), name, hidden, locked, Arrays.stream(cells).boxed().toList());
    }
}
