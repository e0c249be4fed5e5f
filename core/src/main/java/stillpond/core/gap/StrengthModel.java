package stillpond.core.gap;

import java.util.List;

/**
 * How surely a dam should stand between two clusters, by {@link BetweenFeatures}: boosted trees, a resource made by {@code ./pond bench fit}; the resource says
 * how and from what.
 */
public final class StrengthModel {

    private static final String RESOURCE = "strength.trees";

    private static final int LENGTH = BetweenFeatures.NAMES.indexOf("length");
    private static final int PINCH = BetweenFeatures.NAMES.indexOf("pinchShallow");

    /** Null for the plain one. */
    private final BoostedTrees trees;

    private StrengthModel(BoostedTrees trees) {
        this.trees = trees;
    }

    /** The model that ships. */
    public static StrengthModel shipped() {
        return new StrengthModel(BoostedTrees.resource(RESOURCE));
    }

    /** Shorter is stronger, and nothing else counts: where fitting begins. */
    public static StrengthModel plain() {
        return new StrengthModel(null);
    }

    public static StrengthModel of(BoostedTrees trees) {
        return new StrengthModel(trees);
    }

    public static List<String> featureNames() {
        return BetweenFeatures.NAMES;
    }

    /** 0 to 1. */
    double strength(double[] features) {
        return trees == null
                ? 1 / (1 + StrictMath.exp(features[LENGTH] / 2 + 2 * features[PINCH]))
                : trees.probability(features);
    }
}
