package stillpond.bench.flats;

import java.util.ArrayList;
import java.util.List;
import stillpond.core.cell.DistanceField;

/**
 * The truth of a drawing as {@code docs/benchmarks.md} describes it.
 *
 * @param labels by pixel: 0 do not care, 1 outside, 2 and up a region each
 */
record Truth(int[] labels, List<Case.TruthRegion> regions) {

    private static final int OUTSIDE = 1;

    /** @param flats the flat of each pixel; negative: outside */
    static Truth of(int[] flats, boolean[] ink, int width, int height, double strokePx, double leastSupport) {
        int[] labels = new int[flats.length];
        DistanceField toBorder = DistanceField.to(width, height, i -> ink[i] || isFlatBorder(flats, i, width, height));
        List<Case.TruthRegion> regions = new ArrayList<>();
        boolean[] seen = new boolean[flats.length];
        int[] stack = new int[flats.length];
        for (int i = 0; i < flats.length; i++) {
            if (!seen[i] && !ink[i]) {
                int count = collect(i, flats, ink, seen, stack, width, height);
                Case.TruthRegion region =
                        measure(regions.size() + 2, stack, count, flats, ink, toBorder, width, height);
                boolean outside = flats[i] < 0;
                boolean sliver = region.r() < 0.8 * strokePx || region.area() < 4 * strokePx * strokePx;
                boolean kept = !outside && !sliver && region.support() >= leastSupport;
                for (int k = 0; k < count; k++) {
                    labels[stack[k]] = outside ? OUTSIDE : kept ? region.id() : 0;
                }
                if (kept) {
                    regions.add(region);
                }
            }
        }
        return new Truth(labels, regions);
    }

    private static boolean isFlatBorder(int[] flats, int i, int width, int height) {
        int x = i % width;
        int y = i / width;
        return x > 0 && flats[i - 1] != flats[i]
                || y > 0 && flats[i - width] != flats[i]
                || x < width - 1 && flats[i + 1] != flats[i]
                || y < height - 1 && flats[i + width] != flats[i];
    }

    private static int collect(
            int first, int[] flats, boolean[] ink, boolean[] seen, int[] stack, int width, int height) {
        int count = 0;
        stack[count++] = first;
        seen[first] = true;
        for (int next = 0; next < count; next++) {
            for (int side = 0; side < 4; side++) {
                int beside = beside(stack[next], side, width, height);
                if (beside >= 0 && !seen[beside] && !ink[beside] && flats[beside] == flats[first]) {
                    seen[beside] = true;
                    stack[count++] = beside;
                }
            }
        }
        return count;
    }

    private static Case.TruthRegion measure(
            int id,
            int[] pixels,
            int count,
            int[] flats,
            boolean[] ink,
            DistanceField toBorder,
            int width,
            int height) {
        int backed = 0;
        int edges = 0;
        int deepest = pixels[0];
        for (int k = 0; k < count; k++) {
            int i = pixels[k];
            deepest = toBorder.distancePx(i) > toBorder.distancePx(deepest) ? i : deepest;
            for (int side = 0; side < 4; side++) {
                int beside = beside(i, side, width, height);
                if (beside < 0 || ink[beside]) {
                    backed++;
                    edges++;
                } else if (flats[beside] != flats[i]) {
                    edges++;
                }
            }
        }
        return new Case.TruthRegion(
                id,
                count,
                edges == 0 ? 1 : backed / (double) edges,
                deepest % width,
                deepest / width,
                toBorder.distancePx(deepest));
    }

    private static int beside(int i, int side, int width, int height) {
        int x = i % width + (side == 0 ? 1 : side == 1 ? -1 : 0);
        int y = i / width + (side == 2 ? 1 : side == 3 ? -1 : 0);
        return x < 0 || y < 0 || x >= width || y >= height ? -1 : y * width + x;
    }
}
