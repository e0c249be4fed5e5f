package stillpond.browser;

import java.util.ArrayList;
import java.util.List;
import org.teavm.jso.JSExport;
import stillpond.core.cell.Border;
import stillpond.core.cell.Box;
import stillpond.core.cell.Cell;
import stillpond.core.cell.CellGraph;
import stillpond.core.gap.Opening;
import stillpond.core.gap.OpeningList;
import stillpond.core.gap.Point;

/** The cells of a layer, who borders whom, and the openings between them. */
public final class Layer {

    private static final int NUMBERS_OF_CELL = 7;
    private static final int NUMBERS_OF_BORDER = 3;

    private final CellGraph graph;
    private OpeningList openings = new OpeningList(List.of(), 1);

    /**
     * @param cells for each its area, the box around it (x, y, width, height), and its deepest point
     * @param depths of those points, in pixels
     * @param borders for each the two cells and its length
     */
    @JSExport
    public Layer(int widthPx, int heightPx, int[] cells, double[] depths, int[] borders) {
        List<Cell> all = new ArrayList<>(depths.length);
        for (int cell = 0; cell < depths.length; cell++) {
            int at = NUMBERS_OF_CELL * cell;
            int x = cells[at + 1];
            int y = cells[at + 2];
            Box box = new Box(x, y, x + cells[at + 3], y + cells[at + 4]);
            all.add(new Cell(cell, cells[at], box, cells[at + 5], cells[at + 6], depths[cell]));
        }
        List<Border> between = new ArrayList<>(borders.length / NUMBERS_OF_BORDER);
        for (int at = 0; at < borders.length; at += NUMBERS_OF_BORDER) {
            between.add(new Border(borders[at], borders[at + 1], borders[at + 2]));
        }
        this.graph = new CellGraph(widthPx, heightPx, all, between);
    }

    /**
     * Says where cells meet with no ink between.
     *
     * @param between for each opening its two cells
     * @param sizes for each its width in pixels, and its strength
     * @param points how many points the line of each has
     * @param lines the points of all lines, one after the other
     */
    @JSExport
    public void openAt(double strokePx, int[] between, double[] sizes, int[] points, double[] lines) {
        List<Opening> all = new ArrayList<>(points.length);
        int next = 0;
        for (int i = 0; i < points.length; i++) {
            List<Point> line = points(lines, next, points[i]);
            next += 2 * points[i];
            all.add(new Opening(
                    between[2 * i],
                    between[2 * i + 1],
                    Opening.Kind.ENDS,
                    line,
                    sizes[2 * i],
                    sizes[2 * i] / strokePx,
                    sizes[2 * i + 1]));
        }
        this.openings = new OpeningList(all, strokePx);
    }

    /** Half way along the line of an opening: x, then y. @param line its points: x, then y */
    @JSExport
    public static double[] middleOf(double[] line) {
        Point middle = Opening.middle(points(line, 0, line.length / 2));
        return new double[] {middle.x(), middle.y()};
    }

    static List<Point> points(double[] numbers, int start, int count) {
        List<Point> points = new ArrayList<>(count);
        for (int i = 0; i < count; i++) {
            points.add(new Point(numbers[start + 2 * i], numbers[start + 2 * i + 1]));
        }
        return points;
    }

    CellGraph graph() {
        return graph;
    }

    OpeningList openings() {
        return openings;
    }
}
