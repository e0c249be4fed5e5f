package stillpond.core.colour;

/**
 * The colour difference CIEDE2000 (ISO/CIE 11664-6) as written down by G. Sharma, W. Wu and E. N. Dalal, "The CIEDE2000 color-difference formula: implementation notes,
 * supplementary test data, and mathematical observations", Color Research and Application 30 (2005), with all parametric factors 1.
 */
public final class Ciede2000 {

    /** Colours nearer to each other than this are hard to tell apart, side by side with others between. */
    public static final double HARD_TO_TELL = 2.3;

    private static final double POW_25_7 = Math.pow(25, 7);

    private Ciede2000() {}

    /** About 1 where a trained eye just sees a difference, side by side. Relative to D50, as is usual for print. */
    public static double between(Srgb first, Srgb second) {
        return between(Lab.of(first, White.D50), Lab.of(second, White.D50));
    }

    public static double between(Lab first, Lab second) {
        double meanChroma = (Math.hypot(first.a(), first.b()) + Math.hypot(second.a(), second.b())) / 2;
        double stretch = 1 + 0.5 * (1 - Math.sqrt(ratio7(meanChroma)));
        double a1 = stretch * first.a();
        double a2 = stretch * second.a();
        double c1 = Math.hypot(a1, first.b());
        double c2 = Math.hypot(a2, second.b());
        double h1 = c1 == 0 ? 0 : Hue.degrees(a1, first.b());
        double h2 = c2 == 0 ? 0 : Hue.degrees(a2, second.b());

        double byLightness = second.lightness() - first.lightness();
        double byChroma = c2 - c1;
        double hueAngle = c1 * c2 == 0 ? 0 : hueAngle(h1, h2);
        double byHue = 2 * Math.sqrt(c1 * c2) * Math.sin(Math.toRadians(hueAngle) / 2);

        double lightness = (first.lightness() + second.lightness()) / 2;
        double chroma = (c1 + c2) / 2;
        double hue = c1 * c2 == 0 ? h1 + h2 : meanHue(h1, h2);

        double t = 1 - 0.17 * cos(hue - 30) + 0.24 * cos(2 * hue) + 0.32 * cos(3 * hue + 6) - 0.20 * cos(4 * hue - 63);
        double offMiddle = (lightness - 50) * (lightness - 50);
        double sl = 1 + 0.015 * offMiddle / Math.sqrt(20 + offMiddle);
        double sc = 1 + 0.045 * chroma;
        double sh = 1 + 0.015 * chroma * t;
        double turn = 30 * Math.exp(-Math.pow((hue - 275) / 25, 2));
        double rotation = -2 * Math.sqrt(ratio7(chroma)) * Math.sin(Math.toRadians(2 * turn));

        double l = byLightness / sl;
        double c = byChroma / sc;
        double h = byHue / sh;
        return Math.sqrt(l * l + c * c + h * h + rotation * c * h);
    }

    private static double hueAngle(double h1, double h2) {
        double difference = h2 - h1;
        if (Math.abs(difference) <= 180) {
            return difference;
        }
        return difference > 180 ? difference - 360 : difference + 360;
    }

    private static double meanHue(double h1, double h2) {
        double sum = h1 + h2;
        if (Math.abs(h1 - h2) <= 180) {
            return sum / 2;
        }
        return sum < 360 ? (sum + 360) / 2 : (sum - 360) / 2;
    }

    private static double ratio7(double chroma) {
        double seventh = Math.pow(chroma, 7);
        return seventh / (seventh + POW_25_7);
    }

    private static double cos(double degrees) {
        return Math.cos(Math.toRadians(degrees));
    }
}
