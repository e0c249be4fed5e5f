package stillpond.core.colour;

/**
 * A white point to which CIE Lab is relative: D65 for screens, D50 for print. Colours are adapted between them with the Bradford matrices (Lam 1985; values of W3C CSS
 * Color 4).
 */
public enum White {
    D65(0.3127 / 0.3290, 1, (1 - 0.3127 - 0.3290) / 0.3290),
    D50(0.3457 / 0.3585, 1, (1 - 0.3457 - 0.3585) / 0.3585);

    private static final double[][] D65_TO_D50 = {
        {1.0479297925449969, 0.022946870601609652, -0.05019226628920524},
        {0.02962780877005599, 0.9904344267538799, -0.017073799063418826},
        {-0.009243040646204504, 0.015055191490298152, 0.7518742814281371}
    };
    private static final double[][] D50_TO_D65 = {
        {0.955473421488075, -0.02309845494876471, 0.06325924320057072},
        {-0.0283697093338637, 1.0099953980813041, 0.021041441191917323},
        {0.012314014864481998, -0.020507649298898964, 1.330365926242124}
    };

    private final Xyz xyz;

    White(double x, double y, double z) {
        this.xyz = new Xyz(x, y, z);
    }

    Xyz xyz() {
        return xyz;
    }

    /** A colour seen under D65 as it would be measured under this white. */
    Xyz adapted(Xyz underD65) {
        return this == D65 ? underD65 : times(D65_TO_D50, underD65);
    }

    Xyz toD65(Xyz underThis) {
        return this == D65 ? underThis : times(D50_TO_D65, underThis);
    }

    private static Xyz times(double[][] matrix, Xyz xyz) {
        double[] product = new double[3];
        for (int row = 0; row < 3; row++) {
            for (int column = 0; column < 3; column++) {
                product[row] += matrix[row][column] * xyz.values()[column];
            }
        }
        return Xyz.of(product);
    }
}
