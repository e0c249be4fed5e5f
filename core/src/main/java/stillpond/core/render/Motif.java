package stillpond.core.render;

import java.util.Arrays;
import stillpond.core.refusal.Refusal;

/**
 * One repeat of a pattern, as the share that each of its colours has in each place. Places beyond its sides are those of the next repeat.
 *
 * <p>Kept at full size and at half of it, a quarter, and so on to a single place (L. Williams, "Pyramidal Parametrics", SIGGRAPH 1983), so that a pattern
 * that is shown small is even and does not shimmer.
 */
public final class Motif {

    /** The side of a motif in places; a power of two. */
    public static final int SIDE = 256;

    private final int inks;
    /** By level, 0 the finest: for each place 0xRRGGBB, the shares of the second, third and fourth colour; the rest is the first. */
    private final int[][] levels;

    /**
     * @param inks how many colours it has, 1 to 4
     * @param shares {@link #SIDE} rows of as many places: as 0xRRGGBB the shares of the second, third and fourth colour, 0 to 255
     */
    public Motif(int inks, int[] shares) {
        if (shares.length != SIDE * SIDE) {
            throw new Refusal("A motif has " + SIDE + " by " + SIDE + " places.");
        }
        this.inks = inks;
        this.levels = new int[Integer.numberOfTrailingZeros(SIDE) + 1][];
        levels[0] = shares.clone();
        for (int level = 1; level < levels.length; level++) {
            levels[level] = halved(levels[level - 1], SIDE >> level);
        }
    }

    public int inks() {
        return inks;
    }

    /** The finest level; a copy. */
    public int[] shares() {
        return levels[0].clone();
    }

    /** The number of the colour that has the largest share in each place, 0 the first. */
    public int[] strongest() {
        return Arrays.stream(levels[0]).map(Motif::strongest).toArray();
    }

    /** @param shares of the second, third and fourth colour, as 0xRRGGBB */
    static int strongest(int shares) {
        int[] parts = parts(shares);
        int most = 0;
        for (int ink = 1; ink < parts.length; ink++) {
            most = parts[ink] > parts[most] ? ink : most;
        }
        return most;
    }

    /** The share of each colour, the first one having what the others leave. */
    static int[] parts(int shares) {
        int[] parts = {0, shares >> 16 & 0xff, shares >> 8 & 0xff, shares & 0xff};
        parts[0] = Math.max(0, 255 - parts[1] - parts[2] - parts[3]);
        return parts;
    }

    /**
     * The shares at a point, between the four places around it.
     *
     * @param u across, in repeats
     * @param v down, in repeats
     * @param level 0 for the finest
     */
    int at(double u, double v, int level) {
        int within = Math.min(levels.length - 1, Math.max(0, level));
        int side = SIDE >> within;
        double x = (u - Math.floor(u)) * side - 0.5;
        double y = (v - Math.floor(v)) * side - 0.5;
        int left = (int) Math.floor(x);
        int top = (int) Math.floor(y);
        double right = x - left;
        double below = y - top;
        int[] shares = levels[within];
        int a = shares[place(left, top, side)];
        int b = shares[place(left + 1, top, side)];
        int c = shares[place(left, top + 1, side)];
        int d = shares[place(left + 1, top + 1, side)];
        int result = 0;
        for (int shift = 0; shift <= 16; shift += 8) {
            double upper = (a >> shift & 0xff) * (1 - right) + (b >> shift & 0xff) * right;
            double lower = (c >> shift & 0xff) * (1 - right) + (d >> shift & 0xff) * right;
            result |= (int) Math.round(upper * (1 - below) + lower * below) << shift;
        }
        return result;
    }

    private static int place(int x, int y, int side) {
        return Math.floorMod(y, side) * side + Math.floorMod(x, side);
    }

    private static int[] halved(int[] finer, int side) {
        int[] coarser = new int[side * side];
        for (int y = 0; y < side; y++) {
            for (int x = 0; x < side; x++) {
                int first = 2 * y * 2 * side + 2 * x;
                int below = first + 2 * side;
                for (int shift = 0; shift <= 16; shift += 8) {
                    int sum = (finer[first] >> shift & 0xff)
                            + (finer[first + 1] >> shift & 0xff)
                            + (finer[below] >> shift & 0xff)
                            + (finer[below + 1] >> shift & 0xff);
                    coarser[y * side + x] |= (sum + 2) / 4 << shift;
                }
            }
        }
        return coarser;
    }
}
