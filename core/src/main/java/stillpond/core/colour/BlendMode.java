package stillpond.core.colour;

import java.util.Locale;
import java.util.function.DoubleBinaryOperator;
import stillpond.core.refusal.Refusal;

/**
 * How a source colour acts on a backdrop: the blend modes of W3C Compositing and Blending Level 1, section 10 (separable ones in 10.1, the others in 10.2), both
 * colours opaque. The standard defines them on the encoded components of sRGB, 0 to 1, and so are they here.
 */
public enum BlendMode {
    NORMAL("normal", (backdrop, source) -> source),
    MULTIPLY("multiply", (backdrop, source) -> backdrop * source),
    SCREEN("screen", BlendMode::screen),
    OVERLAY("overlay", (backdrop, source) -> hardLight(source, backdrop)),
    DARKEN("darken", Math::min),
    LIGHTEN("lighten", Math::max),
    COLOR_DODGE("colour dodge", BlendMode::dodge),
    COLOR_BURN("colour burn", BlendMode::burn),
    HARD_LIGHT("hard light", BlendMode::hardLight),
    SOFT_LIGHT("soft light", BlendMode::softLight),
    DIFFERENCE("difference", (backdrop, source) -> Math.abs(backdrop - source)),
    EXCLUSION("exclusion", (backdrop, source) -> backdrop + source - 2 * backdrop * source),
    HUE("hue", null),
    SATURATION("saturation", null),
    COLOR("colour", null),
    LUMINOSITY("luminosity", null);

    private final String words;
    private final DoubleBinaryOperator channel;

    BlendMode(String words, DoubleBinaryOperator channel) {
        this.words = words;
        this.channel = channel;
    }

    /** The name in plain words, as the interface shows it. */
    public String words() {
        return words;
    }

    /** The name as the standard writes it, such as {@code color-burn}; {@link #ofName} reads it. */
    public String standardName() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** @throws Refusal if there is no such mode */
    public static BlendMode ofName(String name) {
        for (BlendMode mode : values()) {
            if (mode.standardName().equals(name)) {
                return mode;
            }
        }
        throw new Refusal("'" + name + "' is no blend mode.");
    }

    /** What the backdrop becomes under the source. */
    public Srgb blend(Srgb backdrop, Srgb source) {
        double[] under = components(backdrop);
        double[] over = components(source);
        double[] blended = channel == null ? blendWhole(under, over) : blendEach(under, over);
        return new Srgb(rounded(blended[0]), rounded(blended[1]), rounded(blended[2]));
    }

    private double[] blendEach(double[] backdrop, double[] source) {
        double[] blended = new double[3];
        for (int i = 0; i < 3; i++) {
            blended[i] = channel.applyAsDouble(backdrop[i], source[i]);
        }
        return blended;
    }

    private double[] blendWhole(double[] backdrop, double[] source) {
        return switch (this) {
            case HUE -> withLum(withSat(source, sat(backdrop)), lum(backdrop));
            case SATURATION -> withLum(withSat(backdrop, sat(source)), lum(backdrop));
            case COLOR -> withLum(source, lum(backdrop));
            default -> withLum(backdrop, lum(source));
        };
    }

    private static double screen(double backdrop, double source) {
        return backdrop + source - backdrop * source;
    }

    private static double hardLight(double backdrop, double source) {
        return source <= 0.5 ? backdrop * 2 * source : screen(backdrop, 2 * source - 1);
    }

    private static double dodge(double backdrop, double source) {
        return backdrop == 0 ? 0 : source == 1 ? 1 : Math.min(1, backdrop / (1 - source));
    }

    private static double burn(double backdrop, double source) {
        return backdrop == 1 ? 1 : source == 0 ? 0 : 1 - Math.min(1, (1 - backdrop) / source);
    }

    private static double softLight(double backdrop, double source) {
        if (source <= 0.5) {
            return backdrop - (1 - 2 * source) * backdrop * (1 - backdrop);
        }
        double curve = backdrop <= 0.25 ? ((16 * backdrop - 12) * backdrop + 4) * backdrop : Math.sqrt(backdrop);
        return backdrop + (2 * source - 1) * (curve - backdrop);
    }

    private static double lum(double[] colour) {
        return 0.3 * colour[0] + 0.59 * colour[1] + 0.11 * colour[2];
    }

    private static double least(double[] colour) {
        return Math.min(colour[0], Math.min(colour[1], colour[2]));
    }

    private static double most(double[] colour) {
        return Math.max(colour[0], Math.max(colour[1], colour[2]));
    }

    private static double sat(double[] colour) {
        return most(colour) - least(colour);
    }

    /** SetLum and ClipColor of the standard. */
    private static double[] withLum(double[] colour, double lum) {
        double[] moved = new double[3];
        for (int i = 0; i < 3; i++) {
            moved[i] = colour[i] + lum - lum(colour);
        }
        double least = least(moved);
        double most = most(moved);
        for (int i = 0; i < 3; i++) {
            if (least < 0) {
                moved[i] = lum + (moved[i] - lum) * lum / (lum - least);
            }
            if (most > 1) {
                moved[i] = lum + (moved[i] - lum) * (1 - lum) / (most - lum);
            }
        }
        return moved;
    }

    /** SetSat of the standard: the least component becomes 0, the greatest {@code sat}, and the middle one keeps its place between them. */
    private static double[] withSat(double[] colour, double sat) {
        double least = least(colour);
        double span = most(colour) - least;
        double[] stretched = new double[3];
        for (int i = 0; i < 3 && span > 0; i++) {
            stretched[i] = (colour[i] - least) * sat / span;
        }
        return stretched;
    }

    private static double[] components(Srgb colour) {
        return new double[] {colour.red() / 255.0, colour.green() / 255.0, colour.blue() / 255.0};
    }

    private static int rounded(double component) {
        return (int) Math.round(255 * Math.max(0, Math.min(1, component)));
    }
}
