package stillpond.app.history;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.OneToMany;
import jakarta.persistence.OrderBy;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.annotations.BatchSize;

/** One row of the log; nothing of it is ever altered but why it was made. {@link LogRows} adds them. */
@Entity
@Table(name = "change")
class StoredChange {

    @Id
    private UUID id;

    /** Later rows have higher ones; given by the database. */
    @Column(insertable = false, updatable = false)
    private Long number;

    private UUID projectId;
    private UUID authorId;
    private Instant madeAt;

    @Enumerated(EnumType.STRING)
    private Made.Kind kind;

    private UUID concerns;
    private String words;
    private String reason;

    @OneToMany(mappedBy = "change")
    @OrderBy("key.position")
    @BatchSize(size = 200)
    private List<StoredEffect> effects = new ArrayList<>();

    protected StoredChange() {}

    UUID id() {
        return id;
    }

    long number() {
        return number;
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

    Made.Kind kind() {
        return kind;
    }

    Optional<UUID> concerns() {
        return Optional.ofNullable(concerns);
    }

    String words() {
        return words;
    }

    String reason() {
        return reason;
    }

    void explain(String why) {
        reason = why;
    }

    List<EffectRow> effects() {
        return effects.stream().map(StoredEffect::row).toList();
    }
}
