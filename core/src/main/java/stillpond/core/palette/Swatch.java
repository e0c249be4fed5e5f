package stillpond.core.palette;

import java.util.UUID;
import stillpond.core.colour.Srgb;

/**
 * A named colour of a card.
 *
 * @param id stays the same when name or colour change
 * @param name as the user calls it, not blank
 */
public record Swatch(UUID id, String name, Srgb colour) {

    public Swatch {
        if (name.isBlank()) {
            throw new IllegalArgumentException("A swatch needs a name.");
        }
    }
}
