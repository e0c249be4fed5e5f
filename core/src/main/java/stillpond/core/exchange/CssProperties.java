package stillpond.core.exchange;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import stillpond.core.colour.CssColour;
import stillpond.core.colour.Srgb;
import stillpond.core.exchange.Arrival.Problem;
import stillpond.core.palette.Card;
import stillpond.core.palette.Palette;
import stillpond.core.palette.Swatch;

/** Cards as CSS custom properties (W3C CSS Custom Properties for Cascading Variables, Level 1). */
public final class CssProperties {

    private static final int LONGEST_BYTES = 1_000_000;

    /** Never goes back over what it has read, so that no text keeps it for long; the last declaration may end with the file. */
    private static final Pattern DECLARATION =
            Pattern.compile("(?<![\\w-])--([\\w-]++)\\s*+:\\s*+([^;}]++)(?:[;}]|\\z)");

    private CssProperties() {}

    public static byte[] write(List<Card> cards, Palette palette) {
        StringBuilder css = new StringBuilder(":root {\n");
        Set<String> taken = new HashSet<>();
        for (Card card : cards) {
            for (Swatch swatch : card.swatches()) {
                String start = word(card.name()) + "-" + word(swatch.name());
                String free = start;
                for (int i = 2; !taken.add(free); i++) {
                    free = start + "-" + i;
                }
                css.append("  --").append(free).append(": ");
                css.append(palette.colourOf(swatch.id()).orElseThrow().hex()).append(";\n");
            }
        }
        return css.append("}\n").toString().getBytes(StandardCharsets.UTF_8);
    }

    /** Reads every custom property that is a hex colour onto one card. @throws UnreadableCards if there is none */
    public static Arrival read(byte[] file) {
        if (file.length > LONGEST_BYTES) {
            throw new UnreadableCards(
                    "This style sheet is larger than 1 MB, more than colours need. Nothing was taken over.");
        }
        List<Swatch> swatches = new ArrayList<>();
        List<Problem> problems = new ArrayList<>();
        Matcher found = DECLARATION.matcher(new String(file, StandardCharsets.UTF_8));
        while (found.find()) {
            Optional<Srgb> colour = CssColour.ofHex(found.group(2));
            if (swatches.size() >= Arrival.MOST_SWATCHES) {
                throw new UnreadableCards("This style sheet has more than " + Arrival.MOST_SWATCHES
                        + " colours. Nothing was taken over.");
            }
            if (colour.isPresent()) {
                swatches.add(new Swatch(UUID.randomUUID(), plain(found.group(1)), colour.get()));
            } else {
                problems.add(new Problem("--" + found.group(1), "Its value is no hex colour."));
            }
        }
        if (swatches.isEmpty()) {
            throw new UnreadableCards("No custom property of this style sheet is a hex colour.");
        }
        return new Arrival(List.of(new Card(UUID.randomUUID(), "Style sheet", "", swatches)), problems);
    }

    private static String word(String name) {
        String word =
                name.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-").replaceAll("^-|-$", "");
        return word.isEmpty() ? "colour" : word;
    }

    private static String plain(String property) {
        String words = property.replace('-', ' ').strip();
        return words.isEmpty() ? "Colour" : words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1);
    }
}
