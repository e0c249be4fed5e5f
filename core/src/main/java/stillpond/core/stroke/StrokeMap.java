package stillpond.core.stroke;

import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import stillpond.core.cell.DistanceField;
import stillpond.core.gap.MiddleLines;
import stillpond.core.ink.InkPlane;

/**
 * The strokes of a page. Every pixel of ink belongs to one, and every other pixel to that of the ink nearest to it, so that the soft edge of a stroke is of its colour too.
 *
 * <p>Ink is cut at the crossings of its middle lines; each pixel belongs to the line that is nearest on a way through ink, so that no line takes the edge of a wider one beside it. The
 * same ink always gives the same map.
 *
 * @param numbers the stroke of each pixel, row by row; {@link #NONE} everywhere if there is no ink
 * @param strokes by number, which follow their first pixel of ink in reading order
 * @param isLimited whether there were more lines than are told apart, as in noise: then the shortest belong to those that touch them, or to none
 */
public record StrokeMap(int widthPx, int heightPx, int[] numbers, List<Stroke> strokes, boolean isLimited) {

    /** No stroke. */
    public static final int NONE = -1;

    /** More lines than any drawing has; bounds what has to be kept. */
    private static final int MOST = 65_535;

    public StrokeMap {
        strokes = List.copyOf(strokes);
    }

    /**
     * Cuts ink into strokes.
     *
     * <p>Cost: that of thinning the page as closures are searched on it, of 9 megapixels at the most, and linear in the pixels of the page.
     */
    public static StrokeMap of(InkPlane ink) {
        return of(ink, MOST);
    }

    static StrokeMap of(InkPlane ink, int most) {
        MiddleLines lines = MiddleLines.of(ink);
        int[] kept = LongestLines.of(lines, most);
        int[] search = InkFlood.from(lines, kept);
        int[] numbers = onPage(ink, lines, search);
        StrokeMeasures measures = new StrokeMeasures(ink, numbers, lines.count());
        int[] order = measures.order();
        Arrays.parallelSetAll(numbers, i -> numbers[i] < 0 ? NONE : order[numbers[i]]);
        return new StrokeMap(ink.widthPx(), ink.heightPx(), numbers, measures.strokes(), lines.count() > most);
    }

    /** Looks every pixel of the page up where the lines were found, at the nearest ink that has one. */
    private static int[] onPage(InkPlane ink, MiddleLines lines, int[] search) {
        int width = ink.widthPx();
        DistanceField nearest = DistanceField.to(lines.widthPx(), lines.heightPx(), i -> search[i] >= 0);
        int[] numbers = new int[width * ink.heightPx()];
        IntStream.range(0, ink.heightPx()).parallel().forEach(y -> {
            int row = (int) ((y + 0.5) * lines.heightPx() / ink.heightPx()) * lines.widthPx();
            for (int x = 0; x < width; x++) {
                int site = nearest.nearest(row + (int) ((x + 0.5) * lines.widthPx() / width));
                numbers[y * width + x] = site < 0 ? NONE : search[site];
            }
        });
        return numbers;
    }
}
