package stillpond.app.sheet;

import jakarta.persistence.CascadeType;
import jakarta.persistence.Column;
import jakarta.persistence.Embedded;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.FetchType;
import jakarta.persistence.Id;
import jakarta.persistence.OneToOne;
import jakarta.persistence.PrimaryKeyJoinColumn;
import jakarta.persistence.Table;
import java.util.Arrays;
import java.util.OptionalInt;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import stillpond.core.gap.Openings;
import stillpond.core.ink.InkSettings;
import stillpond.core.ink.Pencil;

@Entity
@Table(name = "layer")
class StoredLayer {

    @Id
    private UUID id;

    private int position;

    @Column(name = "is_current")
    private boolean current;

    private Integer inkThreshold;
    private Integer speckPx;

    @Enumerated(EnumType.STRING)
    private Pencil pencil;

    private int widthPx;
    private int heightPx;
    private int cellCount;
    private String source;
    private String ink;
    private String cells;
    private String openings;
    private int analysisVersion;
    private Double reach;

    private int regionCount;

    @OneToOne(fetch = FetchType.LAZY, optional = false, cascade = CascadeType.ALL)
    @PrimaryKeyJoinColumn
    private LayerCells ofCells;

    private String smallInk;
    private String smallCells;

    @Embedded
    private @Nullable StrokePlanes strokes;

    protected StoredLayer() {}

    StoredLayer(int position, LayerPlanes planes) {
        this(UUID.randomUUID(), position, planes);
    }

    private StoredLayer(UUID id, int position, LayerPlanes planes) {
        this.id = id;
        this.position = position;
        this.current = true;
        this.inkThreshold = boxed(planes.settings().threshold());
        this.speckPx = boxed(planes.settings().speckPx());
        this.pencil = planes.settings().pencil();
        this.widthPx = planes.widthPx();
        this.heightPx = planes.heightPx();
        this.cellCount = planes.regions().length;
        this.ofCells = new LayerCells(id, planes.regions(), planes.areas());
        this.regionCount = count(planes.regions());
        this.reach = planes.reach();
        this.openings = planes.openings();
        this.analysisVersion = planes.analysisVersion();
        this.source = planes.source();
        this.ink = planes.ink();
        this.cells = planes.cells();
        this.smallInk = planes.smallInk();
        this.smallCells = planes.smallCells();
        this.strokes = planes.strokes();
    }

    StoredLayer copy() {
        return new StoredLayer(
                position,
                new LayerPlanes(
                        analysisVersion,
                        settings(),
                        widthPx,
                        heightPx,
                        ofCells.regions(),
                        ofCells.areas(),
                        reach(),
                        source,
                        ink,
                        cells,
                        openings,
                        smallInk,
                        smallCells,
                        strokes));
    }

    /** The same line art in more cells, as the layer with an id. */
    StoredLayer splitInto(UUID newId, SplitPlanes planes) {
        return new StoredLayer(
                newId,
                position,
                new LayerPlanes(
                        analysisVersion,
                        settings(),
                        widthPx,
                        heightPx,
                        planes.regions(),
                        planes.areas(),
                        reach(),
                        source,
                        ink,
                        planes.cells(),
                        planes.openings(),
                        smallInk,
                        planes.smallCells(),
                        strokes));
    }

    UUID id() {
        return id;
    }

    int position() {
        return position;
    }

    boolean isCurrent() {
        return current;
    }

    void setCurrent(boolean isCurrent) {
        current = isCurrent;
    }

    void setReach(double newReach) {
        reach = newReach;
    }

    void setRegions(int[] regionOfCell) {
        ofCells.setRegions(regionOfCell);
        regionCount = count(regionOfCell);
    }

    private static int count(int[] regionOfCell) {
        return Arrays.stream(regionOfCell).max().orElse(-1) + 1;
    }

    private double reach() {
        return reach == null ? 1 : reach;
    }

    private InkSettings settings() {
        return new InkSettings(unboxed(inkThreshold), unboxed(speckPx), pencil);
    }

    Layer asLayer() {
        return new Layer(
                id,
                widthPx,
                heightPx,
                cellCount,
                settings(),
                source,
                ink,
                cells,
                openings,
                reach(),
                regionCount,
                smallInk,
                smallCells,
                strokes,
                analysisVersion == Openings.VERSION);
    }

    private static Integer boxed(OptionalInt value) {
        return value.isPresent() ? value.getAsInt() : null;
    }

    private static OptionalInt unboxed(Integer value) {
        return value == null ? OptionalInt.empty() : OptionalInt.of(value);
    }
}
