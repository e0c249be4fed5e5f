package stillpond.core.palette;

import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import stillpond.core.colour.Gamut;
import stillpond.core.colour.Mixing;
import stillpond.core.colour.Oklch;
import stillpond.core.colour.Srgb;
import stillpond.core.refusal.Refusal;

/** How a tied swatch is made from the one that it follows. */
public sealed interface Tie {

    /** The tied colour. */
    Srgb of(Srgb source, Function<UUID, Srgb> others);

    /** The form that is stored and exchanged, such as {@code shade 20}; {@link #ofText} reads it. */
    String text();

    /** The way in plain words, such as "20 % darker towards black". */
    String words();

    /** A second swatch that this one follows too. */
    default Optional<UUID> other() {
        return Optional.empty();
    }

    /** @param percent of white, 0 to 100 */
    record Tint(double percent) implements Tie {
        public Tint {
            requirePercent(percent);
        }

        @Override
        public Srgb of(Srgb source, Function<UUID, Srgb> others) {
            return Mixing.tint(source, percent);
        }

        @Override
        public String text() {
            return "tint " + number(percent);
        }

        @Override
        public String words() {
            return number(percent) + " % towards white";
        }
    }

    /** @param percent of black, 0 to 100 */
    record Shade(double percent) implements Tie {
        public Shade {
            requirePercent(percent);
        }

        @Override
        public Srgb of(Srgb source, Function<UUID, Srgb> others) {
            return Mixing.shade(source, percent);
        }

        @Override
        public String text() {
            return "shade " + number(percent);
        }

        @Override
        public String words() {
            return number(percent) + " % towards black";
        }
    }

    /**
     * A shift in OKLCH.
     *
     * @param lightness -1 to 1
     * @param chroma -0.4 to 0.4
     * @param hue degrees, -360 to 360
     */
    record Shift(double lightness, double chroma, double hue) implements Tie {
        public Shift {
            requireWithin("A shift of lightness", lightness, 1);
            requireWithin("A shift of chroma", chroma, 0.4);
            requireWithin("A shift of hue", hue, 360);
        }

        /** What leads from one colour to another. */
        public static Shift between(Srgb from, Srgb to) {
            Oklch a = Oklch.of(from);
            Oklch b = Oklch.of(to);
            double turn = b.hue() - a.hue();
            double hue = turn > 180 ? turn - 360 : turn < -180 ? turn + 360 : turn;
            boolean hasHue = a.chroma() > 0.005 && b.chroma() > 0.005;
            return new Shift(
                    rounded(b.lightness() - a.lightness()),
                    rounded(b.chroma() - a.chroma()),
                    hasHue ? rounded(hue) : 0);
        }

        @Override
        public Srgb of(Srgb source, Function<UUID, Srgb> others) {
            return Gamut.show(Oklch.of(source).shifted(lightness, chroma, hue)).colour();
        }

        @Override
        public String text() {
            return "shift " + number(lightness) + " " + number(chroma) + " " + number(hue);
        }

        @Override
        public String words() {
            return String.format(
                    Locale.ROOT, "lightness %+.0f %%, chroma %+.2f, hue %+.0f degrees", 100 * lightness, chroma, hue);
        }

        private static double rounded(double value) {
            return Math.round(value * 1e4) / 1e4;
        }
    }

    /**
     * A mix with another swatch.
     *
     * @param share of the other, 0 to 1
     */
    record Mix(UUID with, double share) implements Tie {
        public Mix {
            if (!(share >= 0 && share <= 1)) {
                throw new Refusal("A share of a mix is 0 to 1, not " + share + ".");
            }
        }

        @Override
        public Srgb of(Srgb source, Function<UUID, Srgb> others) {
            return Mixing.mix(source, others.apply(with), share);
        }

        @Override
        public String text() {
            return "mix " + with + " " + number(share);
        }

        @Override
        public String words() {
            return number(100 * share) + " % of another swatch mixed in";
        }

        @Override
        public Optional<UUID> other() {
            return Optional.of(with);
        }
    }

    /**
     * Reads what {@link #text} wrote.
     *
     * @throws Refusal
     */
    static Tie ofText(String text) {
        return Refusal.unlessRead("'" + text + "' does not say how a swatch is tied.", () -> read(text));
    }

    private static Tie read(String text) {
        String[] words = text.strip().split("\\s+");
        return switch (words[0]) {
            case "tint" -> new Tint(Double.parseDouble(words[1]));
            case "shade" -> new Shade(Double.parseDouble(words[1]));
            case "shift" ->
                new Shift(Double.parseDouble(words[1]), Double.parseDouble(words[2]), Double.parseDouble(words[3]));
            case "mix" -> new Mix(UUID.fromString(words[1]), Double.parseDouble(words[2]));
            default -> throw new Refusal("A swatch is tied by tint, shade, shift or mix, not '" + text + "'.");
        };
    }

    private static String number(double value) {
        return value == Math.rint(value) ? String.valueOf((long) value) : String.valueOf(value);
    }

    private static void requirePercent(double percent) {
        if (!(percent >= 0 && percent <= 100)) {
            throw new Refusal("A tint or shade is 0 to 100 percent, not " + number(percent) + ".");
        }
    }

    private static void requireWithin(String what, double value, double most) {
        if (!(Math.abs(value) <= most)) {
            throw new Refusal(what + " is at most " + number(most) + " either way, not " + value + ".");
        }
    }
}
