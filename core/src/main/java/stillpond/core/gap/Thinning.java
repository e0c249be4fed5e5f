package stillpond.core.gap;

/**
 * Thins ink to lines one pixel wide that keep its connections and ends.
 *
 * <p>T. Y. Zhang and C. Y. Suen, "A fast parallel algorithm for thinning digital patterns", Communications of the ACM 27, 1984. Only pixels that are still ink are
 * looked at in each pass.
 */
final class Thinning {

    private final int stride;
    private final byte[] on;

    private Thinning(int width, int height) {
        stride = width + 2;
        on = new byte[stride * (height + 2)];
    }

    /** What is left of the ink, as a new array. */
    static boolean[] thin(boolean[] ink, int width, int height) {
        Thinning thinning = new Thinning(width, height);
        int[] pixels = thinning.load(ink, width, height);
        int count = pixels.length;
        int before;
        do {
            before = count;
            count = thinning.pass(pixels, count, true);
            count = thinning.pass(pixels, count, false);
        } while (count < before);
        boolean[] thin = new boolean[ink.length];
        for (int i = 0; i < count; i++) {
            thin[(pixels[i] / thinning.stride - 1) * width + pixels[i] % thinning.stride - 1] = true;
        }
        return thin;
    }

    /** Pixels are kept with a margin of paper around the page, which saves asking for its edges. */
    private int[] load(boolean[] ink, int width, int height) {
        int count = 0;
        for (boolean each : ink) {
            count += each ? 1 : 0;
        }
        int[] pixels = new int[count];
        int at = 0;
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < width; x++) {
                if (ink[y * width + x]) {
                    int pixel = (y + 1) * stride + x + 1;
                    on[pixel] = 1;
                    pixels[at++] = pixel;
                }
            }
        }
        return pixels;
    }

    /** Takes away what this half-pass may; both halves look at the picture as it was before them. */
    private int pass(int[] pixels, int count, boolean first) {
        int[] gone = new int[count];
        int goneCount = 0;
        int kept = 0;
        for (int i = 0; i < count; i++) {
            if (mayGo(pixels[i], first)) {
                gone[goneCount++] = pixels[i];
            } else {
                pixels[kept++] = pixels[i];
            }
        }
        for (int i = 0; i < goneCount; i++) {
            on[gone[i]] = 0;
        }
        return kept;
    }

    private boolean mayGo(int p, boolean first) {
        int north = on[p - stride];
        int northEast = on[p - stride + 1];
        int east = on[p + 1];
        int southEast = on[p + stride + 1];
        int south = on[p + stride];
        int southWest = on[p + stride - 1];
        int west = on[p - 1];
        int northWest = on[p - stride - 1];
        int neighbours = north + northEast + east + southEast + south + southWest + west + northWest;
        if (neighbours < 2 || neighbours > 6) {
            return false;
        }
        boolean open = first
                ? north * east * south == 0 && east * south * west == 0
                : north * east * west == 0 && north * south * west == 0;
        return open
                && rise(north, northEast)
                                + rise(northEast, east)
                                + rise(east, southEast)
                                + rise(southEast, south)
                                + rise(south, southWest)
                                + rise(southWest, west)
                                + rise(west, northWest)
                                + rise(northWest, north)
                        == 1;
    }

    private static int rise(int from, int to) {
        return from < to ? 1 : 0;
    }
}
