package stillpond.app.palette;

import jakarta.persistence.CascadeType;
import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.OneToMany;
import jakarta.persistence.OrderBy;
import jakarta.persistence.Table;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import stillpond.core.palette.Card;
import stillpond.core.palette.Swatch;

@Entity
@Table(name = "card")
class StoredCard {

    @Id
    private UUID id;

    private UUID projectId;
    private String name;
    private String subject;
    private int position;

    @OneToMany(cascade = CascadeType.ALL, orphanRemoval = true, fetch = FetchType.LAZY)
    @JoinColumn(name = "card_id", nullable = false, updatable = false)
    @OrderBy("position")
    private List<StoredSwatch> swatches = new ArrayList<>();

    protected StoredCard() {}

    StoredCard(UUID projectId, int position, Card card) {
        this.id = card.id();
        this.projectId = projectId;
        this.name = card.name();
        this.subject = card.subject();
        this.position = position;
        for (Swatch swatch : card.swatches()) {
            swatches.add(new StoredSwatch(swatch, swatches.size()));
        }
    }

    int position() {
        return position;
    }

    UUID projectId() {
        return projectId;
    }

    Card asCard() {
        return new Card(
                id, name, subject, swatches.stream().map(StoredSwatch::asSwatch).toList());
    }
}
