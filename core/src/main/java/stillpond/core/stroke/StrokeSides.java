package stillpond.core.stroke;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import stillpond.core.cell.CellPlane;
import stillpond.core.ink.InkPlane;

/**
 * What lies on the two sides of each stroke: the cells whose paper is nearest to its ink, which meet in the middle of the stroke.
 *
 * @param ofStrokes by stroke; of each what lies beside it, the most of it first
 */
public record StrokeSides(List<List<Side>> ofStrokes) {

    /** Where a stroke ends in a junction its ink is also nearest to what lies beyond; so small a part is no side. */
    private static final double LEAST_SHARE = 0.12;

    /**
     * @param cell one that lies beside the stroke
     * @param share of the stroke's ink that is nearest to it, 0 to 1
     */
    public record Side(int cell, double share) {}

    public StrokeSides {
        ofStrokes = List.copyOf(ofStrokes);
    }

    /** @param cells of the same page */
    public static StrokeSides of(StrokeMap map, InkPlane ink, CellPlane cells) {
        List<Map<Integer, Integer>> counts = new ArrayList<>();
        map.strokes().forEach(stroke -> counts.add(new TreeMap<>()));
        int[] strokes = map.numbers();
        int[] beside = cells.numbers();
        int start = 0;
        while (start < strokes.length) {
            // Pixels of one stroke beside one cell come in runs: counting these is quicker than counting pixels.
            int end = start + 1;
            if (strokes[start] >= 0 && ink.isInk(start)) {
                while (end < strokes.length
                        && strokes[end] == strokes[start]
                        && beside[end] == beside[start]
                        && ink.isInk(end)) {
                    end++;
                }
                counts.get(strokes[start]).merge(beside[start], end - start, Integer::sum);
            }
            start = end;
        }
        return new StrokeSides(map.strokes().stream()
                .map(stroke -> sides(stroke, counts.get(stroke.number())))
                .toList());
    }

    private static List<Side> sides(Stroke stroke, Map<Integer, Integer> inkByCell) {
        return inkByCell.entrySet().stream()
                .map(each -> new Side(each.getKey(), (double) each.getValue() / stroke.inkPx()))
                .filter(side -> side.share() >= LEAST_SHARE)
                .sorted(Comparator.comparingDouble((Side side) -> -side.share()).thenComparingInt(Side::cell))
                .toList();
    }
}
