package stillpond.core.stroke;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import stillpond.core.cell.Box;
import stillpond.core.cell.CellPlane;
import stillpond.core.ink.InkPlane;

/** Measures the strokes of a page in one pass: how much ink each has, and what lies on its two sides, by how long its edge is towards each cell. */
public final class Strokes {

    /** Where a stroke ends in a junction it also borders what lies beyond; so small a part of its edge is no side. */
    private static final double LEAST_SHARE = 0.12;

    private static final int SOLID = 255;

    private final StrokeMap map;
    private final InkPlane ink;
    private final CellPlane cells;
    private final long[] inks;
    private final int[] boxes;
    private final List<Map<Integer, Integer>> edges = new ArrayList<>();

    private Strokes(StrokeMap map, InkPlane ink, CellPlane cells) {
        this.map = map;
        this.ink = ink;
        this.cells = cells;
        this.inks = new long[map.count()];
        this.boxes = new int[4 * map.count()];
        for (int stroke = 0; stroke < map.count(); stroke++) {
            Arrays.fill(boxes, 4 * stroke, 4 * stroke + 2, Integer.MAX_VALUE);
            edges.add(new TreeMap<>());
        }
    }

    /**
     * The strokes of a page by their numbers.
     *
     * @param ink that was cut
     * @param cells of the same page
     */
    public static List<Stroke> of(StrokeMap map, InkPlane ink, CellPlane cells) {
        Strokes strokes = new Strokes(map, ink, cells);
        if (map.count() > 0) {
            strokes.measure();
        }
        List<Stroke> all = new ArrayList<>();
        for (int number = 0; number < map.count(); number++) {
            all.add(strokes.stroke(number));
        }
        return all;
    }

    private void measure() {
        int[] columns = map.columns();
        int[] rows = map.rows();
        int[] strokes = map.plane().numbers();
        byte[] density = ink.density();
        int width = ink.widthPx();
        int height = ink.heightPx();
        for (int y = 0; y < height; y++) {
            int strokeRow = rows[y] * map.plane().widthPx();
            for (int x = 0, i = y * width; x < width; x++, i++) {
                if (density[i] == 0) {
                    continue;
                }
                int stroke = strokes[strokeRow + columns[x]];
                inks[stroke] += density[i] & 0xff;
                stretch(4 * stroke, x, y);
                if (ink.isInk(i)) {
                    edge(stroke, x > 0, i - 1);
                    edge(stroke, x < width - 1, i + 1);
                    edge(stroke, y > 0, i - width);
                    edge(stroke, y < height - 1, i + width);
                }
            }
        }
    }

    private void stretch(int box, int x, int y) {
        boxes[box] = Math.min(boxes[box], x);
        boxes[box + 1] = Math.min(boxes[box + 1], y);
        boxes[box + 2] = Math.max(boxes[box + 2], x + 1);
        boxes[box + 3] = y + 1;
    }

    /** A pixel beside one of a stroke's ink is a piece of its edge if it is none itself. */
    private void edge(int stroke, boolean isOnPage, int neighbour) {
        if (isOnPage && !ink.isInk(neighbour)) {
            edges.get(stroke).merge(cells.numbers()[neighbour], 1, Integer::sum);
        }
    }

    private Stroke stroke(int number) {
        Map<Integer, Integer> towards = edges.get(number);
        double length = towards.values().stream().mapToInt(Integer::intValue).sum();
        List<Stroke.Side> sides = towards.entrySet().stream()
                .map(each -> new Stroke.Side(each.getKey(), each.getValue() / length))
                .filter(side -> side.share() >= LEAST_SHARE)
                .sorted(Comparator.comparingDouble((Stroke.Side side) -> -side.share())
                        .thenComparingInt(Stroke.Side::cell))
                .toList();
        int at = 4 * number;
        Box box = new Box(boxes[at], boxes[at + 1], boxes[at + 2], boxes[at + 3]);
        return new Stroke(number, (double) inks[number] / SOLID, box, sides);
    }
}
