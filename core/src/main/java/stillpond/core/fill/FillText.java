package stillpond.core.fill;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.StringTokenizer;
import java.util.UUID;
import stillpond.core.refusal.Refusal;

/** The written form of fills: words with a space between; numbers are whole. */
final class FillText {

    private static final String KEPT = "as";

    private FillText() {}

    static String of(String kind, Fill.Gradient gradient) {
        StringBuilder text = start(kind, gradient.opacity(), gradient.span());
        gradient.stops()
                .forEach(stop ->
                        text.append(' ').append(stop.percent()).append("% ").append(stop.swatch()));
        return text.append(kept(gradient)).toString();
    }

    static String of(Fill.Pattern pattern) {
        StringBuilder text = start("pattern", pattern.opacity(), pattern.span())
                .append(' ')
                .append(pattern.motif())
                .append(' ')
                .append(pattern.repeat().text());
        pattern.inks().forEach(ink -> text.append(' ').append(ink));
        return text.append(kept(pattern)).toString();
    }

    /** What stands behind a fill that is kept on a card. */
    private static String kept(Fill fill) {
        return fill.kept().map(id -> " " + KEPT + " " + id).orElse("");
    }

    private static StringBuilder start(String kind, Opacity opacity, Span span) {
        return new StringBuilder(kind)
                .append(' ')
                .append(opacity.text())
                .append(' ')
                .append(span.x1())
                .append(' ')
                .append(span.y1())
                .append(' ')
                .append(span.x2())
                .append(' ')
                .append(span.y2());
    }

    static Fill read(String text) {
        String[] words = words(text);
        try {
            return switch (words[0]) {
                case "none" -> Fill.NONE;
                case "width" -> new Fill.Width(Integer.parseInt(words[1]));
                case "tone" -> new Fill.Tone(UUID.fromString(words[2]), percent(words[1]));
                case "flat" -> new Fill.Flat(UUID.fromString(words[2]), opacity(words[1]));
                case "linear", "radial", "pattern" -> made(words);
                default -> Fill.flat(UUID.fromString(text));
            };
        } catch (Refusal told) {
            throw new Refusal("'" + text + "' is no fill. " + told.getMessage());
        } catch (IllegalArgumentException | IndexOutOfBoundsException e) {
            throw new Refusal("'" + text + "' is no fill.");
        }
    }

    private static String[] words(String text) {
        StringTokenizer words = new StringTokenizer(text, " ");
        String[] all = new String[words.countTokens()];
        for (int i = 0; i < all.length; i++) {
            all[i] = words.nextToken();
        }
        return all;
    }

    private static Fill made(String[] words) {
        boolean isKept = words.length > 2 && words[words.length - 2].equals(KEPT);
        String[] own = isKept ? Arrays.copyOf(words, words.length - 2) : words;
        Fill fill = own[0].equals("pattern") ? pattern(own) : gradient(own);
        return isKept ? fill.keptAs(Optional.of(UUID.fromString(words[words.length - 1]))) : fill;
    }

    private static Fill gradient(String[] words) {
        List<Stop> stops = new ArrayList<>();
        for (int i = 6; i < words.length; i += 2) {
            stops.add(new Stop(percent(words[i]), UUID.fromString(words[i + 1])));
        }
        return new Fill.Gradient(
                Fill.Course.valueOf(words[0].toUpperCase(Locale.ROOT)), span(words), stops, opacity(words[1]));
    }

    private static Fill pattern(String[] words) {
        List<UUID> inks =
                Arrays.stream(words, 8, words.length).map(UUID::fromString).toList();
        return new Fill.Pattern(words[6], span(words), Repeat.read(words[7]), inks, opacity(words[1]));
    }

    private static Span span(String[] words) {
        return new Span(
                Integer.parseInt(words[2]),
                Integer.parseInt(words[3]),
                Integer.parseInt(words[4]),
                Integer.parseInt(words[5]));
    }

    private static Opacity opacity(String word) {
        return new Opacity(percent(word));
    }

    private static int percent(String word) {
        if (!word.endsWith("%")) {
            throw new Refusal("'" + word + "' is no percentage.");
        }
        return Integer.parseInt(word.substring(0, word.length() - 1));
    }
}
