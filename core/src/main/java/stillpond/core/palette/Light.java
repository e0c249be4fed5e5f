package stillpond.core.palette;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import stillpond.core.colour.Gamut;
import stillpond.core.colour.Srgb;

/**
 * How every colour looks in a scene: a rule for all, other rules for some cards, and exceptions for single parts, which win.
 *
 * @param byCard rules in place of that for all, by card
 * @param exceptions by swatch
 */
public record Light(String name, LightRule all, Map<UUID, LightRule> byCard, Map<UUID, Exception> exceptions) {

    private static final int LONGEST_NAME = 60;

    /** What a part does that the rule does not concern. */
    public sealed interface Exception {

        /** It keeps its colour. */
        record AsDrawn() implements Exception {}

        /** It has a colour of its own. */
        record Fixed(Srgb colour) implements Exception {}
    }

    public Light {
        name = name.strip();
        if (name.isEmpty() || name.length() > LONGEST_NAME || name.chars().anyMatch(Character::isISOControl)) {
            throw new IllegalArgumentException(
                    "A light has a name of up to " + LONGEST_NAME + " letters, on one line.");
        }
        byCard = new TreeMap<>(byCard);
        exceptions = new TreeMap<>(exceptions);
    }

    /** The light that changes nothing. */
    public static final Light AS_DRAWN = named("As drawn");

    /** A light under that name that does not change anything yet. */
    public static Light named(String name) {
        return new Light(name, LightRule.NONE, Map.of(), Map.of());
    }

    public Light renamed(String other) {
        return new Light(other, all, byCard, exceptions);
    }

    /** @param card that the swatch is on */
    Gamut.Shown of(Srgb colour, UUID swatch, UUID card) {
        Exception exception = exceptions.get(swatch);
        if (exception instanceof Exception.Fixed fixed) {
            return new Gamut.Shown(fixed.colour(), false);
        }
        return exception != null
                ? new Gamut.Shown(colour, false)
                : byCard.getOrDefault(card, all).of(colour);
    }

    /** The form that is stored, without the name: the rules and exceptions with semicolons between; {@link #ofText} reads it. */
    public String text() {
        List<String> parts = new ArrayList<>();
        parts.add("all " + all.text());
        byCard.forEach((card, rule) -> parts.add("card " + card + " " + rule.text()));
        exceptions.forEach((swatch, exception) -> parts.add("part " + swatch + " "
                + (exception instanceof Exception.Fixed fixed ? fixed.colour().hex() : "drawn")));
        return String.join("; ", parts);
    }

    /** @throws IllegalArgumentException with a message for the user */
    public static Light ofText(String name, String text) {
        LightRule all = LightRule.NONE;
        Map<UUID, LightRule> byCard = new TreeMap<>();
        Map<UUID, Exception> exceptions = new TreeMap<>();
        for (String part : text.split(";")) {
            String[] words = part.strip().split("\\s+", 3);
            if (words[0].equals("all")) {
                all = LightRule.ofText(part.strip().substring("all ".length()));
            } else if (words.length == 3 && words[0].equals("card")) {
                byCard.put(UUID.fromString(words[1]), LightRule.ofText(words[2]));
            } else if (words.length == 3 && words[0].equals("part")) {
                exceptions.put(UUID.fromString(words[1]), exception(words[2]));
            } else {
                throw new IllegalArgumentException("'" + part.strip() + "' says nothing about a light.");
            }
        }
        return new Light(name, all, byCard, exceptions);
    }

    private static Exception exception(String text) {
        return text.equals("drawn") ? new Exception.AsDrawn() : new Exception.Fixed(Srgb.ofHex(text));
    }
}
