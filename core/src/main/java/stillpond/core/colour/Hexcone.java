package stillpond.core.colour;

/** What HSV and HSL share. */
final class Hexcone {

    private Hexcone() {}

    static double max(Srgb colour) {
        return Math.max(colour.red(), Math.max(colour.green(), colour.blue())) / 255.0;
    }

    static double min(Srgb colour) {
        return Math.min(colour.red(), Math.min(colour.green(), colour.blue())) / 255.0;
    }

    static double hue(Srgb colour) {
        double range = 255 * (max(colour) - min(colour));
        if (range < 1e-9) {
            return 0;
        }
        double max = 255 * max(colour);
        double sixth;
        if (max == colour.red()) {
            sixth = (colour.green() - colour.blue()) / range;
        } else if (max == colour.green()) {
            sixth = 2 + (colour.blue() - colour.red()) / range;
        } else {
            sixth = 4 + (colour.red() - colour.green()) / range;
        }
        return Hue.within(60 * sixth);
    }

    /**
     * @param range between the largest and the smallest channel, 0 to 1
     * @param min the smallest channel, 0 to 1
     */
    static Srgb of(double hue, double range, double min) {
        double sixth = Hue.within(hue) / 60;
        double middle = range * (1 - Math.abs(sixth % 2 - 1));
        double[] rgb = switch ((int) sixth) {
            case 0 -> new double[] {range, middle, 0};
            case 1 -> new double[] {middle, range, 0};
            case 2 -> new double[] {0, range, middle};
            case 3 -> new double[] {0, middle, range};
            case 4 -> new double[] {middle, 0, range};
            default -> new double[] {range, 0, middle};
        };
        return new Srgb(channel(rgb[0] + min), channel(rgb[1] + min), channel(rgb[2] + min));
    }

    private static int channel(double value) {
        return (int) Math.round(255 * Math.min(1, Math.max(0, value)));
    }
}
