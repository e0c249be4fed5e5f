package stillpond.core.exchange;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
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

    private static final int LONGEST_NAME = 120;
    private static final int LONGEST_BYTES = 1_000_000;

    /** Never goes back over what it has read, so that no text keeps it for long; the last declaration may end with the file. */
    private static final Pattern DECLARATION_OR_COMMENT = Pattern.compile(
            "(?<![\\w-])--([\\w-]++)\\s*+:\\s*+([^;}]++)(?:[;}]|\\z)|/\\*([^*]*+(?:\\*(?!/)[^*]*+)*+)\\*/");

    private static final String CARD = "card ";

    private CssProperties() {}

    public static byte[] write(List<Card> cards, Palette palette) {
        StringBuilder css = new StringBuilder(":root {\n");
        Set<String> taken = new HashSet<>();
        for (Card card : cards) {
            css.append("  /* ").append(CARD).append(comment(card.name())).append(" */\n");
            for (Swatch swatch : card.swatches()) {
                String start = word(card.name()) + "-" + word(swatch.name());
                String free = start;
                for (int i = 2; !taken.add(free); i++) {
                    free = start + "-" + i;
                }
                css.append("  --").append(free).append(": ");
                css.append(palette.colourOf(swatch.id()).orElseThrow().hex()).append("; /* ");
                css.append(comment(swatch.name())).append(" */\n");
            }
        }
        return css.append("}\n").toString().getBytes(StandardCharsets.UTF_8);
    }

    /**
     * Reads every custom property that is a hex colour. A comment as {@link #write} makes it begins a card, and one behind a property on its line names the swatch; without, all lie on one card, and a
     * word with which all of them begin is its name.
     *
     * @throws UnreadableCards if there is none
     */
    public static Arrival read(byte[] file) {
        if (file.length > LONGEST_BYTES) {
            throw new UnreadableCards(
                    "This style sheet is larger than 1 MB, more than colours need. Nothing was taken over.");
        }
        String css = new String(file, StandardCharsets.UTF_8);
        Map<String, List<Read>> byCard = new LinkedHashMap<>();
        List<Problem> problems = new ArrayList<>();
        String card = "";
        Read last = null;
        int count = 0;
        int end = 0;
        Matcher found = DECLARATION_OR_COMMENT.matcher(css);
        while (found.find()) {
            if (found.group(3) != null) {
                String said = found.group(3).strip();
                boolean isBehind = last != null
                        && css.substring(end, found.start()).isBlank()
                        && css.substring(end, found.start()).indexOf('\n') < 0;
                if (isBehind && !said.isEmpty() && said.length() <= LONGEST_NAME) {
                    last.name = said;
                } else if (said.startsWith(CARD) && said.length() <= CARD.length() + LONGEST_NAME) {
                    card = said.substring(CARD.length()).strip();
                }
                last = null;
                continue;
            }
            Optional<Srgb> colour = CssColour.ofHex(found.group(2));
            if (count >= Arrival.MOST_SWATCHES) {
                throw new UnreadableCards("This style sheet has more than " + Arrival.MOST_SWATCHES
                        + " colours. Nothing was taken over.");
            }
            last = null;
            if (colour.isPresent()) {
                last = new Read(found.group(1), colour.get());
                byCard.computeIfAbsent(card, any -> new ArrayList<>()).add(last);
                count++;
            } else {
                problems.add(new Problem("--" + found.group(1), "Its value is no hex colour."));
            }
            end = found.end();
        }
        if (byCard.isEmpty()) {
            throw new UnreadableCards("No custom property of this style sheet is a hex colour.");
        }
        return new Arrival(
                byCard.entrySet().stream()
                        .map(each -> card(each.getKey(), each.getValue()))
                        .toList(),
                problems);
    }

    /** A property as it was read. */
    private static final class Read {
        private final String property;
        private final Srgb colour;
        private String name = "";

        Read(String property, Srgb colour) {
            this.property = property;
            this.colour = colour;
        }
    }

    private static Card card(String said, List<Read> properties) {
        String start = said.isEmpty() ? commonWord(properties) : word(said) + "-";
        String name = !said.isEmpty() ? said : start.isEmpty() ? "Style sheet" : plain(start);
        List<Swatch> swatches = properties.stream()
                .map(read -> new Swatch(
                        UUID.randomUUID(),
                        read.name.isEmpty() ? plain(without(start, read.property)) : read.name,
                        read.colour))
                .toList();
        return new Card(UUID.randomUUID(), name, "", swatches);
    }

    private static String without(String start, String property) {
        return property.startsWith(start) && property.length() > start.length()
                ? property.substring(start.length())
                : property;
    }

    /** The word with which all begin, with its hyphen; empty if there is none. */
    private static String commonWord(List<Read> properties) {
        String first = properties.get(0).property;
        int hyphen = first.indexOf('-');
        String start = hyphen <= 0 ? "" : first.substring(0, hyphen + 1);
        boolean isCommon = properties.size() > 1
                && properties.stream()
                        .allMatch(each -> each.property.startsWith(start) && each.property.length() > start.length());
        return isCommon ? start : "";
    }

    /** What cannot end the comment that it stands in. */
    private static String comment(String name) {
        return name.replace("*/", "* /");
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
