package stillpond.core.gap;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.IntStream;
import stillpond.core.cell.Border;
import stillpond.core.cell.CellGraph;

/**
 * Tells the figures of a page from what lies outside. Outside is every region that reaches the edge of the page, through reach and dams as they are; a figure is what hangs
 * together of the rest, so figures that touch only across the outside are told apart.
 */
public final class Figures {

    private final CellGraph graph;
    private final Regions regions;
    private final BitSet outside;

    private Figures(CellGraph graph, Regions regions) {
        this.graph = graph;
        this.regions = regions;
        this.outside = outside(graph, regions);
    }

    /** A hole shares at least so much of its border with regions thinner than itself. */
    private static final double THIN_AROUND = 0.5;

    /** The largest figure first. */
    public static List<Figure> of(CellGraph graph, Regions regions) {
        return new Figures(graph, regions).find();
    }

    private List<Figure> find() {
        DisjointSets figures = new DisjointSets(graph.count());
        for (Border border : graph.borders()) {
            boolean bothInside = !outside.get(regions.of(border.first())) && !outside.get(regions.of(border.second()));
            if (bothInside) {
                figures.join(border.first(), border.second());
            }
        }
        Map<Integer, List<Integer>> cells = new TreeMap<>();
        for (int cell = 0; cell < graph.count(); cell++) {
            if (!outside.get(regions.of(cell))) {
                cells.computeIfAbsent(figures.find(cell), any -> new ArrayList<>())
                        .add(cell);
            }
        }
        List<List<Integer>> holes = holes();
        return cells.values().stream()
                .sorted(Comparator.comparingLong((List<Integer> figure) -> -area(graph, figure)))
                .map(figure -> new Figure(
                        figure,
                        holes.stream()
                                .filter(hole -> figure.contains(hole.get(0)))
                                .toList()))
                .toList();
    }

    /**
     * A hole does not touch the outside, all that it touches does, and most of that is thinner than the hole: a handle, a bent arm, a strap. An eye lies in a
     * face, which is not thinner.
     */
    private List<List<Integer>> holes() {
        BitSet besideOutside = new BitSet();
        Map<Integer, Map<Integer, Integer>> borders = new TreeMap<>();
        for (Border border : graph.borders()) {
            int a = regions.of(border.first());
            int b = regions.of(border.second());
            if (a != b) {
                borders.computeIfAbsent(a, any -> new TreeMap<>()).merge(b, border.lengthPx(), Integer::sum);
                borders.computeIfAbsent(b, any -> new TreeMap<>()).merge(a, border.lengthPx(), Integer::sum);
                if (outside.get(a) != outside.get(b)) {
                    besideOutside.set(outside.get(a) ? b : a);
                }
            }
        }
        Map<Integer, Double> depth = new TreeMap<>();
        graph.cells().forEach(cell -> depth.merge(regions.of(cell.number()), cell.depthPx(), Math::max));
        List<List<Integer>> holes = new ArrayList<>();
        borders.forEach((region, beside) -> {
            boolean isInner = !outside.get(region)
                    && !besideOutside.get(region)
                    && beside.keySet().stream().allMatch(besideOutside::get);
            long all = beside.values().stream().mapToLong(length -> length).sum();
            long thin = beside.entrySet().stream()
                    .filter(each -> depth.get(each.getKey()) < depth.get(region))
                    .mapToLong(Map.Entry::getValue)
                    .sum();
            if (isInner && thin >= THIN_AROUND * all) {
                holes.add(cellsOf(region));
            }
        });
        return holes;
    }

    private List<Integer> cellsOf(int region) {
        return IntStream.range(0, graph.count())
                .filter(cell -> regions.of(cell) == region)
                .boxed()
                .toList();
    }

    /** The regions that reach the edge of the page. */
    private static BitSet outside(CellGraph graph, Regions regions) {
        BitSet outside = new BitSet();
        for (int cell = 0; cell < graph.count(); cell++) {
            if (graph.reachesEdge(cell)) {
                outside.set(regions.of(cell));
            }
        }
        return outside;
    }

    private static long area(CellGraph graph, List<Integer> figure) {
        return figure.stream()
                .mapToLong(cell -> graph.cells().get(cell).areaPx())
                .sum();
    }
}
