package stillpond.core.gap;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import stillpond.core.cell.DistanceField;
import stillpond.core.ink.InkPlane;

/** What the models are fitted to: what is met while a drawing with known flats is put together. */
public final class GapSamples {

    /** Labels in the truth of a measured case. */
    private static final int DO_NOT_CARE = 0;

    private static final int OUTSIDE = 1;

    /** Fewer known pixels say nothing. */
    private static final int LEAST_KNOWN = 30;

    /** The overlap from which on some pieces are a region, as intersection over union. */
    private static final double SAME = 0.85;

    /** Pairs count by how much of its own region the smaller one is; the least of them this much, and all of a drawing together at least the other. */
    private static final double LEAST_WEIGHT = 0.1;

    private static final double LEAST_PAIRS = 6;
    private static final double LEAST_REGIONS = 10;

    private final PieceGraph graph;

    /** Of each piece, how many pixels it has of each label. */
    private final List<Map<Integer, Integer>> labels;

    private final Map<Integer, Integer> areas = new HashMap<>();

    private GapSamples(PieceGraph graph, List<Map<Integer, Integer>> labels) {
        this.graph = graph;
        this.labels = labels;
        labels.forEach(counts -> counts.forEach((label, count) -> areas.merge(label, count, Integer::sum)));
    }

    /**
     * @param features in the order of the model that it is for
     * @param yes whether the two lie in different regions; whether the pieces are a region
     * @param weight how much it counts beside the others
     */
    public record Sample(double[] features, boolean yes, double weight) {}

    /** @param truth the label of every pixel: 0 do not care, 1 outside, else equal where pixels lie in one region */
    public static GapSamples of(InkPlane ink, int[] truth) {
        Pieces pieces = Pieces.cut(ink);
        int[] numbers = pieces.cutting().numbers();
        DistanceField toPiece = DistanceField.to(ink.widthPx(), ink.heightPx(), i -> numbers[i] >= 0);
        List<Map<Integer, Integer>> labels = new ArrayList<>();
        for (int i = 0; i < pieces.graph().count(); i++) {
            labels.add(new HashMap<>());
        }
        for (int i = 0; i < truth.length; i++) {
            if (truth[i] != DO_NOT_CARE) {
                labels.get(numbers[toPiece.nearest(i)]).merge(truth[i], 1, Integer::sum);
            }
        }
        return new GapSamples(pieces.graph(), labels);
    }

    /**
     * Pairs of neighbours, put together in the order of a model: whatever it joins below a level, right or wrong, as it will in use, and above it what is right.
     */
    public List<Sample> ofPairs(StrengthModel model, double level) {
        List<Map<Integer, Integer>> counts = new ArrayList<>();
        labels.forEach(each -> counts.add(new HashMap<>(each)));
        List<Sample> samples = new ArrayList<>();
        new MergeTree(graph, model, new MergeTree.Judge() {
                    @Override
                    public boolean mayJoin(Cluster a, Cluster b, double[] features, double strength) {
                        int one = mostFrequent(counts.get(a.number));
                        int other = mostFrequent(counts.get(b.number));
                        if (one != DO_NOT_CARE && other != DO_NOT_CARE) {
                            double share =
                                    Math.min(share(counts.get(a.number), one), share(counts.get(b.number), other));
                            samples.add(new Sample(features, one != other, LEAST_WEIGHT + Math.min(1, 4 * share)));
                        }
                        return one == other || strength < level;
                    }

                    @Override
                    public void joined(Cluster kept, Cluster gone, MergeTree tree) {
                        add(counts.get(gone.number), counts.get(kept.number));
                    }
                })
                .grow();
        double sum = samples.stream().mapToDouble(Sample::weight).sum();
        return weighted(samples, 1 / Math.max(LEAST_PAIRS, sum));
    }

    /** All nodes of the tree that a model makes. */
    public List<Sample> ofRegions(StrengthModel model) {
        RegionTree tree = RegionTree.of(graph, model);
        return ofNodes(tree, tree.nodes().stream().map(node -> node.features).toList());
    }

    /** The same for the second judgement, that goes by the first. */
    public List<Sample> ofRegions(StrengthModel model, BoostedTrees alone) {
        RegionTree tree = RegionTree.of(graph, model);
        return ofNodes(tree, RegionModel.features(tree, alone));
    }

    private List<Sample> ofNodes(RegionTree tree, List<double[]> features) {
        int[] paper = graph.paper();
        Map<Integer, Integer> outsideOfPaper = new HashMap<>();
        for (int i = 0; i < paper.length; i++) {
            outsideOfPaper.merge(paper[i], labels.get(i).getOrDefault(OUTSIDE, 0), Integer::sum);
        }
        List<Map<Integer, Integer>> counts = new ArrayList<>();
        int[] paperOfNode = new int[features.size()];
        List<Sample> samples = new ArrayList<>();
        for (int i = 0; i < features.size(); i++) {
            RegionTree.Node node = tree.nodes().get(i);
            Map<Integer, Integer> own = node.isPiece() ? labels.get(i) : new HashMap<>(counts.get(node.first));
            if (!node.isPiece()) {
                add(counts.get(node.second), own);
            }
            counts.add(own);
            paperOfNode[i] = node.isPiece() ? paper[i] : paperOfNode[node.first];
            if (known(own) >= LEAST_KNOWN) {
                boolean isRegion = isRegion(own, outsideOfPaper.get(paperOfNode[i]));
                samples.add(new Sample(features.get(i), isRegion, 1));
            }
        }
        return weighted(samples, 1 / Math.max(LEAST_REGIONS, Math.sqrt(4 * LEAST_REGIONS * samples.size())));
    }

    /** @param outside how much of the outside the paper holds that it lies in: what other paper holds cannot be had */
    private boolean isRegion(Map<Integer, Integer> counts, int outside) {
        int known = known(counts);
        return counts.entrySet().stream().anyMatch(label -> {
            int area = label.getKey() == OUTSIDE ? outside : areas.get(label.getKey());
            return label.getValue() >= SAME * (known + area - label.getValue());
        });
    }

    private static List<Sample> weighted(List<Sample> samples, double factor) {
        return samples.stream()
                .map(each -> new Sample(each.features(), each.yes(), each.weight() * factor))
                .toList();
    }

    private double share(Map<Integer, Integer> counts, int label) {
        return counts.get(label) / (double) areas.get(label);
    }

    private static int known(Map<Integer, Integer> counts) {
        return counts.values().stream().mapToInt(Integer::intValue).sum();
    }

    private static void add(Map<Integer, Integer> from, Map<Integer, Integer> to) {
        from.forEach((label, count) -> to.merge(label, count, Integer::sum));
    }

    /** The label that most of it has; that nobody cares for if too little of it is known. */
    private static int mostFrequent(Map<Integer, Integer> counts) {
        if (known(counts) < LEAST_KNOWN) {
            return DO_NOT_CARE;
        }
        return counts.entrySet().stream()
                .max(Map.Entry.<Integer, Integer>comparingByValue().thenComparing(Map.Entry.comparingByKey()))
                .map(Map.Entry::getKey)
                .orElse(DO_NOT_CARE);
    }
}
