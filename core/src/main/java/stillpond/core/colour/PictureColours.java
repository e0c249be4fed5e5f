package stillpond.core.colour;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Colours taken out of a picture. */
public final class PictureColours {

    private static final int OPAQUE = 128;
    /** Channels are told apart in so many steps when pixels are counted. */
    private static final int BITS = 5;

    private static final int MOST_SAMPLES = 400_000;
    private static final int ROUNDS = 40;
    /** A bin weighs its pixels to this power, so that a rare strong accent is not drowned by a large sky. */
    private static final double AREA_POWER = 0.5;
    /** How much more a pixel of full chroma weighs than a grey one. */
    private static final double CHROMA_WEIGHT = 12;
    /** Main colours nearer to each other than this, in OKLab, are one. */
    private static final double SAME = 0.03;

    private PictureColours() {}

    /**
     * A colour of a picture and where it comes from.
     *
     * @param x pixel of the picture that shows it best
     * @param y its row
     * @param share of the opaque picture, 0 to 1
     */
    public record Found(Srgb colour, int x, int y, double share) {}

    /**
     * The mean of a disc in linear light. Pixels less than half opaque do not count.
     *
     * @param argb 0xAARRGGBB, row by row
     * @param radiusPx 0 for a single pixel
     * @return empty if the disc holds no opaque pixel
     */
    public static Optional<Srgb> mean(int[] argb, int width, int x, int y, int radiusPx) {
        int height = argb.length / width;
        double[] sum = new double[3];
        int count = 0;
        for (int row = Math.max(0, y - radiusPx); row <= Math.min(height - 1, y + radiusPx); row++) {
            for (int column = Math.max(0, x - radiusPx); column <= Math.min(width - 1, x + radiusPx); column++) {
                int pixel = argb[row * width + column];
                boolean inDisc = (row - y) * (row - y) + (column - x) * (column - x) <= radiusPx * radiusPx;
                if (inDisc && isOpaque(pixel)) {
                    sum[0] += LinearRgb.decode(pixel >> 16 & 0xff);
                    sum[1] += LinearRgb.decode(pixel >> 8 & 0xff);
                    sum[2] += LinearRgb.decode(pixel & 0xff);
                    count++;
                }
            }
        }
        return count == 0
                ? Optional.empty()
                : Optional.of(new LinearRgb(sum[0] / count, sum[1] / count, sum[2] / count).clipped());
    }

    /**
     * The main colours of a picture: clusters in OKLab (weighted k-means, S. Lloyd 1982, begun at the colours farthest from each other), weighted by area with rare strong
     * accents kept, largest first.
     *
     * @param most how many at the most; like ones are folded
     * @return empty if no pixel is opaque
     */
    public static List<Found> main(int[] argb, int width, int most) {
        List<Bin> bins = bins(argb, width);
        if (bins.isEmpty()) {
            return List.of();
        }
        List<Oklab> centres = begin(bins, most);
        int[] owner = new int[bins.size()];
        for (int round = 0; round < ROUNDS && assign(bins, centres, owner); round++) {
            centres = means(bins, centres, owner);
        }
        return found(bins, folded(bins, centres, owner), owner, width);
    }

    private static final class Bin {
        private double lightness;
        private double a;
        private double b;
        private int pixels;
        private int firstIndex;
        private Oklab colour;
        private double weight;

        void add(Oklab at, int index) {
            if (pixels++ == 0) {
                firstIndex = index;
            }
            lightness += at.lightness();
            a += at.a();
            b += at.b();
        }

        void close() {
            colour = new Oklab(lightness / pixels, a / pixels, b / pixels);
            weight = Math.pow(pixels, AREA_POWER) * (1 + CHROMA_WEIGHT * Math.hypot(colour.a(), colour.b()));
        }
    }

    private static List<Bin> bins(int[] argb, int width) {
        int step = Math.max(1, (int) Math.sqrt(argb.length / (double) MOST_SAMPLES));
        Map<Integer, Bin> byCode = new HashMap<>();
        int height = argb.length / width;
        for (int y = step / 2; y < height; y += step) {
            for (int x = step / 2; x < width; x += step) {
                int pixel = argb[y * width + x];
                if (isOpaque(pixel)) {
                    int shift = 8 - BITS;
                    int code = (pixel >> 16 + shift & 31) << 10 | (pixel >> 8 + shift & 31) << 5 | pixel >> shift & 31;
                    byCode.computeIfAbsent(code, any -> new Bin()).add(Oklab.of(Srgb.ofPacked(pixel)), y * width + x);
                }
            }
        }
        List<Bin> bins = new ArrayList<>(byCode.values());
        bins.forEach(Bin::close);
        bins.sort(Comparator.comparingInt((Bin bin) -> -bin.pixels).thenComparingInt(bin -> bin.firstIndex));
        return bins;
    }

