package stillpond.app.carry;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import stillpond.core.refusal.Refusal;

/** Fills carried onto many sheets in the background. */
@Entity
@Table(name = "carry_run")
class StoredRun {

    /** How far it is. */
    enum State {
        RUNNING,
        PAUSED,
        CANCELLED,
        DONE
    }

    @Id
    private UUID id;

    private UUID projectId;
    private UUID authorId;
    private Instant madeAt;
    private String words;

    @Column(columnDefinition = "uuid[]")
    private UUID[] sources;

    @Column(name = "is_chained")
    private boolean chained;

    @Enumerated(EnumType.STRING)
    private State state;

    private String said;

    protected StoredRun() {}

    /**
     * @param words where to, for people
     * @param chained whether a sheet, once carried onto, serves those of its scene that come after it
     */
    StoredRun(UUID project, UUID author, Instant madeAt, String words, List<UUID> sources, boolean chained) {
        this.id = UUID.randomUUID();
        this.projectId = project;
        this.authorId = author;
        this.madeAt = madeAt;
        this.words = words;
        this.sources = sources.toArray(UUID[]::new);
        this.chained = chained;
        this.state = State.RUNNING;
        this.said = "";
    }

    UUID id() {
        return id;
    }

    UUID projectId() {
        return projectId;
    }

    UUID authorId() {
        return authorId;
    }

    Instant madeAt() {
        return madeAt;
    }

    String words() {
        return words;
    }

    List<UUID> sources() {
        return List.of(sources);
    }

    boolean isChained() {
        return chained;
    }

    State state() {
        return state;
    }

    /** What could not be carried from, and why; empty if all could. */
    String said() {
        return said;
    }

    boolean isOver() {
        return state == State.DONE || state == State.CANCELLED;
    }

    void say(String words) {
        said = words;
    }

    void pause() {
        require(State.RUNNING);
        state = State.PAUSED;
    }

    void goOn() {
        require(State.PAUSED);
        state = State.RUNNING;
    }

    void cancel() {
        if (!isOver()) {
            state = State.CANCELLED;
        }
    }

    void finish() {
        require(State.RUNNING);
        state = State.DONE;
    }

    private void require(State expected) {
        if (state != expected) {
            throw new Refusal("This run is not " + (expected == State.PAUSED ? "paused" : "under way") + " any more.");
        }
    }
}
