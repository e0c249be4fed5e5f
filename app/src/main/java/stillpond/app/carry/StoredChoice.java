package stillpond.app.carry;

import jakarta.persistence.Embeddable;
import java.util.UUID;

/** What a region in doubt could wear; see {@link SheetCarrying.Choice}. */
@Embeddable
record StoredChoice(String fill, double share, UUID sheetId, UUID layerId, int cell, double x, double y) {

    static StoredChoice of(SheetCarrying.Choice choice) {
        return new StoredChoice(
                choice.fill(), choice.share(), choice.sheet(), choice.layer(), choice.cell(), choice.x(), choice.y());
    }
}
