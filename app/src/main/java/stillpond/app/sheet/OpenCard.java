package stillpond.app.sheet;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import java.util.UUID;
import org.springframework.data.domain.Persistable;

/** A card of which somebody said that it is on a sheet. Those of a sheet are always written anew, all of them. */
@Entity
class OpenCard implements Persistable<OpenCard.Key> {

    @Embeddable
    record Key(UUID sheetId, UUID cardId) {}

    @EmbeddedId
    private Key key;

    private int position;

    protected OpenCard() {}

    OpenCard(UUID sheet, UUID card, int position) {
        this.key = new Key(sheet, card);
        this.position = position;
    }

    @Override
    public Key getId() {
        return key;
    }

    @Override
    public boolean isNew() {
        return true;
    }

    UUID sheet() {
        return key.sheetId();
    }

    UUID card() {
        return key.cardId();
    }
}
