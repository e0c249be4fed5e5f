package stillpond.app.sheet;

import jakarta.persistence.CascadeType;
import jakarta.persistence.Column;
import jakarta.persistence.Embedded;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.FetchType;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.OneToOne;
import jakarta.persistence.PrimaryKeyJoinColumn;
import jakarta.persistence.Table;
import java.util.OptionalInt;
import java.util.UUID;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import stillpond.core.gap.Openings;
import stillpond.core.ink.InkSettings;
import stillpond.core.ink.Pencil;
import stillpond.core.stack.Standing;

@Entity
@Table(name = "layer")
class StoredLayer {

    @Id
    private UUID id;

    @ManyToOne(
            optional = false,
            cascade = {CascadeType.PERSIST, CascadeType.MERGE})
    @JoinColumn(name = "standing_id")
    private StoredStanding standing;

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
    private String origin;

    @Column(name = "is_through")
    private boolean through;

    @Column(name = "is_blocked_in")
    private boolean blockedIn;

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

    StoredLayer(StoredStanding standing, LayerPlanes planes) {
        this(UUID.randomUUID(), standing, planes);
    }

    StoredLayer(UUID id, StoredStanding standing, LayerPlanes planes) {
        this.id = id;
        this.standing = standing;
        this.current = true;
        this.inkThreshold = boxed(planes.settings().threshold());
        this.speckPx = boxed(planes.settings().speckPx());
        this.pencil = planes.settings().pencil();
        this.widthPx = planes.widthPx();
        this.heightPx = planes.heightPx();
        this.cellCount = planes.regions().length;
        this.ofCells = new LayerCells(id, planes.regions(), planes.areas());
        this.regionCount = count();
        this.reach = planes.reach();
        this.openings = planes.openings();
        this.analysisVersion = planes.analysisVersion();
        this.source = planes.source();
        this.origin = planes.origin();
        this.through = planes.isThrough();
        this.blockedIn = planes.isBlockedIn();
        this.ink = planes.ink();
        this.cells = planes.cells();
        this.smallInk = planes.smallInk();
        this.smallCells = planes.smallCells();
        this.strokes = planes.strokes();
    }

    /** @param sheet that the copy is for */
    StoredLayer copy(UUID sheet) {
        Standing here = standing.asStanding();
        Standing there = new Standing(
                UUID.randomUUID(),
                here.name(),
                here.isHidden(),
                here.isLocked(),
                here.opacityPercent(),
                here.xPx(),
                here.yPx());
        return new StoredLayer(
                new StoredStanding(sheet, there, standing.position()),
                new LayerPlanes(
                        analysisVersion,
                        settings(),
                        widthPx,
                        heightPx,
                        ofCells.regions(),
                        ofCells.areas(),
                        reach(),
                        source,
                        origin,
                        ink,
                        cells,
                        openings,
                        smallInk,
                        smallCells,
                        strokes,
                        through,
                        blockedIn));
    }

    /** The same line art in more cells, as the layer with an id. */
    StoredLayer splitInto(UUID newId, SplitPlanes planes) {
        return new StoredLayer(
                newId,
                standing,
                new LayerPlanes(
                        analysisVersion,
                        settings(),
                        widthPx,
                        heightPx,
                        planes.regions(),
                        planes.areas(),
                        reach(),
                        source,
                        origin,
                        ink,
                        planes.cells(),
                        planes.openings(),
                        smallInk,
                        planes.smallCells(),
                        strokes,
                        through,
                        blockedIn));
    }

    UUID id() {
        return id;
    }

    StoredStanding standing() {
        return standing;
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
        regionCount = count();
    }

    /** Shapes that lie wholly under others have no region that anybody could fill. */
    private int count() {
        return (int) IntStream.range(0, ofCells.regions().length)
                .filter(ofCells::isSeen)
                .map(cell -> ofCells.regions()[cell])
                .distinct()
                .count();
    }

    private double reach() {
        return reach == null ? 1 : reach;
    }

    private InkSettings settings() {
        return new InkSettings(unboxed(inkThreshold), unboxed(speckPx), pencil);
    }

    Layer asLayer() {
        return asLayer(standing.asStanding());
    }

    /** As it stood at some other moment. */
    Layer asLayer(Standing then) {
        return new Layer(
                id,
                then,
                widthPx,
                heightPx,
                cellCount,
                settings(),
                source,
                origin,
                ink,
                cells,
                openings,
                reach(),
                regionCount,
                smallInk,
                smallCells,
                strokes,
                through,
                blockedIn,
                blockedIn || analysisVersion == Openings.VERSION);
    }

    private static Integer boxed(OptionalInt value) {
        return value.isPresent() ? value.getAsInt() : null;
    }

    private static OptionalInt unboxed(Integer value) {
        return value == null ? OptionalInt.empty() : OptionalInt.of(value);
    }
}
