package stillpond.core.colour;

/**
 * OKLab: B. Ottosson, "A perceptual color space for image processing", 2020.
 *
 * @param lightness 0 (black) to 1 (white)
 * @param a green (negative) to red, about -0.4 to 0.4
 * @param b blue (negative) to yellow, about -0.4 to 0.4
 */
public record Oklab(double lightness, double a, double b) {

    public static Oklab of(Srgb colour) {
        return of(LinearRgb.of(colour));
    }

    public static Oklab of(Xyz xyz) {
        return of(LinearRgb.of(xyz));
    }

    public static Oklab of(LinearRgb rgb) {
        double l = Math.cbrt(0.4122214708 * rgb.red() + 0.5363325363 * rgb.green() + 0.0514459929 * rgb.blue());
        double m = Math.cbrt(0.2119034982 * rgb.red() + 0.6806995451 * rgb.green() + 0.1073969566 * rgb.blue());
        double s = Math.cbrt(0.0883024619 * rgb.red() + 0.2817188376 * rgb.green() + 0.6299787005 * rgb.blue());
        return new Oklab(
                0.2104542553 * l + 0.7936177850 * m - 0.0040720468 * s,
                1.9779984951 * l - 2.4285922050 * m + 0.4505937099 * s,
                0.0259040371 * l + 0.7827717662 * m - 0.8086757660 * s);
    }

    public LinearRgb linear() {
        double l = cube(lightness + 0.3963377774 * a + 0.2158037573 * b);
        double m = cube(lightness - 0.1055613458 * a - 0.0638541728 * b);
        double s = cube(lightness - 0.0894841775 * a - 1.2914855480 * b);
        return new LinearRgb(
                4.0767416621 * l - 3.3077115913 * m + 0.2309699292 * s,
                -1.2684380046 * l + 2.6097574011 * m - 0.3413193965 * s,
                -0.0041960863 * l - 0.7034186147 * m + 1.7076147010 * s);
    }

    public Oklch oklch() {
        return new Oklch(lightness, Math.hypot(a, b), Hue.degrees(a, b));
    }

    /** Euclidean distance: a quick measure of difference, about 0.02 where two colours begin to differ. */
    public double distanceTo(Oklab other) {
        double dl = lightness - other.lightness;
        double da = a - other.a;
        double db = b - other.b;
        return Math.sqrt(dl * dl + da * da + db * db);
    }

    /** The colour a share of the way to another, in a straight line. */
    public Oklab towards(Oklab other, double share) {
        return new Oklab(
                lightness + share * (other.lightness - lightness),
                a + share * (other.a - a),
                b + share * (other.b - b));
    }

    private static double cube(double value) {
        return value * value * value;
    }
}
