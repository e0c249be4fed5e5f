package stillpond.app.carry;

import jakarta.persistence.CollectionTable;
import jakarta.persistence.Column;
import jakarta.persistence.ElementCollection;
import jakarta.persistence.Embedded;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.FetchType;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.OrderColumn;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Persistable;

/** A region of which a run is not sure what it wears. */
@Entity
@Table(name = "carry_question")
class StoredQuestion implements Persistable<UUID> {

    /** What became of it; those that are gone were filled, or cut anew, before anybody answered. */
    enum State {
        OPEN,
        TAKEN,
        LEFT,
        GONE
    }

    @Id
    private UUID id;

    private UUID runId;
    private int position;
    private UUID layerId;

    @Column(columnDefinition = "integer[]")
    private int[] cells;

    @Embedded
    private Seen seen;

    private double area;
    private String part;
    private double likely;

    @ElementCollection(fetch = FetchType.EAGER)
    @CollectionTable(name = "carry_choice", joinColumns = @JoinColumn(name = "question_id"))
    @OrderColumn(name = "place")
    private List<StoredChoice> choices;

    @Enumerated(EnumType.STRING)
    private State state;

    private @Nullable UUID answerId;
    private @Nullable UUID answeredBy;
    private @Nullable Instant answeredAt;
    private @Nullable UUID changeId;

    protected StoredQuestion() {}

    StoredQuestion(StoredRunSheet.Key sheet, SureLaying.Doubt doubt) {
        SheetCarrying.Choice first = doubt.proposal().choices().get(0);
        this.id = UUID.randomUUID();
        this.runId = sheet.runId();
        this.position = sheet.position();
        this.layerId = doubt.layer();
        this.cells = doubt.proposal().cells().stream().mapToInt(cell -> cell).toArray();
        this.seen = doubt.seen();
        this.area = doubt.area();
        this.part = first.fill();
        this.likely = first.share();
        this.choices = doubt.proposal().choices().stream().map(StoredChoice::of).toList();
        this.state = State.OPEN;
    }

    @Override
    public UUID getId() {
        return id;
    }

    @Override
    public boolean isNew() {
        return true;
    }

    StoredRunSheet.Key sheet() {
        return new StoredRunSheet.Key(runId, position);
    }

    UUID layerId() {
        return layerId;
    }

    List<Integer> cells() {
        return Arrays.stream(cells).boxed().toList();
    }

    Seen seen() {
        return seen;
    }

    /** Likeliest first. */
    List<StoredChoice> choices() {
        return choices;
    }

    State state() {
        return state;
    }

    @Nullable
    UUID answerId() {
        return answerId;
    }

    @Nullable
    UUID answeredBy() {
        return answeredBy;
    }

    @Nullable
    UUID changeId() {
        return changeId;
    }

    /** @param change that laid it; null if nothing was laid */
    void answer(State answered, Answer answer, @Nullable UUID change) {
        state = answered;
        answerId = answer.id();
        answeredBy = answer.by();
        answeredAt = answer.at();
        changeId = change;
    }

    void gone() {
        state = State.GONE;
    }

    void askAgain() {
        state = State.OPEN;
        answerId = null;
        answeredBy = null;
        answeredAt = null;
        changeId = null;
    }

    /** What several questions are answered by at once. */
    record Answer(UUID id, UUID by, Instant at) {}
}
