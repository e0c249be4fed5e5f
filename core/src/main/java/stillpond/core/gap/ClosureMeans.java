package stillpond.core.gap;

import java.util.List;

/**
 * What the closures of some border are like.
 *
 * @param count how many stretches there are
 * @param longest in stroke widths
 * @param leastAlignment of the one that carries on its strokes worst
 * @param traits the means of {@link ClosureTraits}, weighted by how much of the border each makes
 */
record ClosureMeans(int count, double longest, double leastAlignment, double[] traits) {

    static ClosureMeans of(List<Part> parts, PieceGraph graph, ClosureTraits traits) {
        double[] means = new double[ClosureTraits.NAMES.size()];
        double weights = 0;
        double longest = 0;
        double least = parts.isEmpty() ? 0 : 1;
        for (Part part : parts) {
            double[] own = traits.of(part.closure());
            for (int i = 0; i < means.length; i++) {
                means[i] += part.pixels() * own[i];
            }
            weights += part.pixels();
            longest = Math.max(longest, graph.strokes(part));
            least = Math.min(least, graph.closures().get(part.closure()).alignment());
        }
        for (int i = 0; i < means.length; i++) {
            means[i] /= Math.max(1, weights);
        }
        return new ClosureMeans(parts.size(), longest, least, means);
    }
}
