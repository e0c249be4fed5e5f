package stillpond.app.palette;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.FetchType;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.OneToMany;
import jakarta.persistence.OrderBy;
import jakarta.persistence.Table;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.hibernate.annotations.SQLRestriction;
import org.jspecify.annotations.Nullable;
import stillpond.core.palette.Card;

/** A card as it is read; {@link CardRepository} writes cards and swatches by statements of its own, since swatches move between cards and come back. */
@Entity
@Immutable
@Table(name = "card")
@SQLRestriction("removed_at is null")
class StoredCard {

    @Id
    private UUID id;

    private UUID projectId;
    private String name;
    private String subject;
    private int position;
    private boolean locked;
    private @Nullable UUID modelSheetId;

    @Enumerated(EnumType.STRING)
    private Card.Kind kind;

    @OneToMany(fetch = FetchType.LAZY)
    @JoinColumn(name = "card_id")
    @OrderBy("position")
    private List<StoredSwatch> swatches = new ArrayList<>();

    protected StoredCard() {}

    UUID id() {
        return id;
    }

    int position() {
        return position;
    }

    Optional<UUID> modelSheet() {
        return Optional.ofNullable(modelSheetId);
    }

    UUID projectId() {
        return projectId;
    }

    Card asCard() {
        return new Card(
                id,
                name,
                subject,
                kind,
                locked,
                swatches.stream().map(StoredSwatch::asSwatch).toList());
    }
}
