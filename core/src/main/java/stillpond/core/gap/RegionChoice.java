package stillpond.core.gap;

import java.util.Arrays;
import java.util.List;

/**
 * Which nodes of a tree are the regions: those that together are worth most, each piece in one of them (T. Liu, M. Seyedhosseini, T. Tasdizen, "Image segmentation
 * using hierarchical merge tree", IEEE Trans. Image Processing 25, 2016; a sum of probabilities instead of their product, because the number of right regions
 * is what counts).
 */
final class RegionChoice {

    private final RegionTree tree;
    private final double[] worth;
    private final boolean[] isOne;

    private RegionChoice(RegionTree tree, double[] probability, double price, double surelyTwo) {
        this.tree = tree;
        this.worth = new double[probability.length];
        this.isOne = new boolean[probability.length];
        for (int i = 0; i < probability.length; i++) {
            RegionTree.Node node = tree.nodes().get(i);
            double own = node.givenUp >= surelyTwo ? Double.NEGATIVE_INFINITY : probability[i] - price;
            double apart = node.isPiece() ? Double.NEGATIVE_INFINITY : worth[node.first] + worth[node.second];
            isOne[i] = own >= apart;
            worth[i] = Math.max(own, apart);
        }
    }

    /**
     * @param probability that just this is a region, for each node
     * @param price what a region must be worth, as a probability: higher means fewer, larger ones
     * @param surelyTwo joining over a dam that the model judged so strong never makes a region
     */
    static RegionChoice of(RegionTree tree, double[] probability, double price, double surelyTwo) {
        return new RegionChoice(tree, probability, price, surelyTwo);
    }

    /** Of the best regions within a node. */
    double worth(int node) {
        return worth[node];
    }

    /** The region of each piece, as the number of its node. */
    int[] regions() {
        List<RegionTree.Node> nodes = tree.nodes();
        int[] region = new int[nodes.size()];
        for (int i = region.length - 1; i >= 0; i--) {
            int parent = nodes.get(i).parent;
            boolean isPart = parent != RegionTree.NONE && region[parent] != RegionTree.NONE;
            region[i] = isPart ? region[parent] : isOne[i] ? i : RegionTree.NONE;
        }
        return Arrays.copyOf(region, tree.pieces());
    }
}
