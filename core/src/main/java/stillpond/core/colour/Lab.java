package stillpond.core.colour;

/**
 * CIE 1976 L*a*b* (ISO/CIE 11664-4).
 *
 * @param lightness 0 (black) to 100 (white)
 * @param a green (negative) to red, about -128 to 127
 * @param b blue (negative) to yellow, about -128 to 127
 * @param white what counts as white
 */
public record Lab(double lightness, double a, double b, White white) {

    private static final double EPSILON = 216.0 / 24389;
    private static final double KAPPA = 24389.0 / 27;

    public static Lab of(Srgb colour, White white) {
        return of(LinearRgb.of(colour).xyz(), white);
    }

    public static Lab of(Xyz xyz, White white) {
        Xyz adapted = white.adapted(xyz);
        double x = compress(adapted.x() / white.xyz().x());
        double y = compress(adapted.y() / white.xyz().y());
        double z = compress(adapted.z() / white.xyz().z());
        return new Lab(116 * y - 16, 500 * (x - y), 200 * (y - z), white);
    }

    public Xyz xyz() {
        double y = (lightness + 16) / 116;
        double x = y + a / 500;
        double z = y - b / 200;
        return white.toD65(new Xyz(
                expand(x) * white.xyz().x(),
                expand(y) * white.xyz().y(),
                expand(z) * white.xyz().z()));
    }

    public Lch lch() {
        return new Lch(lightness, Math.hypot(a, b), Hue.degrees(a, b), white);
    }

    private static double compress(double t) {
        return t > EPSILON ? Math.cbrt(t) : (KAPPA * t + 16) / 116;
    }

    private static double expand(double t) {
        double cube = t * t * t;
        return cube > EPSILON ? cube : (116 * t - 16) / KAPPA;
    }
}
