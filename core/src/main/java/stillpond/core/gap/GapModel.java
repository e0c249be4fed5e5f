package stillpond.core.gap;

/**
 * All that is fitted.
 *
 * @param strength how strong openings are, which makes the order in which pieces come together
 * @param region what a region is
 */
public record GapModel(StrengthModel strength, RegionModel region) {

    private static final class Shipped {
        private static final GapModel MODEL = new GapModel(StrengthModel.shipped(), RegionModel.shipped());
    }

    /** The one that ships; read once. */
    public static GapModel shipped() {
        return Shipped.MODEL;
    }

    /** Of each part of a page. */
    double[] strengths(PieceGraph graph) {
        RegionTree tree = RegionTree.of(graph, strength);
        int[] regions = RegionChoice.of(tree, region.probabilities(tree)).regions();
        return MergeTree.strengths(graph, strength, regions);
    }
}
