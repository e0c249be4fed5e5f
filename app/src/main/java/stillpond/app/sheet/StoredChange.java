package stillpond.app.sheet;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.springframework.data.domain.Persistable;
import stillpond.core.fill.Change;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Swap;
import stillpond.core.gap.DamChange;

/** One row of a sheet's log. */
@Entity
@Immutable
@Table(name = "change")
class StoredChange implements Persistable<UUID> {

    enum Kind {
        FILL,
        DAM,
        RECUT,
        UNDO,
        REDO
    }

    /** When, by whom and where a change was made. */
    record Origin(UUID sheet, UUID layer, UUID author, long revision, Instant madeAt) {}

    @Id
    private UUID id;

    private UUID sheetId;
    private UUID layerId;
    private long revision;
    private UUID authorId;
    private Instant madeAt;

    @Enumerated(EnumType.STRING)
    private Kind kind;

    private UUID concerns;
    private UUID parent;
    private UUID replaced;
    private boolean concernsDams;

    @Column(columnDefinition = "integer[]")
    private int[] cells;

    @Column(columnDefinition = "text[]")
    private String[] before;

    @Column(columnDefinition = "text[]")
    private String[] after;

    protected StoredChange() {}

    private StoredChange(UUID id, Kind kind, Origin origin, Change change) {
        this.id = id;
        this.kind = kind;
        this.sheetId = origin.sheet();
        this.layerId = origin.layer();
        this.authorId = origin.author();
        this.revision = origin.revision();
        this.madeAt = origin.madeAt();
        List<Swap> swaps = change.swaps();
        this.cells = swaps.stream().mapToInt(Swap::cell).toArray();
        this.before = swaps.stream().map(swap -> swap.before().text()).toArray(String[]::new);
        this.after = swaps.stream().map(swap -> swap.after().text()).toArray(String[]::new);
    }

    /** @param parent the author's latest change before this one */
    static StoredChange fill(UUID id, Optional<UUID> parent, Origin origin, Change change) {
        StoredChange stored = new StoredChange(id, Kind.FILL, origin, change);
        stored.parent = parent.orElse(null);
        return stored;
    }

    static StoredChange dams(UUID id, Optional<UUID> parent, Origin origin, DamChange change) {
        StoredChange stored = new StoredChange(id, Kind.DAM, origin, new Change(List.of()));
        stored.parent = parent.orElse(null);
        stored.keep(change);
        return stored;
    }

    /** An undo or redo of a change of dams. */
    static StoredChange stepOfDams(UUID id, Kind kind, UUID concerns, Origin origin, DamChange change) {
        StoredChange stored = step(id, kind, concerns, origin, new Change(List.of()));
        stored.keep(change);
        return stored;
    }

    private void keep(DamChange change) {
        StoredDams dams = StoredDams.of(change);
        this.concernsDams = true;
        this.cells = dams.openings();
        this.before = dams.before();
        this.after = dams.after();
    }

    /** The layer of {@code origin} took the place of another. */
    static StoredChange recut(UUID id, Optional<UUID> parent, Origin origin, UUID replaced) {
        StoredChange stored = new StoredChange(id, Kind.RECUT, origin, new Change(List.of()));
        stored.parent = parent.orElse(null);
        stored.replaced = replaced;
        return stored;
    }

    /** An undo or redo of the change that it concerns. */
    static StoredChange step(UUID id, Kind kind, UUID concerns, Origin origin, Change change) {
        StoredChange stored = new StoredChange(id, kind, origin, change);
        stored.concerns = concerns;
        return stored;
    }

    @Override
    public UUID getId() {
        return id;
    }

    /** Rows of the log are only ever added. */
    @Override
    public boolean isNew() {
        return true;
    }

    UUID sheetId() {
        return sheetId;
    }

    UUID layerId() {
        return layerId;
    }

    UUID authorId() {
        return authorId;
    }

    Instant madeAt() {
        return madeAt;
    }

    long revision() {
        return revision;
    }

    Kind kind() {
        return kind;
    }

    Optional<UUID> concerns() {
        return Optional.ofNullable(concerns);
    }

    /** For recuts: the layer whose place the new one took. */
    Optional<UUID> replaced() {
        return Optional.ofNullable(replaced);
    }

    Optional<UUID> parent() {
        return Optional.ofNullable(parent);
    }

    MadeChange asMade() {
        return new MadeChange(id, layerId, revision, change(), damChange());
    }

    /** Whether this is about dams, not fills. */
    boolean concernsDams() {
        return concernsDams;
    }

    DamChange damChange() {
        return concernsDams ? new StoredDams(cells, before, after).asChange() : DamChange.NONE;
    }

    Change change() {
        if (concernsDams) {
            return new Change(List.of());
        }
        List<Swap> swaps = new ArrayList<>();
        for (int i = 0; i < cells.length; i++) {
            swaps.add(new Swap(cells[i], Fill.ofText(before[i]), Fill.ofText(after[i])));
        }
        return new Change(swaps);
    }
}
