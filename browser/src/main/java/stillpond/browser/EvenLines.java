package stillpond.browser;

import java.util.Iterator;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;
import org.teavm.jso.JSExport;
import stillpond.core.blockin.Even;
import stillpond.core.blockin.EvenDams;
import stillpond.core.cell.Box;
import stillpond.core.gap.Point;

/** Lines that would divide a region evenly, see {@link EvenDams}. The page looks up what cells they lie on: no array as large as the page crosses. */
public final class EvenLines {

    private List<List<Point>> lines;

    private EvenLines(List<List<Point>> lines) {
        this.lines = lines;
    }

    /**
     * @param box around the region: x, y, width, height
     * @param evenly see {@link Even#of}, as {@code parts}, {@code rows} and {@code degrees}
     * @param x of the centre, as {@code y}
     * @param step so many pixels apart are the points that are looked at
     */
    @JSExport
    public static EvenLines over(
            int[] box, String evenly, int parts, int rows, double degrees, double x, double y, double step) {
        return new EvenLines(EvenDams.along(
                new Box(box[0], box[1], box[0] + box[2], box[1] + box[3]),
                Even.of(evenly, parts, rows, degrees),
                new Point(x, y),
                step));
    }

    /** The pixel that each point lies in, counted row by row; -1 beside the sheet. */
    @JSExport
    public int[] pixels(int width, int height) {
        return lines.stream()
                .flatMap(List::stream)
                .mapToInt(at -> pixel(at, width, height))
                .toArray();
    }

    private static int pixel(Point at, int width, int height) {
        int x = (int) Math.floor(at.x());
        int y = (int) Math.floor(at.y());
        return x >= 0 && y >= 0 && x < width && y < height ? y * width + x : -1;
    }

    /**
     * Keeps what lies in the region.
     *
     * @param cellsThere the cell of each of the {@link #pixels}, below 0 beside the sheet
     * @param cells of the region
     */
    @JSExport
    public void keepInside(int[] cellsThere, int[] cells) {
        Set<Integer> region = Numbers.setOf(cells);
        Iterator<Integer> there = IntStream.of(cellsThere).iterator();
        lines = EvenDams.inside(lines, at -> region.contains(there.next()));
    }

    @JSExport
    public int count() {
        return lines.size();
    }

    /** x and y of its points, one after the other. */
    @JSExport
    public double[] line(int line) {
        return Numbers.way(lines.get(line));
    }
}
