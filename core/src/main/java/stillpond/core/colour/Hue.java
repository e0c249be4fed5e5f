package stillpond.core.colour;

/** Angles of hue, in degrees. */
final class Hue {

    private Hue() {}

    /** The angle of a point in a plane of opponent colours, 0 to 360. */
    static double degrees(double a, double b) {
        return within(Math.toDegrees(Math.atan2(b, a)));
    }

    /** The same angle, from 0 up to 360. */
    static double within(double degrees) {
        double rest = degrees % 360;
        return rest < 0 ? rest + 360 : rest;
    }

    /** The way from one hue to another by the shorter arc, -180 to 180. */
    static double arc(double from, double to) {
        return within(to - from + 180) - 180;
    }
}
