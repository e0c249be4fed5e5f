package stillpond.core.gap;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/** What is known of each closure of a page, by itself and beside all others, as numbers of about one in size. */
final class ClosureTraits {

    /** In the order of {@link #of(int)}. */
    static final List<String> NAMES = List.of(
            "alignment",
            "ends",
            "twoEnded",
            // From an isolated mark.
            "mark",
            "incidence",
            "neck",
            "base",
            "ahead",
            // How bluntly its strokes stop, how long they are, and how wide where they stop.
            "taper",
            "branch",
            "width",
            // How many more promising ones leave from one of its ends.
            "rivals",
            // How much longer it is than the shortest one of its ends.
            "detour",
            // How many other ends lie around its own that point the same way or back, as hatching and fringes have.
            "crowd",
            // Whether it ties one body of ink to itself, and how large the smaller body is.
            "oneBody",
            "lesserBody");

    /** In stroke widths. */
    private static final double CROWD_REACH = 8;

    private static final double ALIKE = 0.85;
    private static final int MOST_RIVALS = 4;

    private final double[][] traits;

    private ClosureTraits(double[][] traits) {
        this.traits = traits;
    }

    static ClosureTraits of(PieceGraph graph) {
        Map<Integer, Integer> seen = new HashMap<>();
        Map<Integer, Double> shortest = new HashMap<>();
        for (Closure closure : graph.closures()) {
            closure.ends().forEach(end -> shortest.merge(end.number(), closure.lengthPx(), Math::min));
        }
        Map<Integer, Double> crowds = crowds(graph);
        double[][] traits = new double[graph.closures().size()][];
        for (int i = 0; i < traits.length; i++) {
            Closure closure = graph.closures().get(i);
            int rivals = 0;
            double detour = 0;
            double crowd = 0;
            for (StrokeEnd end : closure.ends()) {
                rivals = Math.max(rivals, seen.merge(end.number(), 1, Integer::sum) - 1);
                double over = (closure.lengthPx() + 0.5) / (shortest.get(end.number()) + 0.5);
                detour = Math.max(detour, StrictMath.log(over));
                crowd = Math.max(crowd, crowds.get(end.number()));
            }
            traits[i] = traits(graph, i, Math.min(MOST_RIVALS, rivals), detour, crowd);
        }
        return new ClosureTraits(traits);
    }

    private static double[] traits(PieceGraph graph, int index, int rivals, double detour, double crowd) {
        Closure closure = graph.closures().get(index);
        InkBodies.Tie tie = graph.ties().get(index);
        return new double[] {
            closure.alignment(),
            closure.ends().size() / 2.0,
            closure.ends().size() == 2 ? 1 : 0,
            closure.isFromMark() ? 1 : 0,
            closure.incidence(),
            closure.kind() == Opening.Kind.NECK ? 1 : 0,
            closure.kind() == Opening.Kind.BASE ? 1 : 0,
            closure.kind() == Opening.Kind.AHEAD ? 1 : 0,
            closure.taper(),
            StrictMath.log(1 + closure.branchPx() / graph.searchStrokePx()) / 3,
            closure.widthPx() / graph.searchStrokePx(),
            rivals / (double) MOST_RIVALS,
            detour,
            crowd,
            tie.isOne() ? 1 : 0,
            StrictMath.log(1 + tie.lesser()),
        };
    }

    private static Map<Integer, Double> crowds(PieceGraph graph) {
        Map<Integer, StrokeEnd> ends = new TreeMap<>();
        graph.closures().forEach(closure -> closure.ends().forEach(end -> ends.put(end.number(), end)));
        double reach = CROWD_REACH * graph.searchStrokePx();
        EndGrid grid = new EndGrid(new ArrayList<>(ends.values()), reach / 2);
        Map<Integer, Double> crowds = new HashMap<>();
        ends.forEach((number, end) -> {
            long alike = grid.near(end.tip(), reach).stream()
                    .filter(other -> other.number() != number
                            && Math.abs(other.direction().dot(end.direction())) > ALIKE)
                    .count();
            crowds.put(number, StrictMath.log(1 + alike));
        });
        return crowds;
    }

    double[] of(int closure) {
        return traits[closure];
    }
}
