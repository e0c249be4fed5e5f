package stillpond.core.gap;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/**
 * What is known of some pieces put together when it is judged whether just they are a region, as numbers; see {@link RegionModel}. What their place in the tree says
 * is added by {@link RegionTree}.
 */
final class RegionFeatures {

    private static final List<String> OWN = List.of(
            "area",
            "depth",
            "frame",
            "shareOfPage",
            "shareOfPaper",
            "isWhole",
            "pieces",
            "ink",
            "closed",
            "openness",
            "longest",
            "pinch",
            "closures",
            "leastAlignment",
            "mostOfOne",
            "neighbours",
            "deepestBeside",
            "outsideBeside",
            "inkWithThem",
            "roundness");

    /** In the order of {@link #of}, and behind them those of the tree. */
    static final List<String> NAMES = Stream.of(
                    OWN, ClosureTraits.NAMES, PieceGraph.Drawing.NAMES, RegionTree.PLACE_NAMES)
            .flatMap(List::stream)
            .toList();

    private RegionFeatures() {}

    /** @param paperArea of the connected paper that it lies in */
    static double[] of(Cluster region, MergeTree tree, double paperArea) {
        Around around = new Around(tree);
        region.neighbours.forEach(around::add);
        ClosureMeans mean = ClosureMeans.of(around.parts, tree.graph(), tree.traits());
        double border = around.ink + around.closed + 0.01;
        double[] own = {
            BetweenFeatures.log(region.area),
            BetweenFeatures.log(region.depth),
            outside(region.frame),
            region.area / tree.graph().drawing().pageArea(),
            region.area / paperArea,
            around.neighbours == 0 ? 1 : 0,
            BetweenFeatures.log(region.pieces),
            BetweenFeatures.log(around.ink),
            BetweenFeatures.log(around.closed),
            around.closed / border,
            BetweenFeatures.log(mean.longest()),
            Math.min(1.5, mean.longest() / (2 * region.depth + 0.1)),
            BetweenFeatures.log(mean.count()),
            mean.leastAlignment(),
            around.mostOfOne / (around.closed + 0.01),
            around.neighbours,
            BetweenFeatures.log(around.deepest / (region.depth + 0.05)),
            outside(around.frame),
            around.inkWithThem / (around.ink + 0.01),
            region.area / (border * border),
        };
        return BetweenFeatures.joined(own, mean.traits(), tree.graph().drawing().numbers());
    }

    private static double outside(double frame) {
        return Math.min(1, frame / BetweenFeatures.OUTSIDE_FRAME);
    }

    /** What lies around a region; its neighbours are those that it meets on paper. */
    private static final class Around {

        private final MergeTree tree;
        private final List<Part> parts = new ArrayList<>();
        private double ink;
        private double closed;
        private double inkWithThem;
        private double mostOfOne;
        private double deepest;
        private double frame;
        private int neighbours;

        Around(MergeTree tree) {
            this.tree = tree;
        }

        void add(Integer number, Cluster.Between between) {
            ink += between.ink;
            closed += between.closed;
            if (between.parts.isEmpty() && between.acrossPinholes.isEmpty()) {
                return;
            }
            Cluster other = tree.cluster(number);
            parts.addAll(between.parts);
            inkWithThem += between.ink;
            mostOfOne = Math.max(mostOfOne, between.closed);
            deepest = Math.max(deepest, other.depth);
            frame = Math.max(frame, other.frame);
            neighbours++;
        }
    }
}
