package stillpond.core.gap;

/**
 * All that is fitted.
 *
 * @param strength how strong openings are, which makes the order in which pieces come together
 * @param region what a region is
 */
public record GapModel(StrengthModel strength, RegionModel region) {

    /** Lower leaves more needless pieces, higher more leaks; figures in {@code docs/gap-closing.md}. */
    private static final double PRICE = 0.08;

    /** A gap in an outline that the model is so sure of is dammed, whatever it makes. */
    private static final double SURELY_TWO = 0.85;

    /** What would be dammed over more stroke widths between things that do not hang together stays open, and is listed as a possibility. */
    private static final double LONGEST_BETWEEN_THINGS = 12;

    /** Just under the default reach. */
    private static final double MOST_BETWEEN_THINGS = 0.49;

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
        int[] regions = RegionChoice.of(tree, region.probabilities(tree), PRICE, SURELY_TWO)
                .regions();
        double[] strengths = MergeTree.strengths(graph, strength, regions);
        for (int i = 0; i < strengths.length; i++) {
            if (isBetweenTwoThings(graph, graph.parts().get(i))) {
                strengths[i] = Math.min(MOST_BETWEEN_THINGS, strengths[i]);
            }
        }
        return strengths;
    }

    /** A long closure from one body of ink to another: a reed and a flower, a mast and the edge of the page. */
    private static boolean isBetweenTwoThings(PieceGraph graph, Part part) {
        return graph.strokes(part) > LONGEST_BETWEEN_THINGS
                && !graph.ties().get(part.closure()).isOne();
    }
}
