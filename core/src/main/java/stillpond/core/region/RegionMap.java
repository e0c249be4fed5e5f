package stillpond.core.region;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import stillpond.core.cell.Box;
import stillpond.core.cell.Cell;
import stillpond.core.cell.CellGraph;
import stillpond.core.gap.Regions;

/** The regions of a layer, as shapes that lie beside each other. */
public final class RegionMap {

    private final CellGraph graph;
    private final Regions regions;
    private final List<Region> all;

    private RegionMap(CellGraph graph, Regions regions, List<Region> all) {
        this.graph = graph;
        this.regions = regions;
        this.all = all;
    }

    /** @param regions of the same cells */
    public static RegionMap of(CellGraph graph, Regions regions) {
        int[] size = new int[regions.count()];
        for (int cell = 0; cell < graph.count(); cell++) {
            size[regions.of(cell)]++;
        }
        int[][] cells = new int[size.length][];
        for (int region = 0; region < size.length; region++) {
            cells[region] = new int[size[region]];
        }
        int[] next = new int[size.length];
        for (int cell = 0; cell < graph.count(); cell++) {
            int region = regions.of(cell);
            cells[region][next[region]++] = cell;
        }
        List<Region> all = new ArrayList<>(size.length);
        for (int region = 0; region < size.length; region++) {
            all.add(shape(graph, region, cells[region]));
        }
        return new RegionMap(graph, regions, all);
    }

    private static Region shape(CellGraph graph, int number, int[] cells) {
        long area = 0;
        Cell deepest = graph.cells().get(cells[0]);
        Box box = deepest.box();
        for (int each : cells) {
            Cell cell = graph.cells().get(each);
            area += cell.areaPx();
            box = box.with(cell.box());
            deepest = cell.depthPx() > deepest.depthPx() ? cell : deepest;
        }
        return new Region(number, cells, area, box, deepest);
    }

    public CellGraph graph() {
        return graph;
    }

    public Regions regions() {
        return regions;
    }

    /** By number. */
    public List<Region> all() {
        return all;
    }

    /** Those of which something is to be seen: shapes that lie wholly under others are not among them. */
    public List<Region> seen() {
        return all.stream().filter(region -> region.areaPx() > 0).toList();
    }

    public Region get(int region) {
        return all.get(region);
    }

    /** The region that a cell lies in. */
    public Region with(int cell) {
        return all.get(regions.of(cell));
    }

    public boolean reachesEdge(Region region) {
        return region.box().reachesEdgeOf(graph.widthPx(), graph.heightPx());
    }

    /** The regions that a region borders, over ink or not, in rising order. */
    public Set<Integer> neighbours(Region region) {
        Set<Integer> beside = new TreeSet<>();
        for (int cell : region.cells()) {
            for (int other : graph.neighbours(cell)) {
                if (regions.of(other) != region.number()) {
                    beside.add(regions.of(other));
                }
            }
        }
        return beside;
    }
}
