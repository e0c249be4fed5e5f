package stillpond.app.adopt;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import stillpond.core.colour.ColourNames;
import stillpond.core.colour.Srgb;
import stillpond.core.palette.Card;
import stillpond.core.palette.Palette;
import stillpond.core.palette.Swatch;

/** The swatches for colours found in a file: those of the palette that look so, and new ones for the others. */
final class FoundColours {

    private final Map<Srgb, UUID> swatchByColour = new HashMap<>();

    private FoundColours() {}

    /** Of swatches that look alike the first is taken. */
    static FoundColours of(Palette palette) {
        FoundColours found = new FoundColours();
        palette.cards().stream()
                .flatMap(card -> card.swatches().stream())
                .forEach(swatch -> palette.colourOf(swatch.id())
                        .ifPresent(colour -> found.swatchByColour.putIfAbsent(colour, swatch.id())));
        return found;
    }

    List<Srgb> known() {
        return List.copyOf(swatchByColour.keySet());
    }

    /** The swatch of a colour that is known, or on the card made last. */
    UUID swatch(Srgb colour) {
        return swatchByColour.get(colour);
    }

    /** A card with a new swatch for each colour that is not known yet; empty if all are. */
    Optional<Card> cardOf(Collection<Srgb> colours, String title, String subject) {
        Set<Integer> fresh = new TreeSet<>();
        colours.stream()
                .filter(colour -> !swatchByColour.containsKey(colour))
                .forEach(colour -> fresh.add(colour.packed()));
        List<Swatch> swatches = new ArrayList<>();
        Set<String> names = new HashSet<>();
        for (int packed : fresh) {
            Srgb colour = Srgb.ofPacked(packed);
            Swatch swatch = new Swatch(UUID.randomUUID(), freeName(ColourNames.suggest(colour), names), colour);
            swatches.add(swatch);
            swatchByColour.put(colour, swatch.id());
        }
        return swatches.isEmpty()
                ? Optional.empty()
                : Optional.of(new Card(UUID.randomUUID(), "From " + title, subject, swatches));
    }

    private static String freeName(String name, Set<String> taken) {
        String free = name;
        for (int number = 2; !taken.add(free); number++) {
            free = name + " " + number;
        }
        return free;
    }
}
