package stillpond.core.gap;

import java.util.HashMap;
import java.util.List;
import java.util.Map;

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
        double[] lengths = lengths(graph, regions);
        for (int i = 0; i < strengths.length; i++) {
            boolean isOne = graph.ties().get(graph.parts().get(i).closure()).isOne();
            if (!isOne && lengths[i] > LONGEST_BETWEEN_THINGS) {
                strengths[i] = Math.min(MOST_BETWEEN_THINGS, strengths[i]);
            }
        }
        return strengths;
    }

    /** Of each part, how much of its closure parts the same two regions: other closures that cross it make it no shorter. In stroke widths. */
    private static double[] lengths(PieceGraph graph, int[] regions) {
        List<Part> parts = graph.parts();
        Map<List<Integer>, Double> lengths = new HashMap<>();
        for (Part part : parts) {
            lengths.merge(stretch(part, regions), graph.strokes(part), Double::sum);
        }
        return parts.stream()
                .mapToDouble(part -> lengths.get(stretch(part, regions)))
                .toArray();
    }

    private static List<Integer> stretch(Part part, int[] regions) {
        int a = regions[part.first()];
        int b = regions[part.second()];
        return List.of(part.closure(), Math.min(a, b), Math.max(a, b));
    }
}
