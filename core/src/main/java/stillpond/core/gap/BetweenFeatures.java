package stillpond.core.gap;

import java.util.List;

/**
 * What is known of two neighbouring clusters when it is judged whether a dam should stand between them, as numbers of about one in size. Which of them speak for a
 * dam, and how loudly, is fitted; see {@link StrengthModel}.
 */
final class BetweenFeatures {

    /** The names under which the weights are kept, in the order of {@link #of}. */
    static final List<String> NAMES = List.of(
            "bias",
            "length",
            "longest",
            "inkShare",
            "pinchShallow",
            "pinchDeep",
            "alignment",
            "ends",
            "twoEnded",
            "partsOutside",
            "bothOutside",
            "mark",
            "incidence",
            "enclosure",
            "area",
            "areaShare",
            "neck",
            "base",
            "outsidePinch",
            "outsideLength",
            "outsideEnclosure",
            "neckPinch",
            "completes",
            "areaOverLength",
            "closures",
            "pinchSquared",
            "lengthSquared",
            "alignedEnds",
            "outsideInk",
            "outsideArea");

    /** Who touches this share of the edge of the page is outside without a doubt. */
    private static final double OUTSIDE_FRAME = 0.2;

    private BetweenFeatures() {}

    static double[] of(Cluster a, Cluster b, Cluster.Between between, Pieces pieces) {
        boolean aIsSmall = a.area < b.area || a.area == b.area && a.number < b.number;
        Cluster small = aIsSmall ? a : b;
        Cluster large = aIsSmall ? b : a;
        double length = between.closed;
        Mean mean = Mean.of(between.parts, pieces);
        double shallow = Math.min(a.depth, b.depth);
        double deep = Math.max(a.depth, b.depth);
        double pinchShallow = Math.min(1.5, mean.longest / (2 * shallow + 0.1));
        double pinchDeep = Math.min(1.5, mean.longest / (2 * deep + 0.1));
        double inkShare = between.ink / (between.ink + length + 0.01);
        double outA = Math.min(1, a.frame / OUTSIDE_FRAME);
        double outB = Math.min(1, b.frame / OUTSIDE_FRAME);
        double partsOutside = Math.abs(outA - outB);
        double closedOfSmall = small.closedBorder();
        double enclosure = small.inkBorder() / (small.inkBorder() + closedOfSmall + 0.01);
        double logLength = log(length);
        double logArea = Math.log(small.area + 0.1) / 4;
        return new double[] {
            1,
            logLength,
            log(mean.longest),
            inkShare,
            pinchShallow,
            pinchDeep,
            mean.alignment,
            mean.ends,
            mean.twoEnded,
            partsOutside,
            Math.min(outA, outB),
            mean.mark,
            mean.incidence,
            enclosure,
            logArea,
            Math.log((small.area + 0.1) / (large.area + 0.1)) / 4,
            mean.neck,
            mean.base,
            partsOutside * pinchShallow,
            partsOutside * logLength,
            partsOutside * enclosure,
            mean.neck * pinchShallow,
            length / (closedOfSmall + 0.01),
            Math.log((small.area + 0.1) / (length * length + 0.1)) / 4,
            Math.log(between.parts.size()),
            pinchShallow * pinchShallow,
            logLength * logLength,
            mean.alignment * mean.twoEnded,
            partsOutside * inkShare,
            partsOutside * logArea,
        };
    }

    private static double log(double strokes) {
        return Math.log(strokes + 0.15) / 2;
    }

    /** Of the closures that part the two, weighted by how much each does. */
    private record Mean(
            double longest,
            double alignment,
            double ends,
            double twoEnded,
            double mark,
            double incidence,
            double neck,
            double base) {

        static Mean of(List<Part> parts, Pieces pieces) {
            double weights = 0;
            double[] sums = new double[7];
            double longest = 0;
            for (Part part : parts) {
                Closure closure = pieces.closures().get(part.closure());
                double weight = part.pixels();
                weights += weight;
                longest = Math.max(
                        longest, Math.min(pieces.closureStrokes(part.closure()), pieces.strokes(part.pixels())));
                sums[0] += weight * closure.alignment();
                sums[1] += weight * closure.ends() / 2;
                sums[2] += closure.ends() == 2 ? weight : 0;
                sums[3] += closure.fromMark() ? weight : 0;
                sums[4] += weight * closure.incidence();
                sums[5] += closure.kind() == Opening.Kind.NECK ? weight : 0;
                sums[6] += closure.kind() == Opening.Kind.BASE ? weight : 0;
            }
            double all = Math.max(1, weights);
            return new Mean(
                    longest,
                    sums[0] / all,
                    sums[1] / all,
                    sums[2] / all,
                    sums[3] / all,
                    sums[4] / all,
                    sums[5] / all,
                    sums[6] / all);
        }
    }
}
