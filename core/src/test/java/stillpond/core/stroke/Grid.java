package stillpond.core.stroke;

import java.util.List;
import java.util.function.BiPredicate;
import stillpond.core.cell.CellPlane;
import stillpond.core.ink.InkPlane;

/** Pages of black and white, 60 x 60 pixels, made by hand. */
final class Grid {

    static final int SIDE = 60;

    private Grid() {}

    /** @param isInk asked with x and y */
    static InkPlane of(BiPredicate<Integer, Integer> isInk) {
        byte[] density = new byte[SIDE * SIDE];
        for (int i = 0; i < density.length; i++) {
            density[i] = (byte) (isInk.test(i % SIDE, i / SIDE) ? 255 : 0);
        }
        return new InkPlane(SIDE, SIDE, density, 128);
    }

    static boolean isWithin(int at, int start, int end) {
        return at >= start && at < end;
    }

    static int at(StrokeMap map, int x, int y) {
        return map.strokeAt(x, y);
    }

    /** The strokes of a page that is a single cell. */
    static List<Stroke> strokes(InkPlane ink) {
        return Strokes.of(StrokeMap.of(ink), ink, new CellPlane(SIDE, SIDE, new int[SIDE * SIDE]));
    }
}
