package stillpond.app.stage;

import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import stillpond.app.sheet.Sheet;
import stillpond.core.colour.Srgb;
import stillpond.core.palette.Card;
import stillpond.core.palette.Palette;
import stillpond.core.palette.Reaching;
import stillpond.core.palette.Staging;
import stillpond.core.palette.Staging.Choice;
import stillpond.core.palette.Swatch;
import stillpond.core.palette.Wardrobe;
import stillpond.core.refusal.Refusal;

/**
 * What is to be another on some sheets, as the page asks for it.
 *
 * @param change {@code light} and a light, {@code wear}, a card and a wardrobe, or {@code colour} and a swatch; each by id, a light or wardrobe also as {@code plain}
 * @param colour a hex code, for a swatch
 * @param name of the wardrobe that the colour makes; empty: the name of the part
 */
record ReachAsked(String change, String colour, String name) {

    /** A change in words, and what it is about. @param card empty if it is about all of a sheet */
    record Meant(Reaching reaching, String words, Optional<Card> card, Optional<Swatch> swatch) {}

    /**
     * Empty if nothing is asked for yet.
     *
     * @throws Refusal if it names what is not there
     */
    Optional<Meant> meant(Palette palette, Staging staging) {
        String[] words = change.split(" ");
        return switch (words[0] + words.length) {
            case "light2" -> Optional.of(lighting(staging, Choice.ofText(words[1])));
            case "wear3" -> Optional.of(wearing(palette, staging, id(words[1]), Choice.ofText(words[2])));
            case "colour2" -> Optional.of(colouring(palette, id(words[1])));
            default -> Optional.empty();
        };
    }

    private static Meant lighting(Staging staging, Choice light) {
        String name = light instanceof Choice.Named named
                ? staging.light(named.id())
                        .orElseThrow(() -> new Refusal("This light is not there any more."))
                        .name()
                : "as drawn";
        return new Meant(new Reaching.Lighting(light), "the light " + name, Optional.empty(), Optional.empty());
    }

    private static Meant wearing(Palette palette, Staging staging, UUID id, Choice wardrobe) {
        Card card = palette.card(id).orElseThrow(() -> new Refusal("This card is not there any more."));
        String name = wardrobe instanceof Choice.Named named
                ? staging.wardrobe(named.id())
                        .map(Wardrobe::name)
                        .orElseThrow(() -> new Refusal("This wardrobe is not there any more."))
                : "what the card says";
        return new Meant(
                new Reaching.Wearing(id, wardrobe), card.name() + " in " + name, Optional.of(card), Optional.empty());
    }

    private Meant colouring(Palette palette, UUID id) {
        Swatch swatch = palette.swatch(id).orElseThrow(() -> new Refusal("This swatch is not there any more."));
        Card card = palette.cardOf(id).orElseThrow();
        Srgb other = colour.isBlank() ? palette.colourOf(id).orElseThrow() : Srgb.ofHex(colour);
        String called = name.isBlank() ? swatch.name() + " " + other.hex() : name;
        return new Meant(
                new Reaching.Colouring(card.id(), id, other, called),
                card.name() + "'s " + swatch.name() + " in another colour",
                Optional.of(card),
                Optional.of(swatch));
    }

    /** How the small picture of a sheet is asked for that shows a change, for the end of its address. */
    static String preview(Reaching reaching, Sheet sheet, Staging staging) {
        if (reaching instanceof Reaching.Lighting lighting) {
            return "?light=" + lighting.light().text();
        }
        if (reaching instanceof Reaching.Wearing wearing) {
            return "?wear=" + wearing.card() + ":" + wearing.wardrobe().text();
        }
        Reaching.Colouring colouring = (Reaching.Colouring) reaching;
        Map<UUID, Srgb> colours = staging.worn(sheet.scene(), sheet.id()).stream()
                .filter(each -> each.card().equals(colouring.card()))
                .findFirst()
                .orElse(new Wardrobe(colouring.card(), colouring.card(), "none", Map.of()))
                .colouring(colouring.swatch(), colouring.colour())
                .colours();
        return "?wear=" + colouring.card() + ":plain"
                + colours.entrySet().stream()
                        .map(each -> "&try=" + each.getKey() + "%23"
                                + each.getValue().hex().substring(1))
                        .collect(Collectors.joining());
    }

    private static UUID id(String text) {
        return Refusal.unlessRead("'" + text + "' is the number of nothing here.", () -> UUID.fromString(text));
    }
}
