package stillpond.core.colour;

import stillpond.core.refusal.Refusal;

/**
 * Shares of the four process inks under some {@link PrintCondition}.
 *
 * @param cyan 0 to 1
 * @param magenta 0 to 1
 * @param yellow 0 to 1
 * @param black 0 to 1
 */
public record Cmyk(double cyan, double magenta, double yellow, double black) {

    public Cmyk {
        for (double share : new double[] {cyan, magenta, yellow, black}) {
            if (!(share >= 0 && share <= 1)) {
                throw new Refusal("A share of ink is 0 to 1, not " + share + ".");
            }
        }
    }
}
