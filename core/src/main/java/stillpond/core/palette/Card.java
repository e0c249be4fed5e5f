package stillpond.core.palette;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import stillpond.core.colour.Srgb;
import stillpond.core.refusal.Refusal;

/**
 * The named colours of one character, place or prop, in the user's order.
 *
 * @param subject what the card is of, in a word or two ("oilskins", "place"); may be empty
 * @param kind what the card is for
 * @param locked whether only the lead may change it
 */
public record Card(UUID id, String name, String subject, Kind kind, boolean locked, List<Swatch> swatches) {

    private static final int MOST_LETTERS = 120;
    private static final int MOST_SWATCHES = 5000;

    /** What a card is for. */
    public enum Kind {
        /** A character, place or prop. */
        CAST,
        /** White, grey and black, which every project has. */
        NEUTRALS,
        /** Colours tried out that are on no card yet. */
        LOOSE
    }

    public Card {
        swatches = List.copyOf(swatches);
        if (name.isBlank()) {
            throw new Refusal("A card needs a name.");
        }
        if (name.length() > MOST_LETTERS || subject.length() > MOST_LETTERS) {
            throw new Refusal("The name of a card, and what it is of, have up to " + MOST_LETTERS + " letters.");
        }
        if (swatches.size() > MOST_SWATCHES) {
            throw new Refusal("A card holds up to " + MOST_SWATCHES + " swatches.");
        }
    }

    public Card(UUID id, String name, String subject, List<Swatch> swatches) {
        this(id, name, subject, Kind.CAST, false, swatches);
    }

    /** The plain neutrals that every project has. */
    public static Card neutrals() {
        return new Card(
                UUID.randomUUID(),
                "Neutrals",
                "",
                Kind.NEUTRALS,
                true,
                List.of(
                        new Swatch(UUID.randomUUID(), "White", new Srgb(255, 255, 255)),
                        new Swatch(UUID.randomUUID(), "Grey", new Srgb(128, 128, 128)),
                        new Swatch(UUID.randomUUID(), "Black", new Srgb(0, 0, 0))));
    }

    public static Card loose() {
        return new Card(UUID.randomUUID(), "Loose colours", "on no card yet", Kind.LOOSE, false, List.of());
    }

    public boolean isNeutral() {
        return kind == Kind.NEUTRALS;
    }

    public boolean isLoose() {
        return kind == Kind.LOOSE;
    }

    Card with(List<Swatch> others) {
        return new Card(id, name, subject, kind, locked, others);
    }

    /** With colours of their own for some swatches; those that are not on this card count for nothing. */
    Card coloured(Map<UUID, Srgb> colours) {
        return with(swatches.stream()
                .map(each ->
                        colours.containsKey(each.id()) ? each.painted(new Paint.Process(colours.get(each.id()))) : each)
                .toList());
    }

    Card named(String newName, String newSubject) {
        return new Card(id, newName, newSubject, kind, locked, swatches);
    }

    Card locked(boolean lock) {
        return new Card(id, name, subject, kind, lock, swatches);
    }

    /** With a swatch at a place, counted from 0; beyond the end it comes last. */
    Card inserting(Swatch swatch, int at) {
        List<Swatch> others = new ArrayList<>(swatches);
        others.add(Math.min(Math.max(0, at), others.size()), swatch);
        return with(others);
    }

    Card without(UUID swatch) {
        return withoutAll(Set.of(swatch));
    }

    Card withoutAll(Set<UUID> others) {
        return with(
                swatches.stream().filter(each -> !others.contains(each.id())).toList());
    }
}
