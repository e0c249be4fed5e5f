package stillpond.core.colour;

/**
 * The hexcone model on gamma-encoded sRGB: A. R. Smith, "Color gamut transform pairs", SIGGRAPH 1978.
 *
 * @param hue degrees, 0 to 360; 0 for greys
 * @param saturation 0 to 1
 * @param value 0 to 1
 */
public record Hsv(double hue, double saturation, double value) {

    public static Hsv of(Srgb colour) {
        double max = Hexcone.max(colour);
        double range = max - Hexcone.min(colour);
        return new Hsv(Hexcone.hue(colour), max == 0 ? 0 : range / max, max);
    }

    public Srgb srgb() {
        return Hexcone.of(hue, value * saturation, value * (1 - saturation));
    }
}
