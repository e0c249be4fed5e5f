package stillpond.core.palette;

import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import stillpond.core.colour.Srgb;
import stillpond.core.refusal.Refusal;

/**
 * A variant of a card: some of its parts have another colour (winter coat, wet, disguised), and it shares the rest.
 *
 * @param colours by swatch; those that are not on the card any more count for nothing
 */
public record Wardrobe(UUID id, UUID card, String name, Map<UUID, Srgb> colours) {

    private static final int LONGEST_NAME = 60;

    public Wardrobe {
        name = name.strip();
        if (name.isEmpty() || name.length() > LONGEST_NAME || name.chars().anyMatch(Character::isISOControl)) {
            throw new Refusal("A wardrobe has a name of up to " + LONGEST_NAME + " letters, on one line.");
        }
        colours = new TreeMap<>(colours);
    }

    public Wardrobe renamed(String other) {
        return new Wardrobe(id, card, other, colours);
    }

    public Wardrobe colouring(UUID swatch, Srgb colour) {
        Map<UUID, Srgb> more = new TreeMap<>(colours);
        more.put(swatch, colour);
        return new Wardrobe(id, card, name, more);
    }

    /** With a part shared with the card again. */
    public Wardrobe sharing(UUID swatch) {
        Map<UUID, Srgb> fewer = new TreeMap<>(colours);
        fewer.remove(swatch);
        return new Wardrobe(id, card, name, fewer);
    }
}
