package stillpond.app.sheet;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;

/** What is known of each cell of a layer; apart from the layer, since it is long and hardly anybody asks for it. */
@Entity
@Table(name = "layer_cells")
class LayerCells {

    @Id
    private UUID layerId;

    @Column(columnDefinition = "integer[]")
    private int[] regions;

    @Column(columnDefinition = "integer[]")
    private int[] areas;

    protected LayerCells() {}

    LayerCells(UUID layer, int[] regions, int[] areas) {
        this.layerId = layer;
        this.regions = regions;
        this.areas = areas;
    }

    /** By cell, under the present dams. */
    int[] regions() {
        return regions;
    }

    void setRegions(int[] regionOfCell) {
        regions = regionOfCell;
    }

    /** By cell, in pixels; null for a layer analysed before they were told. */
    int[] areas() {
        return areas;
    }

    boolean isSeen(int cell) {
        return areas == null || areas[cell] > 0;
    }
}
