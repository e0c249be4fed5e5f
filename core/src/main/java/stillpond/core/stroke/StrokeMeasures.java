package stillpond.core.stroke;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import stillpond.core.cell.Box;
import stillpond.core.ink.InkPlane;

/** Measures strokes in one pass over a page, and numbers them by their first pixel of ink. A line that no pixel of ink on the page belongs to is no stroke. */
final class StrokeMeasures {

    private final int[] order;
    private final List<Stroke> strokes = new ArrayList<>();

    /** @param lines of each pixel, or below 0 */
    StrokeMeasures(InkPlane ink, int[] lines, int lineCount) {
        order = new int[lineCount];
        Arrays.fill(order, StrokeMap.NONE);
        List<int[]> boxes = new ArrayList<>();
        int[] pixels = new int[lineCount];
        for (int i = 0; i < lines.length; i++) {
            if (lines[i] < 0 || !ink.isInk(i)) {
                continue;
            }
            int x = i % ink.widthPx();
            int y = i / ink.widthPx();
            if (order[lines[i]] < 0) {
                order[lines[i]] = boxes.size();
                boxes.add(new int[] {x, y, x + 1, y + 1});
            }
            pixels[order[lines[i]]]++;
            int[] box = boxes.get(order[lines[i]]);
            box[0] = Math.min(box[0], x);
            box[2] = Math.max(box[2], x + 1);
            box[3] = y + 1;
        }
        for (int[] box : boxes) {
            strokes.add(new Stroke(strokes.size(), pixels[strokes.size()], new Box(box[0], box[1], box[2], box[3])));
        }
    }

    /** The number that each line has as a stroke. */
    int[] order() {
        return order;
    }

    List<Stroke> strokes() {
        return strokes;
    }
}
