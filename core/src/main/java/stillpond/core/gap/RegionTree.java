package stillpond.core.gap;

import java.util.ArrayList;
import java.util.List;

/** A whole merge tree, and what is known of each of its nodes: the candidates for regions. */
final class RegionTree {

    /** What the place of a node in the tree says: the last numbers of its features. */
    static final List<String> PLACE_NAMES = List.of(
            "level",
            "levelOfParent",
            "levelUp",
            "levelOfChild",
            "shareOfParent",
            "depthOfOther",
            "parentIsWhole",
            "opennessOfParent");

    static final int NONE = -1;

    /** Some pieces as they came together. Their children come before them in the list of nodes; the pieces themselves come first. */
    static final class Node {
        final int first;
        final int second;
        final double level;

        /** The strongest dam, as the model judged it, that joining them gave up. */
        final double givenUp;

        final double[] features;
        int parent = NONE;

        private Node(int first, int second, Cluster cluster, double[] own) {
            this.first = first;
            this.second = second;
            this.level = cluster.level;
            this.givenUp = cluster.givenUp;
            this.features = BetweenFeatures.joined(own, new double[PLACE_NAMES.size()]);
        }

        boolean isPiece() {
            return first == NONE;
        }

        private void place(String name, double value) {
            features[features.length - PLACE_NAMES.size() + PLACE_NAMES.indexOf(name)] = value;
        }

        private double own(String name) {
            return features[RegionFeatures.NAMES.indexOf(name)];
        }
    }

    private final List<Node> nodes = new ArrayList<>();
    private final int pieces;

    private RegionTree(int pieces) {
        this.pieces = pieces;
    }

    static RegionTree of(PieceGraph graph, StrengthModel model) {
        RegionTree regions = new RegionTree(graph.count());
        MergeTree tree = new MergeTree(graph, model, new MergeTree.Judge() {
            @Override
            public void joined(Cluster kept, Cluster gone, MergeTree tree) {
                regions.add(kept, gone, tree);
            }
        });
        for (int piece = 0; piece < graph.count(); piece++) {
            regions.nodes.add(new Node(NONE, NONE, tree.cluster(piece), tree.regionFeatures(tree.cluster(piece))));
        }
        tree.grow();
        return regions;
    }

    int pieces() {
        return pieces;
    }

    /** Children before their parents; the first so many are the pieces. */
    List<Node> nodes() {
        return nodes;
    }

    private void add(Cluster kept, Cluster gone, MergeTree tree) {
        Node one = nodes.get(kept.node);
        Node other = nodes.get(gone.node);
        Node parent = new Node(kept.node, gone.node, kept, tree.regionFeatures(kept));
        parent.place("level", kept.level);
        parent.place("levelOfChild", Math.max(one.level, other.level));
        tellOfParent(one, other, parent, kept.area);
        tellOfParent(other, one, parent, kept.area);
        kept.node = nodes.size();
        one.parent = kept.node;
        other.parent = kept.node;
        nodes.add(parent);
    }

    private static void tellOfParent(Node node, Node other, Node parent, double parentArea) {
        node.place("levelOfParent", parent.level);
        node.place("levelUp", parent.level - node.level);
        node.place("shareOfParent", StrictMath.exp(node.own("area")) / (parentArea + 0.15));
        node.place("depthOfOther", other.own("depth") - node.own("depth"));
        node.place("parentIsWhole", parent.own("isWhole"));
        node.place("opennessOfParent", parent.own("openness"));
    }
}
