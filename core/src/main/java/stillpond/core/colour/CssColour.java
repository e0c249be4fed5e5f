package stillpond.core.colour;

import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.StringTokenizer;

/**
 * Colours as style sheets and token files write them: the syntax and ranges of W3C CSS Color 4. Opacity is left out, and what sRGB cannot show
 * is brought into it. Reads in linear time.
 */
public final class CssColour {

    private static final int LONGEST = 200;
    private static final int CHANNELS = 3;

    private CssColour() {}

    /** Reads a hex code, a name such as {@code teal}, or a function such as {@code oklch(60% 0.1 190)}; empty if it is none of these. */
    public static Optional<Srgb> of(String text) {
        String plain = text.strip().toLowerCase(Locale.ROOT);
        if (plain.isEmpty() || plain.length() > LONGEST) {
            return Optional.empty();
        }
        if (plain.startsWith("#")) {
            return ofHex(plain);
        }
        int open = plain.indexOf('(');
        if (open < 0) {
            return CssNames.find(plain);
        }
        return plain.endsWith(")")
                ? ofFunction(plain.substring(0, open), plain.substring(open + 1, plain.length() - 1))
                : Optional.empty();
    }

    /** Reads {@code #rgb}, {@code #rgba}, {@code #rrggbb} or {@code #rrggbbaa}. */
    public static Optional<Srgb> ofHex(String text) {
        String code = text.strip();
        if (!code.startsWith("#") || !Srgb.isHex(code, 1)) {
            return Optional.empty();
        }
        return switch (code.length()) {
            case 4, 5 -> {
                StringBuilder twice = new StringBuilder("#");
                for (int i = 1; i <= CHANNELS; i++) {
                    twice.append(code.charAt(i)).append(code.charAt(i));
                }
                yield Optional.of(Srgb.ofHex(twice.toString()));
            }
            case 7, 9 -> Optional.of(Srgb.ofHex(code.substring(0, 7)));
            default -> Optional.empty();
        };
    }

    /**
     * A colour by its numbers in one of the spaces of the W3C design token format, which are those of CSS.
     *
     * @param c three numbers: saturation and lightness in percent, hues in degrees, all else as the space has it
     * @return empty if the space is not known
     */
    public static Optional<Srgb> of(String space, double[] c) {
        return switch (space) {
            case "srgb" -> Optional.of(new Srgb(channel(c[0]), channel(c[1]), channel(c[2])));
            case "srgb-linear" -> Optional.of(shown(Oklab.of(new LinearRgb(c[0], c[1], c[2]))));
            case "hsl" -> Optional.of(new Hsl(c[0], within(c[1] / 100), within(c[2] / 100)).srgb());
            case "hwb" -> Optional.of(hwb(c[0], within(c[1] / 100), within(c[2] / 100)));
            case "oklab" -> Optional.of(shown(new Oklab(c[0], c[1], c[2])));
            case "oklch" -> Optional.of(shown(new Oklch(c[0], c[1], c[2]).oklab()));
            case "lab" -> Optional.of(shown(Oklab.of(new Lab(c[0], c[1], c[2], White.D50).xyz())));
            case "lch" ->
                Optional.of(shown(
                        Oklab.of(new Lch(c[0], c[1], c[2], White.D50).lab().xyz())));
            case "xyz-d65", "xyz" -> Optional.of(shown(Oklab.of(new Xyz(c[0], c[1], c[2]))));
            default -> Optional.empty();
        };
    }

    private static Optional<Srgb> ofFunction(String name, String arguments) {
        StringTokenizer words = new StringTokenizer(arguments, " \t\n,/");
        String space = switch (name) {
            case "rgb", "rgba" -> "srgb";
            case "hsla" -> "hsl";
            case "color" -> words.hasMoreTokens() ? words.nextToken() : "";
            default -> name;
        };
        double[] whole = wholeOf(name);
        double[] channels = new double[CHANNELS];
        for (int i = 0; i < CHANNELS; i++) {
            OptionalDouble number =
                    words.hasMoreTokens() ? number(words.nextToken(), whole[i]) : OptionalDouble.empty();
            if (number.isEmpty()) {
                return Optional.empty();
            }
            channels[i] = number.getAsDouble();
        }
        boolean hasOpacity =
                words.hasMoreTokens() && number(words.nextToken(), 1).isPresent();
        if (words.hasMoreTokens() || !hasOpacity && arguments.indexOf('/') >= 0) {
            return Optional.empty();
        }
        if (name.startsWith("rgb")) {
            for (int i = 0; i < CHANNELS; i++) {
                channels[i] /= 255;
            }
        }
        return of(space, channels);
    }

    /** What 100 % of each channel is. */
    private static double[] wholeOf(String function) {
        return switch (function) {
            case "rgb", "rgba" -> new double[] {255, 255, 255};
            case "hsl", "hsla", "hwb" -> new double[] {360, 100, 100};
            case "lab" -> new double[] {100, 125, 125};
            case "lch" -> new double[] {100, 150, 360};
            case "oklab" -> new double[] {1, 0.4, 0.4};
            case "oklch" -> new double[] {1, 0.4, 360};
            default -> new double[] {1, 1, 1};
        };
    }

    private static OptionalDouble number(String word, double whole) {
        if (word.equals("none")) {
            return OptionalDouble.of(0);
        }
        if (word.endsWith("%")) {
            return plain(word, 1, whole / 100);
        }
        if (word.endsWith("grad")) {
            return plain(word, 4, 0.9);
        }
        if (word.endsWith("deg")) {
            return plain(word, 3, 1);
        }
        if (word.endsWith("rad")) {
            return plain(word, 3, 180 / Math.PI);
        }
        return word.endsWith("turn") ? plain(word, 4, 360) : plain(word, 0, 1);
    }

    private static OptionalDouble plain(String word, int unitLetters, double unit) {
        String number = word.substring(0, word.length() - unitLetters);
        for (int i = 0; i < number.length(); i++) {
            if ("0123456789+-.e".indexOf(number.charAt(i)) < 0) {
                return OptionalDouble.empty();
            }
        }
        try {
            return OptionalDouble.of(unit * Double.parseDouble(number));
        } catch (NumberFormatException e) {
            return OptionalDouble.empty();
        }
    }

    private static Srgb hwb(double hue, double white, double black) {
        double most = Math.max(1, white + black);
        return Hexcone.of(hue, 1 - (white + black) / most, white / most);
    }

    private static Srgb shown(Oklab colour) {
        return Gamut.show(colour).colour();
    }

    private static double within(double share) {
        return Math.min(1, Math.max(0, share));
    }

    private static int channel(double value) {
        return (int) Math.round(255 * within(value));
    }
}
