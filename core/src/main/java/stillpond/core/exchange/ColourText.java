package stillpond.core.exchange;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import stillpond.core.colour.Gamut;
import stillpond.core.colour.Hsl;
import stillpond.core.colour.Lab;
import stillpond.core.colour.Lch;
import stillpond.core.colour.LinearRgb;
import stillpond.core.colour.Oklab;
import stillpond.core.colour.Oklch;
import stillpond.core.colour.Srgb;
import stillpond.core.colour.White;
import stillpond.core.colour.Xyz;

/** Colours as they are written in token files and style sheets. */
final class ColourText {

    private static final Pattern SHORT_HEX = Pattern.compile("#([0-9a-fA-F])([0-9a-fA-F])([0-9a-fA-F])");
    private static final Pattern LONG_HEX = Pattern.compile("(#[0-9a-fA-F]{6})([0-9a-fA-F]{2})?");

    private ColourText() {}

    /** Reads {@code #rgb}, {@code #rrggbb} or {@code #rrggbbaa}; opacity is left out. */
    static Optional<Srgb> ofHex(String text) {
        Matcher small = SHORT_HEX.matcher(text.strip());
        if (small.matches()) {
            String twice = small.group(1).repeat(2)
                    + small.group(2).repeat(2)
                    + small.group(3).repeat(2);
            return Optional.of(Srgb.ofHex("#" + twice));
        }
        Matcher large = LONG_HEX.matcher(text.strip());
        return large.matches() ? Optional.of(Srgb.ofHex(large.group(1))) : Optional.empty();
    }

    /** Reads the components of a colour in one of the spaces of the W3C design token format; empty if the space is not known. */
    static Optional<Srgb> of(String space, double[] c) {
        return switch (space) {
            case "srgb" -> Optional.of(new Srgb(channel(c[0]), channel(c[1]), channel(c[2])));
            case "srgb-linear" -> Optional.of(shown(Oklab.of(new LinearRgb(c[0], c[1], c[2]))));
            case "hsl" -> Optional.of(new Hsl(c[0], c[1] / 100, c[2] / 100).srgb());
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

    private static Srgb shown(Oklab colour) {
        return Gamut.show(colour).colour();
    }

    private static int channel(double value) {
        return (int) Math.round(255 * Math.min(1, Math.max(0, value)));
    }
}
