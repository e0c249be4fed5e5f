package stillpond.app.sheet;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;

@Entity
@Table(name = "layer")
class StoredLayer {

    @Id
    private UUID id;

    private int position;
    private int widthPx;
    private int heightPx;
    private int cellCount;
    private String source;
    private String ink;
    private String cells;
    private String smallInk;
    private String smallCells;

    protected StoredLayer() {}

    StoredLayer(int position, LayerPlanes planes) {
        this.id = UUID.randomUUID();
        this.position = position;
        this.widthPx = planes.widthPx();
        this.heightPx = planes.heightPx();
        this.cellCount = planes.cellCount();
        this.source = planes.source();
        this.ink = planes.ink();
        this.cells = planes.cells();
        this.smallInk = planes.smallInk();
        this.smallCells = planes.smallCells();
    }

    StoredLayer copy() {
        return new StoredLayer(
                position, new LayerPlanes(widthPx, heightPx, cellCount, source, ink, cells, smallInk, smallCells));
    }

    UUID id() {
        return id;
    }

    int position() {
        return position;
    }

    String source() {
        return source;
    }

    Layer asLayer() {
        return new Layer(id, widthPx, heightPx, cellCount, ink, cells, smallInk, smallCells);
    }
}
