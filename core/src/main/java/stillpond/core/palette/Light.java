package stillpond.core.palette;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.StringTokenizer;
import java.util.TreeMap;
import java.util.UUID;
import stillpond.core.colour.Gamut;
import stillpond.core.colour.Srgb;
import stillpond.core.refusal.Refusal;

/**
 * How every colour looks in a scene: a rule for all, other rules for some cards, and exceptions for single parts, which win.
 *
 * @param byCard rules in place of that for all, by card
 * @param exceptions by swatch
 */
public record Light(String name, LightRule all, Map<UUID, LightRule> byCard, Map<UUID, Exception> exceptions) {

    private static final int LONGEST_NAME = 60;

    /** The same everywhere; ids of their own have no order in the browser. */
    private static final Comparator<UUID> BY_ID = Comparator.comparing(UUID::toString);

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
            throw new Refusal("A light has a name of up to " + LONGEST_NAME + " letters, on one line.");
        }
        byCard = inOrder(byCard);
        exceptions = inOrder(exceptions);
    }

    private static <T> Map<UUID, T> inOrder(Map<UUID, T> byId) {
        Map<UUID, T> ordered = new TreeMap<>(BY_ID);
        ordered.putAll(byId);
        return ordered;
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

    /** @throws Refusal */
    public static Light ofText(String name, String text) {
        return Refusal.unlessRead("'" + text + "' is no light.", () -> read(name, text));
    }

    private static Light read(String name, String text) {
        LightRule all = LightRule.NONE;
        Map<UUID, LightRule> byCard = new HashMap<>();
        Map<UUID, Exception> exceptions = new HashMap<>();
        StringTokenizer parts = new StringTokenizer(text, ";");
        while (parts.hasMoreTokens()) {
            String part = parts.nextToken();
            StringTokenizer words = new StringTokenizer(part);
            String kind = words.hasMoreTokens() ? words.nextToken() : "";
            if (kind.equals("all")) {
                all = LightRule.ofText(rest(words));
            } else if (words.countTokens() >= 2 && kind.equals("card")) {
                byCard.put(UUID.fromString(words.nextToken()), LightRule.ofText(rest(words)));
            } else if (words.countTokens() == 2 && kind.equals("part")) {
                exceptions.put(UUID.fromString(words.nextToken()), exception(words.nextToken()));
            } else {
                throw new Refusal("'" + part.strip() + "' says nothing about a light.");
            }
        }
        return new Light(name, all, byCard, exceptions);
    }

    private static String rest(StringTokenizer words) {
        return words.hasMoreTokens() ? words.nextToken("").strip() : "";
    }

    private static Exception exception(String text) {
        return text.equals("drawn") ? new Exception.AsDrawn() : new Exception.Fixed(Srgb.ofHex(text));
    }
}
