package stillpond.core.line;

import java.util.HashMap;
import java.util.Map;
import java.util.TreeMap;
import stillpond.core.cell.PairCounts;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.fill.MovedFills;
import stillpond.core.ink.Placing;
import stillpond.core.stroke.StrokeMap;

/** What strokes wear, brought from one drawing of a page over to another. */
public final class MovedStrokes {

    private MovedStrokes() {}

    /**
     * Gives each stroke what most of the ink in its place wore, as long as that is at least half of it.
     *
     * @param worn by the strokes of {@code old}
     * @param placing where the pixels of the fresh page lie among those of the old one
     * @return by the strokes of {@code fresh}
     */
    public static Fills move(Fills worn, StrokeMap old, StrokeMap fresh, Placing placing) {
        PairCounts overlaps = overlaps(old, fresh, placing);
        Map<Integer, Map<Fill, Long>> inks = new TreeMap<>();
        overlaps.forEach(
                (freshStroke, oldStroke, pixels) -> inks.computeIfAbsent(freshStroke, stroke -> new HashMap<>())
                        .merge(worn.of(oldStroke), pixels, Long::sum));
        Map<Integer, Fill> moved = new HashMap<>();
        inks.forEach((stroke, byFill) -> moved.put(stroke, MovedFills.mostWorn(byFill)));
        return Fills.of(moved);
    }

    /** Counted where the fresh plane has its pixels, which are few beside those of the page. Paper counts with the ink that it is nearest to: there is as much of it on both pages. */
    private static PairCounts overlaps(StrokeMap old, StrokeMap fresh, Placing placing) {
        PairCounts overlaps = new PairCounts();
        int width = fresh.plane().widthPx();
        int height = fresh.plane().heightPx();
        for (int y = 0; y < height; y++) {
            int oldY = placing.yThere((int) ((2L * y + 1) * fresh.pageHeightPx() / (2L * height)));
            for (int x = 0; x < width && oldY >= 0 && oldY < old.pageHeightPx(); x++) {
                int oldX = placing.xThere((int) ((2L * x + 1) * fresh.pageWidthPx() / (2L * width)));
                if (oldX >= 0 && oldX < old.pageWidthPx()) {
                    overlaps.add(fresh.plane().numberAt(x, y), old.strokeAt(oldX, oldY), 1);
                }
            }
        }
        return overlaps;
    }
}
