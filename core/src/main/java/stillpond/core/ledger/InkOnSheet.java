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

    /** @param besides the swatches of the cells that the ink lies on */
    record Worn(PartsOnSheet.Place place, Set<UUID> besides) {}

    /** Where each swatch is on ink. @param cells of the same size @param fills of cells and strokes */
    Map<UUID, Worn> bySwatch(CellPlane cells, Fills fills) {
        Map<UUID, RunSurvey> runs = new HashMap<>();
        Map<UUID, Set<UUID>> besides = new HashMap<>();
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
                    runs.computeIfAbsent(swatch, any -> new RunSurvey()).addRun(from, x, y);
                    Set<UUID> beside = besides.computeIfAbsent(swatch, any -> new HashSet<>());
                    for (int at = from; at < x; at++) {
                        beside.addAll(fills.of(cells.numberAt(at, y)).swatches());
                    }
                }
            }
        }
        Map<UUID, Worn> found = new HashMap<>();
        runs.forEach((swatch, survey) ->
                found.put(swatch, new Worn(survey.place(cells.numberAt(survey.x(), survey.y())), besides.get(swatch))));
        return found;
    }

    private Fill wornAt(int pixel, Fills fills) {
        int stroke = strokes.numbers()[pixel];
        boolean isInk = (ink.density()[pixel] & 0xff) >= LEAST_DENSITY;
        return isInk && stroke >= 0 ? fills.of(Places.ofStroke(stroke)) : Fill.NONE;
    }
}
