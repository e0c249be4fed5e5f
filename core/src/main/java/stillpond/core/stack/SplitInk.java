package stillpond.core.stack;

import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import stillpond.core.cell.CellPlane;
import stillpond.core.ink.InkPlane;
import stillpond.core.ink.Picture;
import stillpond.core.refusal.Refusal;
import stillpond.core.stroke.Stroke;
import stillpond.core.stroke.StrokeMap;

/**
 * The ink of a layer in two: what goes with some of its cells onto a layer of its own, and what stays. A stroke goes whole, also one that parts a cell that goes from one that stays.
 *
 * @param going as a picture of black ink on clear paper, its opacity being the density
 * @param staying likewise
 */
public record SplitInk(Picture going, Picture staying) {

    /** A stroke goes if so much of its edge borders what goes. An outline borders it with nearly half. */
    private static final double LEAST_SHARE = 0.25;

    private static final int NOT_COUNTED = -1;

    /**
     * @param going the cells
     * @param strokes of the layer; none if its ink is not cut into strokes: then each pixel of ink goes with its cell
     * @throws Refusal if all of the ink would go, or none
     */
    public static SplitInk of(
            InkPlane ink, CellPlane cells, Collection<Integer> going, StrokeMap map, List<Stroke> strokes) {
        Set<Integer> cellsGoing = new HashSet<>(going);
        boolean[] strokeGoes = new boolean[strokes.size()];
        for (Stroke stroke : strokes) {
            double share = stroke.sides().stream()
                    .filter(side -> cellsGoing.contains(side.cell()))
                    .mapToDouble(Stroke.Side::share)
                    .sum();
            strokeGoes[stroke.number()] = share >= LEAST_SHARE;
        }
        int[] gone = new int[ink.density().length];
        int[] stays = new int[gone.length];
        int inkGoing = 0;
        int inkStaying = 0;
        for (int y = 0, i = 0; y < ink.heightPx(); y++) {
            for (int x = 0; x < ink.widthPx(); x++, i++) {
                int density = ink.density()[i] & 0xff;
                if (density == 0) {
                    continue;
                }
                int stroke = strokeGoes.length == 0 ? NOT_COUNTED : map.strokeAt(x, y);
                boolean goes = stroke >= 0 ? strokeGoes[stroke] : cellsGoing.contains(cells.numbers()[i]);
                (goes ? gone : stays)[i] = density << 24;
                if (density >= ink.threshold()) {
                    inkGoing += goes ? 1 : 0;
                    inkStaying += goes ? 0 : 1;
                }
            }
        }
        if (inkGoing == 0) {
            throw new Refusal("No ink belongs to what is gathered, so it makes no layer of its own.");
        }
        if (inkStaying == 0) {
            throw new Refusal(
                    "All ink of this layer belongs to what is gathered: nothing would stay. Nothing was changed.");
        }
        return new SplitInk(
                new Picture(ink.widthPx(), ink.heightPx(), gone), new Picture(ink.widthPx(), ink.heightPx(), stays));
    }
}
