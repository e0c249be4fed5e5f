package stillpond.core.ink;

import java.util.Arrays;
import java.util.BitSet;

/** Takes spots of ink that are too small to be drawn out of a plane of densities. */
final class Specks {

    private final int width;
    private final int height;
    private final byte[] density;
    private final int threshold;
    private final BitSet seen;
    private int[] spot = new int[1024];
    private int size;

    private Specks(int width, int height, byte[] density, int threshold) {
        this.width = width;
        this.height = height;
        this.density = density;
        this.threshold = threshold;
        this.seen = new BitSet(density.length);
    }

    /** Makes paper of every 8-connected spot of fewer than {@code leastPx} pixels, in place. */
    static void takeOut(int width, int height, byte[] density, int threshold, int leastPx) {
        if (leastPx <= 1) {
            return;
        }
        Specks specks = new Specks(width, height, density, threshold);
        for (int i = 0; i < density.length; i++) {
            if (specks.isNewInk(i)) {
                specks.collect(i);
                if (specks.size < leastPx) {
                    specks.clear();
                }
            }
        }
    }

    private boolean isNewInk(int i) {
        return (density[i] & 0xff) >= threshold && !seen.get(i);
    }

    private void collect(int first) {
        size = 0;
        take(first);
        for (int next = 0; next < size; next++) {
            int x = spot[next] % width;
            int y = spot[next] / width;
            for (int ny = Math.max(0, y - 1); ny <= Math.min(height - 1, y + 1); ny++) {
                for (int nx = Math.max(0, x - 1); nx <= Math.min(width - 1, x + 1); nx++) {
                    if (isNewInk(ny * width + nx)) {
                        take(ny * width + nx);
                    }
                }
            }
        }
    }

    private void take(int i) {
        seen.set(i);
        if (size == spot.length) {
            spot = Arrays.copyOf(spot, size * 2);
        }
        spot[size++] = i;
    }

    private void clear() {
        for (int i = 0; i < size; i++) {
            density[spot[i]] = 0;
        }
    }
}
