package stillpond.core.carry;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import stillpond.core.cell.Cell;
import stillpond.core.cell.CellMap;
import stillpond.core.gap.Regions;

/**
 * A drawing as carry looks at it: its regions on a coarse grid, their shapes and who touches whom.
 *
 * <p>What lies under ink belongs to the region beside it, so that regions touch where a stroke parts them.
 */
public final class Drawing {

    /** Fine enough for a button, coarse enough for a thousand regions in a blink. */
    private static final int LONG_SIDE = 720;
    /** Stands in for the area of a cell of which nothing is seen. */
    private static final double LEAST_AREA = 1e-6;
    /** Of each region so many places are looked at when it is laid over another drawing. */
    private static final int SAMPLES = 90;

    private final int width;
    private final int height;
    private final int[] regions;
    private final List<Shape> shapes;
    private final List<Map<Integer, Integer>> neighbours;
    private final List<int[]> samples;
    private final BitSet atEdge;

    private final double pixelPx;

    private Drawing(int width, int height, double pixelPx, int[] regions, int count, double[][] inner) {
        this.pixelPx = pixelPx;
        this.width = width;
        this.height = height;
        this.regions = regions;
        this.neighbours = touching(count);
        this.samples = sampled(count);
        this.atEdge = atEdge();
        this.shapes = shapes(count, inner);
    }

    /** @param regions of the cells of the map */
    public static Drawing of(CellMap map, Regions regions) {
        int width = map.plane().widthPx();
        int height = map.plane().heightPx();
        double pixelPx = Math.max(1, Math.max(width, height) / (double) LONG_SIDE);
        int gridWidth = (int) Math.ceil(width / pixelPx);
        int gridHeight = (int) Math.ceil(height / pixelPx);
        int[] grid = new int[gridWidth * gridHeight];
        for (int y = 0; y < gridHeight; y++) {
            int fullY = Math.min(height - 1, (int) ((y + 0.5) * pixelPx));
            for (int x = 0; x < gridWidth; x++) {
                int fullX = Math.min(width - 1, (int) ((x + 0.5) * pixelPx));
                grid[y * gridWidth + x] = regions.of(map.plane().numberAt(fullX, fullY));
            }
        }
        int count = regions.count();
        double[][] inner = new double[count][];
        for (Cell cell : map.cells()) {
            int region = regions.of(cell.number());
            if (inner[region] == null || inner[region][2] < cell.depthPx()) {
                inner[region] = new double[] {cell.deepestX() / pixelPx, cell.deepestY() / pixelPx, cell.depthPx(), 0};
            }
        }
        map.cells()
                .forEach(cell -> inner[regions.of(cell.number())][3] +=
                        Math.max(LEAST_AREA, cell.areaPx() / (pixelPx * pixelPx)));
        return new Drawing(gridWidth, gridHeight, pixelPx, grid, count, inner);
    }

    /** How wide a place of the grid is, in pixels of the page. */
    double pixelPx() {
        return pixelPx;
    }

    int count() {
        return shapes.size();
    }

    Shape shape(int region) {
        return shapes.get(region);
    }

    List<Shape> shapes() {
        return shapes;
    }

    /** By neighbour, how long the border is. */
    Map<Integer, Integer> neighbours(int region) {
        return neighbours.get(region);
    }

    /** Whether it reaches the edge of the page, as what lies around a figure does. */
    public boolean reachesEdge(int region) {
        return atEdge.get(region);
    }

    /** Some places of a region, evenly spread: x and y by turns. Empty for one too small for the grid. */
    int[] samples(int region) {
        return samples.get(region);
    }

    /** The region at a place; -1 beside the page. */
    int at(double x, double y) {
        int column = (int) Math.floor(x);
        int row = (int) Math.floor(y);
        return column < 0 || row < 0 || column >= width || row >= height ? -1 : regions[row * width + column];
    }

    private List<Map<Integer, Integer>> touching(int count) {
        List<Map<Integer, Integer>> all = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            all.add(new HashMap<>());
        }
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < width; x++) {
                int here = regions[y * width + x];
                if (x + 1 < width) {
                    touch(all, here, regions[y * width + x + 1]);
                }
                if (y + 1 < height) {
                    touch(all, here, regions[(y + 1) * width + x]);
                }
            }
        }
        return all;
    }

    private BitSet atEdge() {
        BitSet atEdge = new BitSet();
        for (int x = 0; x < width; x++) {
            atEdge.set(regions[x]);
            atEdge.set(regions[(height - 1) * width + x]);
        }
        for (int y = 0; y < height; y++) {
            atEdge.set(regions[y * width]);
            atEdge.set(regions[y * width + width - 1]);
        }
        return atEdge;
    }

    private static void touch(List<Map<Integer, Integer>> all, int a, int b) {
        if (a != b) {
            all.get(a).merge(b, 1, Integer::sum);
            all.get(b).merge(a, 1, Integer::sum);
        }
    }

    private List<int[]> sampled(int count) {
        int[] areas = new int[count];
        for (int region : regions) {
            areas[region]++;
        }
        int[][] places = new int[count][];
        int[] seen = new int[count];
        int[] kept = new int[count];
        for (int i = 0; i < count; i++) {
            places[i] = new int[2 * Math.min(SAMPLES, areas[i])];
        }
        for (int i = 0; i < regions.length; i++) {
            int region = regions[i];
            long wanted = (long) kept[region] * areas[region];
            if (2 * kept[region] < places[region].length
                    && (long) seen[region] * (places[region].length / 2) >= wanted) {
                places[region][2 * kept[region]] = i % width;
                places[region][2 * kept[region] + 1] = i / width;
                kept[region]++;
            }
            seen[region]++;
        }
        return List.of(places);
    }

    private List<Shape> shapes(int count, double[][] inner) {
        Moments[] moments = new Moments[count];
        for (int i = 0; i < count; i++) {
            moments[i] = new Moments();
        }
        for (int i = 0; i < regions.length; i++) {
            moments[regions[i]].add(i % width + 0.5, i / width + 0.5);
        }
        for (int i = 0; i < regions.length; i++) {
            moments[regions[i]].addThird(i % width + 0.5, i / width + 0.5);
        }
        List<Shape> all = new ArrayList<>();
        for (int region = 0; region < count; region++) {
            double[] place = inner[region];
            Moments its = moments[region];
            boolean isCentred = its.count() > 0 && at(its.x(), its.y()) == region;
            all.add(new Shape(
                    region,
                    Math.max(place[3], 0.25),
                    isCentred ? its.x() : place[0],
                    isCentred ? its.y() : place[1],
                    its.elongation(),
                    its.angle(),
                    its.fullness(),
                    its.skewness()));
        }
        return all;
    }
}
