package stillpond.core.ledger;

import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import stillpond.core.cell.CellPlane;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.fill.Places;
import stillpond.core.ink.InkPlane;

/**
 * The ink of a sheet, small, for whoever asks where on it a swatch is worn.
 *
 * @param strokes the stroke of each pixel
 * @param ink of the same size
 */
public record InkOnSheet(CellPlane strokes, InkPlane ink) {

    /** In a small picture a stroke is hardly as wide as a pixel: so much of one, of 255, is some. */
    private static final int LEAST_DENSITY = 64;

    /** Where one swatch is on ink, as it is found run by run. */
    static final class Worn {
        private final Set<UUID> besides = new HashSet<>();
        private int cell;
        private int pixels;
        private int longestRun;
        private int x;
        private int y;
        private int xStart = Integer.MAX_VALUE;
        private int xEnd;
        private int yStart;
        private int yEnd;

        private void addRun(CellPlane cells, int from, int endExclusive, int row) {
            yStart = pixels == 0 ? row : yStart;
            yEnd = row + 1;
            xStart = Math.min(xStart, from);
            xEnd = Math.max(xEnd, endExclusive);
            pixels += endExclusive - from;
            if (endExclusive - from > longestRun) {
                longestRun = endExclusive - from;
                x = from + longestRun / 2;
                y = row;
                cell = cells.numberAt(x, y);
            }
        }

        PartsOnSheet.Place place() {
            return new PartsOnSheet.Place(cell, x, y, xStart, yStart, xEnd - xStart, yEnd - yStart, pixels);
        }

        /** The swatches of the cells that the ink lies on. */
        Set<UUID> besides() {
            return besides;
        }
    }

    /** Where each swatch is on ink. @param cells of the same size @param fills of cells and strokes */
    Map<UUID, Worn> bySwatch(CellPlane cells, Fills fills) {
        Map<UUID, Worn> found = new HashMap<>();
        int width = strokes.widthPx();
        for (int y = 0; y < strokes.heightPx(); y++) {
            int x = 0;
            while (x < width) {
                Fill fill = wornAt(y * width + x, fills);
                int from = x++;
                while (x < width && wornAt(y * width + x, fills).equals(fill)) {
                    x++;
                }
                for (UUID swatch : fill.swatches()) {
                    Worn worn = found.computeIfAbsent(swatch, any -> new Worn());
                    worn.addRun(cells, from, x, y);
                    for (int at = from; at < x; at++) {
                        worn.besides.addAll(fills.of(cells.numberAt(at, y)).swatches());
                    }
                }
            }
        }
        return found;
    }

    private Fill wornAt(int pixel, Fills fills) {
        int stroke = strokes.numbers()[pixel];
        boolean isInk = (ink.density()[pixel] & 0xff) >= LEAST_DENSITY;
        return isInk && stroke >= 0 ? fills.of(Places.ofStroke(stroke)) : Fill.NONE;
    }
}
