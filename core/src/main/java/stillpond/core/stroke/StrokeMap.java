package stillpond.core.stroke;

import java.util.Arrays;
import java.util.function.IntUnaryOperator;
import java.util.stream.IntStream;
import stillpond.core.cell.CellPlane;
import stillpond.core.cell.DistanceField;
import stillpond.core.gap.MiddleLines;
import stillpond.core.gap.ThinnedInk;
import stillpond.core.ink.InkPlane;

/**
 * The strokes of a page: every pixel of ink belongs to one, and every other pixel to that of the ink nearest to it, so that the soft edge of a stroke is of its colour too.
 *
 * <p>Ink is cut at the crossings of its middle lines; each pixel belongs to the line that is nearest on a way through ink, so that no line takes the edge of a wider one beside it. The
 * same ink always gives the same map.
 *
 * @param pageWidthPx of the page, as {@code pageHeightPx}
 * @param plane the stroke of each pixel of the page as closures are searched on it, from 0 in the order in which they are read; {@link #NONE} everywhere if there is no ink
 * @param solids by stroke: how dense its ink is where it is solid, 1 to 255; less than 255 if it was drawn in a colour or in pencil
 */
public record StrokeMap(int pageWidthPx, int pageHeightPx, CellPlane plane, int[] solids) {

    /** No stroke. */
    public static final int NONE = -1;

    /** More lines than any drawing has; bounds what has to be kept, and lets a number be two bytes. Where there are more, as in noise, the shortest belong to those that touch them, or to the nearest. */
    public static final int MOST = 65_535;

    /** Cuts ink into strokes. Cost: linear in the pixels of the page as closures are searched on it, which are 9 million at the most. */
    public static StrokeMap of(InkPlane ink) {
        return of(ink, ThinnedInk.of(ink));
    }

    /** @param thinned the same ink */
    public static StrokeMap of(InkPlane ink, ThinnedInk thinned) {
        return of(ink, thinned, MOST);
    }

    static StrokeMap of(InkPlane ink, ThinnedInk thinned, int most) {
        MiddleLines lines = MiddleLines.of(thinned);
        int[] kept = LongestLines.of(lines, most);
        int[] flooded = InkFlood.from(lines, kept);
        int width = lines.widthPx();
        int height = lines.heightPx();
        IntUnaryOperator nearest = nearest(lines, flooded);
        int[] numbers = new int[flooded.length];
        IntStream.range(0, height).parallel().forEach(y -> {
            for (int i = y * width; i < (y + 1) * width; i++) {
                int site = nearest.applyAsInt(i);
                numbers[i] = site < 0 ? NONE : flooded[site];
            }
        });
        CellPlane plane = new CellPlane(width, height, numbers);
        int count = Math.min(most, lines.count());
        return new StrokeMap(
                ink.widthPx(),
                ink.heightPx(),
                plane,
                SolidInk.of(new StrokeMap(ink.widthPx(), ink.heightPx(), plane, new int[count]), ink));
    }

    /** The pixel nearest to each that is of a stroke: the nearest one of ink, unless some ink belongs to no line. */
    private static IntUnaryOperator nearest(MiddleLines lines, int[] flooded) {
        boolean isAllInkOfAStroke =
                IntStream.range(0, flooded.length).parallel().allMatch(i -> !lines.ink()[i] || flooded[i] >= 0);
        return isAllInkOfAStroke
                ? lines.nearestInk()
                : DistanceField.to(lines.widthPx(), lines.heightPx(), i -> flooded[i] >= 0)::nearest;
    }

    /** How many strokes there are. */
    public int count() {
        return solids.length;
    }

    /** The stroke of a pixel of the page. */
    public int strokeAt(int x, int y) {
        return plane.numberAt(at(x, plane.widthPx(), pageWidthPx), at(y, plane.heightPx(), pageHeightPx));
    }

    /** How much of a pixel ink covers that wears a swatch, 0 to 255: where it is solid all of it, however pale it was drawn. @param density of the ink there, 0 to 255 @param solid of its stroke */
    public static int coverage(int density, int solid) {
        return Math.min(255, density * 255 / solid);
    }

    /** The column of the plane that each column of the page lies in. */
    public int[] columns() {
        return places(plane.widthPx(), pageWidthPx);
    }

    /** The row of the plane that each row of the page lies in. */
    public int[] rows() {
        return places(plane.heightPx(), pageHeightPx);
    }

    private static int[] places(int there, int here) {
        int[] places = new int[here];
        Arrays.setAll(places, i -> at(i, there, here));
        return places;
    }

    /** Where the middle of a pixel lies. */
    private static int at(int pixel, int there, int here) {
        return (int) ((2L * pixel + 1) * there / (2L * here));
    }
}
