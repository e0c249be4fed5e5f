package stillpond.core.colour;

/** CIE 1931 XYZ under the white point D65, with Y = 1 for white. */
public record Xyz(double x, double y, double z) {

    static Xyz of(double[] values) {
        return new Xyz(values[0], values[1], values[2]);
    }

    double[] values() {
        return new double[] {x, y, z};
    }
}
