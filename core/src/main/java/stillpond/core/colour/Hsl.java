package stillpond.core.colour;

/**
 * Hue, saturation and lightness on gamma-encoded sRGB, as in W3C CSS Color 4.
 *
 * @param hue degrees, 0 to 360; 0 for greys
 * @param saturation 0 to 1
 * @param lightness 0 to 1
 */
public record Hsl(double hue, double saturation, double lightness) {

    public static Hsl of(Srgb colour) {
        double max = Hexcone.max(colour);
        double min = Hexcone.min(colour);
        double lightness = (max + min) / 2;
        double room = 1 - Math.abs(2 * lightness - 1);
        return new Hsl(Hexcone.hue(colour), room < 1e-12 ? 0 : (max - min) / room, lightness);
    }

    public Srgb srgb() {
        double range = (1 - Math.abs(2 * lightness - 1)) * saturation;
        return Hexcone.of(hue, range, lightness - range / 2);
    }
}
