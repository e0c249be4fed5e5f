package stillpond.core.gap;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import stillpond.core.ink.InkPlane;

/** What the strength model is fitted to: pairs of neighbours met while a drawing with known flats is put together rightly. */
public final class MergeSamples {

    /** Flats of these labels are no region; see the truth of a measured case. */
    private static final int DO_NOT_CARE = 0;

    private final Pieces pieces;
    private final int[] labels;

    private MergeSamples(Pieces pieces, int[] labels) {
        this.pieces = pieces;
        this.labels = labels;
    }

    /**
     * @param features in the order of {@link StrengthModel#featureNames}
     * @param dam whether the two lie in different regions
     */
    public record Sample(double[] features, boolean dam) {}

    /** @param truth the label of every pixel: 0 do not care, else equal where pixels lie in one region */
    public static MergeSamples of(InkPlane ink, int[] truth) {
        Pieces pieces = Pieces.cut(ink);
        return new MergeSamples(pieces, labels(pieces, truth));
    }

    /** Puts the pieces together in the order that a model would, but never two that lie in different regions. */
    public List<Sample> inOrderOf(StrengthModel model) {
        List<Sample> samples = new ArrayList<>();
        MergeTree.judged(pieces, model, (a, b, features) -> {
            int labelA = labels[a.number];
            int labelB = labels[b.number];
            if (labelA != DO_NOT_CARE && labelB != DO_NOT_CARE) {
                samples.add(new Sample(features, labelA != labelB));
            }
            return labelA == labelB;
        });
        return samples;
    }

    /** The label that most of a piece has; pieces nobody cares for join nothing. */
    private static int[] labels(Pieces pieces, int[] truth) {
        List<Map<Integer, Integer>> counts = new ArrayList<>();
        for (int i = 0; i < pieces.count(); i++) {
            counts.add(new HashMap<>());
        }
        int[] numbers = pieces.cutting().numbers();
        for (int i = 0; i < truth.length; i++) {
            if (numbers[i] >= 0) {
                counts.get(numbers[i]).merge(truth[i], 1, Integer::sum);
            }
        }
        return counts.stream().mapToInt(MergeSamples::mostFrequent).toArray();
    }

    private static int mostFrequent(Map<Integer, Integer> counts) {
        return counts.entrySet().stream()
                .max(Map.Entry.<Integer, Integer>comparingByValue().thenComparing(Map.Entry.comparingByKey()))
                .map(Map.Entry::getKey)
                .orElse(DO_NOT_CARE);
    }
}
