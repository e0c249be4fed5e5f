package stillpond.core.stroke;

import java.util.Arrays;
import stillpond.core.ink.InkPlane;

/** How dense the ink of each stroke is where it is solid: what nine tenths of its pixels do not exceed, so that the end of a darker stroke across it does not count. */
final class SolidInk {

    private static final double SHARE = 0.9;

    /** Densities are counted in steps of so many. */
    private static final int STEP = 3;

    private static final int STEPS = 255 / STEP + 1;

    private SolidInk() {}

    /** By stroke, 1 to 255; 255 for one whose ink is all faint. */
    static int[] of(StrokeMap map, InkPlane ink) {
        int[] counts = new int[map.count() * STEPS];
        int[] columns = map.columns();
        int[] rows = map.rows();
        int[] strokes = map.plane().numbers();
        byte[] density = ink.density();
        for (int y = 0; y < ink.heightPx() && map.count() > 0; y++) {
            int strokeRow = rows[y] * map.plane().widthPx();
            for (int x = 0, i = y * ink.widthPx(); x < ink.widthPx(); x++, i++) {
                if (ink.isInk(i)) {
                    counts[strokes[strokeRow + columns[x]] * STEPS + (density[i] & 0xff) / STEP]++;
                }
            }
        }
        int[] solids = new int[map.count()];
        Arrays.setAll(solids, stroke -> solid(Arrays.copyOfRange(counts, stroke * STEPS, (stroke + 1) * STEPS)));
        return solids;
    }

    private static int solid(int[] counts) {
        int all = Arrays.stream(counts).sum();
        int below = 0;
        for (int step = 0; step < STEPS; step++) {
            below += counts[step];
            if (all > 0 && below >= SHARE * all) {
                return Math.max(1, step * STEP);
            }
        }
        return 255;
    }
}