    /** The heaviest bin, then again and again the one that is heaviest where it is farthest from all before. */
    private static List<Oklab> begin(List<Bin> bins, int most) {
        List<Oklab> centres = new ArrayList<>();
        double[] away = new double[bins.size()];
        Arrays.fill(away, 1);
        while (centres.size() < Math.min(most, bins.size())) {
            int best = 0;
            for (int i = 0; i < away.length; i++) {
                best = bins.get(i).weight * away[i] > bins.get(best).weight * away[best] ? i : best;
            }
            if (away[best] < SAME * SAME) {
                break;
            }
            Oklab centre = bins.get(best).colour;
            centres.add(centre);
            for (int i = 0; i < away.length; i++) {
                double distance = bins.get(i).colour.distanceTo(centre);
                away[i] = Math.min(away[i], distance * distance);
            }
        }
        return centres;
    }

    /** Gives each bin to the nearest centre; whether any went elsewhere than before. */
    private static boolean assign(List<Bin> bins, List<Oklab> centres, int[] owner) {
        boolean changed = false;
        for (int i = 0; i < owner.length; i++) {
            int nearest = nearest(bins.get(i).colour, centres);
            changed |= nearest != owner[i];
            owner[i] = nearest;
        }
        return changed;
    }

    private static int nearest(Oklab colour, List<Oklab> centres) {
        int best = 0;
        for (int i = 1; i < centres.size(); i++) {
            best = colour.distanceTo(centres.get(i)) < colour.distanceTo(centres.get(best)) ? i : best;
        }
        return best;
    }

    private static List<Oklab> means(List<Bin> bins, List<Oklab> centres, int[] owner) {
        double[][] sums = new double[centres.size()][4];
        for (int i = 0; i < owner.length; i++) {
            Bin bin = bins.get(i);
            double[] sum = sums[owner[i]];
            sum[0] += bin.weight * bin.colour.lightness();
            sum[1] += bin.weight * bin.colour.a();
            sum[2] += bin.weight * bin.colour.b();
            sum[3] += bin.weight;
        }
        List<Oklab> means = new ArrayList<>();
        for (int i = 0; i < sums.length; i++) {
            double[] sum = sums[i];
            means.add(sum[3] == 0 ? centres.get(i) : new Oklab(sum[0] / sum[3], sum[1] / sum[3], sum[2] / sum[3]));
        }
        return means;
    }

    /** Folds centres that came to lie beside each other. */
    private static List<Oklab> folded(List<Bin> bins, List<Oklab> centres, int[] owner) {
        List<Oklab> kept = new ArrayList<>();
        for (Oklab centre : centres) {
            if (kept.stream().allMatch(other -> other.distanceTo(centre) >= SAME)) {
                kept.add(centre);
            }
        }
        assign(bins, kept, owner);
        return kept;
    }

    private static List<Found> found(List<Bin> bins, List<Oklab> centres, int[] owner, int width) {
        long all = bins.stream().mapToLong(bin -> bin.pixels).sum();
        List<Found> found = new ArrayList<>();
        for (int centre = 0; centre < centres.size(); centre++) {
            long pixels = 0;
            Bin best = null;
            for (int i = 0; i < owner.length; i++) {
                if (owner[i] == centre) {
                    Bin bin = bins.get(i);
                    pixels += bin.pixels;
                    best = best == null || away(bin, centres, centre) < away(best, centres, centre) ? bin : best;
                }
            }
            if (best != null) {
                found.add(new Found(
                        Gamut.show(best.colour).colour(),
                        best.firstIndex % width,
                        best.firstIndex / width,
                        pixels / (double) all));
            }
        }
        found.sort(Comparator.comparingDouble((Found each) -> -each.share()));
        return Collections.unmodifiableList(found);
    }

    private static double away(Bin bin, List<Oklab> centres, int centre) {
        return bin.colour.distanceTo(centres.get(centre));
    }

    private static boolean isOpaque(int pixel) {
        return pixel >>> 24 >= OPAQUE;
    }
}
