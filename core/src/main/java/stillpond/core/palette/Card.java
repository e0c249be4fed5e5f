package stillpond.core.palette;

import java.util.List;
import java.util.UUID;

/**
 * The named colours of one character, place or prop, in the user's order.
 *
 * @param subject what the card is of, in a word or two ("oilskins", "place"); may be empty
 */
public record Card(UUID id, String name, String subject, List<Swatch> swatches) {

    public Card {
        swatches = List.copyOf(swatches);
    }
}
