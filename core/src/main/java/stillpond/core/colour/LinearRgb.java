package stillpond.core.colour;

/**
 * Linear light on the primaries of sRGB. Channels are 0 to 1 for colours that sRGB can show, and beyond for others.
 *
 * <p>Transfer function and matrices: IEC 61966-2-1, with the matrices of W3C CSS Color 4 for the white point D65.
 */
public record LinearRgb(double red, double green, double blue) {

    /** How far beyond 0 and 1 rounding alone may carry a channel. */
    private static final double SLACK = 1e-6;

    public static LinearRgb of(Srgb colour) {
        return new LinearRgb(decode(colour.red()), decode(colour.green()), decode(colour.blue()));
    }

    public static LinearRgb of(Xyz xyz) {
        return new LinearRgb(
                3.2409699419045226 * xyz.x() - 1.537383177570094 * xyz.y() - 0.4986107602930034 * xyz.z(),
                -0.9692436362808796 * xyz.x() + 1.8759675015077202 * xyz.y() + 0.04155505740717559 * xyz.z(),
                0.05563007969699366 * xyz.x() - 0.20397695888897652 * xyz.y() + 1.0569715142428786 * xyz.z());
    }

    public Xyz xyz() {
        return new Xyz(
                0.41239079926595934 * red + 0.357584339383878 * green + 0.1804807884018343 * blue,
                0.21263900587151027 * red + 0.715168678767756 * green + 0.07219231536073371 * blue,
                0.01933081871559182 * red + 0.11919477979462598 * green + 0.9505321522496607 * blue);
    }

    public boolean isInGamut() {
        return isInGamut(red) && isInGamut(green) && isInGamut(blue);
    }

    /** The nearest 8-bit colour; channels beyond 0 and 1 are cut off, so map into the {@link Gamut} before. */
    public Srgb clipped() {
        return new Srgb(encode(red), encode(green), encode(blue));
    }

    private static boolean isInGamut(double channel) {
        return channel >= -SLACK && channel <= 1 + SLACK;
    }

    public static double decode(int channel) {
        double encoded = channel / 255.0;
        return encoded <= 0.04045 ? encoded / 12.92 : Math.pow((encoded + 0.055) / 1.055, 2.4);
    }

    private static int encode(double channel) {
        double within = Math.min(1, Math.max(0, channel));
        double encoded = within <= 0.0031308 ? 12.92 * within : 1.055 * Math.pow(within, 1 / 2.4) - 0.055;
        return (int) Math.round(255 * encoded);
    }
}
