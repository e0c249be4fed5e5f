package stillpond.core.palette;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import stillpond.core.colour.Srgb;

/** The cards of a project, and the colour that each swatch has now. */
public final class Palette {

    private final List<Card> cards;
    private final Map<UUID, Swatch> swatches = new HashMap<>();

    public Palette(List<Card> cards) {
        this.cards = List.copyOf(cards);
        for (Card card : cards) {
            for (Swatch swatch : card.swatches()) {
                swatches.put(swatch.id(), swatch);
            }
        }
    }

    public List<Card> cards() {
        return cards;
    }

    public boolean has(UUID swatch) {
        return swatches.containsKey(swatch);
    }

    /** The colour of a swatch; empty if no card here has it. */
    public Optional<Srgb> colourOf(UUID swatch) {
        return Optional.ofNullable(swatches.get(swatch)).map(Swatch::colour);
    }
}
