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

/** One row of a sheet's log. */
@Entity
@Immutable
@Table(name = "change")
class StoredChange implements Persistable<UUID> {

    enum Kind {
        FILL,
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
        return new MadeChange(id, layerId, revision, change());
    }

    Change change() {
        List<Swap> swaps = new ArrayList<>();
        for (int i = 0; i < cells.length; i++) {
            swaps.add(new Swap(cells[i], Fill.ofText(before[i]), Fill.ofText(after[i])));
        }
        return new Change(swaps);
    }
}
