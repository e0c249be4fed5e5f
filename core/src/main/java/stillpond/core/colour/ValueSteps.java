package stillpond.core.colour;

import java.util.Arrays;

/** Pictures flattened to a few values, so that their big shapes are seen: lightness in OKLab, clustered (S. Lloyd, "Least squares quantization in PCM", 1982). */
public final class ValueSteps {

    public static final int FEWEST = 2;
    public static final int MOST = 8;

    private static final int BINS = 256;
    private static final int ROUNDS = 60;

    private ValueSteps() {}

    /**
     * @param argb 0xAARRGGBB
     * @param steps 2 to 8
     * @return greys of so many lightnesses at the most, as opaque as the pixels were
     */
    public static int[] flattened(int[] argb, int steps) {
        int[] bins = new int[argb.length];
        double[] counts = new double[BINS];
        for (int i = 0; i < argb.length; i++) {
            bins[i] = (int) Math.round(lightness(argb[i]) * (BINS - 1));
            counts[bins[i]] += argb[i] >>> 24;
        }
        int[] greys = greys(counts, Math.max(FEWEST, Math.min(MOST, steps)));
        int[] flattened = new int[argb.length];
        for (int i = 0; i < argb.length; i++) {
            flattened[i] = argb[i] & 0xff000000 | greys[bins[i]];
        }
        return flattened;
    }

    /** Each pixel as a grey as light as it. */
    public static int[] grey(int[] argb) {
        int[] grey = new int[argb.length];
        for (int i = 0; i < argb.length; i++) {
            grey[i] = argb[i] & 0xff000000 | packed(lightness(argb[i]));
        }
        return grey;
    }

    private static double lightness(int pixel) {
        return Math.max(0, Math.min(1, Oklab.of(Srgb.ofPacked(pixel)).lightness()));
    }

    private static int packed(double lightness) {
        return new Oklab(lightness, 0, 0).linear().clipped().packed() & 0xffffff;
    }

    private static int[] greys(double[] counts, int steps) {
        double[] centres = new double[steps];
        double all = Arrays.stream(counts).sum();
        double passed = 0;
        int next = 0;
        for (int bin = 0; bin < BINS && all > 0; bin++) {
            passed += counts[bin];
            while (next < steps && passed >= all * (next + 0.5) / steps) {
                centres[next++] = bin;
            }
        }
        int[] owner = new int[BINS];
        for (int round = 0; round < ROUNDS; round++) {
            double[] sum = new double[steps];
            double[] weight = new double[steps];
            for (int bin = 0; bin < BINS; bin++) {
                owner[bin] = nearest(centres, bin);
                sum[owner[bin]] += counts[bin] * bin;
                weight[owner[bin]] += counts[bin];
            }
            for (int i = 0; i < steps; i++) {
                centres[i] = weight[i] > 0 ? sum[i] / weight[i] : centres[i];
            }
        }
        int[] greys = new int[BINS];
        for (int bin = 0; bin < BINS; bin++) {
            greys[bin] = packed(centres[nearest(centres, bin)] / (BINS - 1));
        }
        return greys;
    }

    private static int nearest(double[] centres, double at) {
        int best = 0;
        for (int i = 1; i < centres.length; i++) {
            best = Math.abs(centres[i] - at) < Math.abs(centres[best] - at) ? i : best;
        }
        return best;
    }
}
