package stillpond.core.gap;

import java.util.List;
import java.util.stream.Stream;

/**
 * How likely each node of a tree is a region, no more and no less: boosted trees, resources made by {@code ./pond bench fit}. Judged twice: first by what is known of
 * a node alone ({@link RegionFeatures}), then by that and by how likely those above, below and beside it are, as auto-context does for pixels (Z. Tu, X. Bai,
 * IEEE Trans. PAMI 32, 2010).
 *
 * @param alone the first judgement
 * @param amidOthers the second one, over {@link #NAMES}
 */
public record RegionModel(BoostedTrees alone, BoostedTrees amidOthers) {

    private static final List<String> AMID_OTHERS = List.of(
            "likely",
            "likelyParent",
            "likeliestAbove",
            "likeliestBelow",
            "worthOfParts",
            "likelyOther",
            "worthOfOther",
            "leastWorthOfParts");

    /** What the second judgement goes by. */
    static final List<String> NAMES =
            Stream.of(RegionFeatures.NAMES, AMID_OTHERS).flatMap(List::stream).toList();

    /** Of the first judgement, by which parts are worth something to the second; part of what is fitted. */
    private static final double PRICE = 0.15;

    private static final double UNKNOWN = -1;

    /** The model that ships. */
    public static RegionModel shipped() {
        return new RegionModel(BoostedTrees.resource("region.trees"), BoostedTrees.resource("region-amid.trees"));
    }

    /** Of each node, 0 to 1. */
    double[] probabilities(RegionTree tree) {
        return features(tree, alone).parallelStream()
                .mapToDouble(amidOthers::probability)
                .toArray();
    }

    /** What the second judgement goes by, for each node. */
    static List<double[]> features(RegionTree tree, BoostedTrees alone) {
        List<RegionTree.Node> nodes = tree.nodes();
        double[] likely = nodes.parallelStream()
                .mapToDouble(node -> alone.probability(node.features))
                .toArray();
        RegionChoice choice = RegionChoice.of(tree, likely, PRICE, Double.POSITIVE_INFINITY);
        double[] below = new double[likely.length];
        for (int i = 0; i < likely.length; i++) {
            RegionTree.Node node = nodes.get(i);
            if (!node.isPiece()) {
                below[i] = Math.max(
                        Math.max(likely[node.first], below[node.first]),
                        Math.max(likely[node.second], below[node.second]));
            }
        }
        double[] above = new double[likely.length];
        double[][] features = new double[likely.length][];
        for (int i = likely.length - 1; i >= 0; i--) {
            RegionTree.Node node = nodes.get(i);
            boolean isTop = node.parent == RegionTree.NONE;
            above[i] = isTop ? 0 : Math.max(likely[node.parent], above[node.parent]);
            int other = isTop ? RegionTree.NONE : otherChild(nodes.get(node.parent), i);
            double[] amid = {
                likely[i],
                isTop ? UNKNOWN : likely[node.parent],
                above[i],
                below[i],
                node.isPiece() ? 0 : choice.worth(node.first) + choice.worth(node.second),
                isTop ? UNKNOWN : likely[other],
                isTop ? UNKNOWN : choice.worth(other),
                node.isPiece() ? UNKNOWN : Math.min(choice.worth(node.first), choice.worth(node.second)),
            };
            features[i] = BetweenFeatures.joined(node.features, amid);
        }
        return List.of(features);
    }

    private static int otherChild(RegionTree.Node parent, int child) {
        return parent.first == child ? parent.second : parent.first;
    }
}
