package stillpond.core.gap;

import java.util.List;
import java.util.stream.Stream;

/**
 * What is known of two neighbouring clusters when it is judged whether a dam should stand between them, as numbers. Which of them speak for a dam, and how loudly,
 * is fitted; see {@link StrengthModel}.
 */
final class BetweenFeatures {

    private static final List<String> OWN = List.of(
            "length",
            "longest",
            "inkShare",
            "pinchShallow",
            "pinchDeep",
            "leastAlignment",
            "partsOutside",
            "bothOutside",
            "enclosure",
            "enclosureOfLarge",
            "area",
            "areaShare",
            "shallow",
            "deep",
            "completes",
            "completesLarge",
            "areaOverLength",
            "closures",
            "shareOfPaper",
            "opennessTogether");

    /** In the order of {@link #of}. */
    static final List<String> NAMES = Stream.of(OWN, ClosureTraits.NAMES, PieceGraph.Drawing.NAMES)
            .flatMap(List::stream)
            .toList();

    /** Who touches this share of the edge of the page is outside without a doubt. */
    static final double OUTSIDE_FRAME = 0.2;

    private BetweenFeatures() {}

    /** @param paperArea of the connected paper that both lie in */
    static double[] of(
            Cluster a, Cluster b, Cluster.Between between, PieceGraph graph, ClosureTraits traits, double paperArea) {
        boolean aIsSmall = a.area < b.area || a.area == b.area && a.number < b.number;
        Cluster small = aIsSmall ? a : b;
        Cluster large = aIsSmall ? b : a;
        double length = between.closed;
        ClosureMeans mean = ClosureMeans.of(between.parts, graph, traits);
        double shallow = Math.min(a.depth, b.depth);
        double deep = Math.max(a.depth, b.depth);
        double outA = Math.min(1, a.frame / OUTSIDE_FRAME);
        double outB = Math.min(1, b.frame / OUTSIDE_FRAME);
        double closedOfSmall = small.closedBorder();
        double closedOfLarge = large.closedBorder();
        double inkOfSmall = small.inkBorder();
        double inkOfLarge = large.inkBorder();
        double[] own = {
            log(length),
            log(mean.longest()),
            between.ink / (between.ink + length + 0.01),
            Math.min(1.5, mean.longest() / (2 * shallow + 0.1)),
            Math.min(1.5, mean.longest() / (2 * deep + 0.1)),
            mean.leastAlignment(),
            Math.abs(outA - outB),
            Math.min(outA, outB),
            inkOfSmall / (inkOfSmall + closedOfSmall + 0.01),
            inkOfLarge / (inkOfLarge + closedOfLarge + 0.01),
            log(small.area),
            log(small.area / (large.area + 0.01)),
            log(shallow),
            log(deep),
            length / (closedOfSmall + 0.01),
            length / (closedOfLarge + 0.01),
            log(small.area / (length * length + 0.1)),
            log(between.parts.size()),
            (a.area + b.area) / paperArea,
            Math.max(0, closedOfSmall + closedOfLarge - 2 * length) / (inkOfSmall + inkOfLarge + 0.01),
        };
        return joined(own, mean.traits(), graph.drawing().numbers());
    }

    static double log(double number) {
        return StrictMath.log(number + 0.15);
    }

    static double[] joined(double[]... rows) {
        int length = 0;
        for (double[] row : rows) {
            length += row.length;
        }
        double[] joined = new double[length];
        int at = 0;
        for (double[] row : rows) {
            System.arraycopy(row, 0, joined, at, row.length);
            at += row.length;
        }
        return joined;
    }
}
