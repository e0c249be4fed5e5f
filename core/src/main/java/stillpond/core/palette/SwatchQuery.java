package stillpond.core.palette;

import java.util.Arrays;
import java.util.Locale;
import java.util.regex.Pattern;
import stillpond.core.colour.Ciede2000;
import stillpond.core.colour.Srgb;

/** What somebody types to find a swatch: beginnings of words of its name and its card, or of its hex code. */
public record SwatchQuery(String text) {

    /** CIEDE2000 up to which two colours are hard to tell apart. */
    private static final double HARD_TO_TELL = 2.3;

    private static final Pattern HEX = Pattern.compile("#?[0-9a-f]{2,6}|#[0-9a-f]?");
    private static final Pattern WHOLE_HEX = Pattern.compile("#?[0-9a-f]{6}");
    private static final Pattern GAPS = Pattern.compile("[\\s,/]+");

    public SwatchQuery {
        text = text.strip().toLowerCase(Locale.ROOT);
    }

    /** Whether it finds a swatch; with nothing typed, every one. A whole hex code finds what can hardly be told from it too. */
    public boolean finds(String swatch, String card, Srgb colour) {
        return text.isEmpty() || isNamed(swatch + " " + card) || isColoured(colour);
    }

    private boolean isNamed(String name) {
        String[] words = GAPS.split(name.toLowerCase(Locale.ROOT));
        return Arrays.stream(GAPS.split(text))
                .allMatch(typed -> Arrays.stream(words).anyMatch(word -> word.startsWith(typed)));
    }

    private boolean isColoured(Srgb colour) {
        if (!HEX.matcher(text).matches()) {
            return false;
        }
        String hex = text.startsWith("#") ? text : "#" + text;
        return colour.hex().startsWith(hex)
                || WHOLE_HEX.matcher(text).matches() && Ciede2000.between(colour, Srgb.ofHex(hex)) <= HARD_TO_TELL;
    }
}
