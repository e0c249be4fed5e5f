package stillpond.core.palette;

import java.util.List;
import java.util.UUID;
import stillpond.core.colour.Srgb;

/**
 * The named colours of one character, place or prop, in the user's order.
 *
 * @param subject what the card is of, in a word or two ("oilskins", "place"); may be empty
 */
public record Card(UUID id, String name, String subject, List<Swatch> swatches) {

    public Card {
        swatches = List.copyOf(swatches);
    }

    /** The plain neutrals that every project has. */
    public static Card neutrals() {
        return new Card(
                UUID.randomUUID(),
                "Neutrals",
                "",
                List.of(
                        new Swatch(UUID.randomUUID(), "White", new Srgb(255, 255, 255)),
                        new Swatch(UUID.randomUUID(), "Grey", new Srgb(128, 128, 128)),
                        new Swatch(UUID.randomUUID(), "Black", new Srgb(0, 0, 0))));
    }

    /** Whether all its colours are greys. */
    public boolean isNeutral() {
        return swatches.stream().allMatch(swatch -> swatch.colour().isGrey());
    }
}
