package stillpond.core.plate;

import java.util.stream.IntStream;
import stillpond.core.ink.Picture;

/** Where on a page there is more ink than some limit. */
public final class HeavyInk {

    private static final int FULL = 255;
    private static final int BLACK = 0xff000000;

    private HeavyInk() {}

    /** Black where any of the pixels that become one has more, clear elsewhere: what is thin is seen all the same. @param longSidePx of the picture, at the most */
    public static Picture of(Plates plates, int mostPercent, int longSidePx) {
        int longer = Math.max(plates.widthPx(), plates.heightPx());
        int factor = Math.max(1, (longer + longSidePx - 1) / longSidePx);
        int width = (plates.widthPx() + factor - 1) / factor;
        int height = (plates.heightPx() + factor - 1) / factor;
        int[] argb = new int[width * height];
        int most = mostPercent * FULL / 100;
        IntStream.range(0, height).parallel().forEach(row -> {
            int end = Math.min(plates.heightPx(), (row + 1) * factor);
            for (int y = row * factor; y < end; y++) {
                for (int x = 0; x < plates.widthPx(); x++) {
                    if (ink(plates, y * plates.widthPx() + x) > most) {
                        argb[row * width + x / factor] = BLACK;
                    }
                }
            }
        });
        return new Picture(width, height, argb);
    }

    private static int ink(Plates plates, int pixel) {
        int sum = 0;
        for (Plate plate : plates.plates()) {
            sum += plate.coverage()[pixel] & FULL;
        }
        return sum;
    }
}
