package stillpond.core.gap;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Properties;

/**
 * How surely a dam should stand between two clusters: a logistic model over {@link BetweenFeatures}. Its weights are a resource, fitted by
 * {@code ./pond bench fit} from generated drawings; the resource says how and when.
 */
public final class StrengthModel {

    private static final String RESOURCE = "strength.properties";

    private final double[] weights;

    private StrengthModel(double[] weights) {
        this.weights = weights.clone();
    }

    /** The model that ships. */
    public static StrengthModel shipped() {
        Properties stored = new Properties();
        try (InputStream in = StrengthModel.class.getResourceAsStream(RESOURCE)) {
            stored.load(in);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        double[] weights = BetweenFeatures.NAMES.stream()
                .mapToDouble(name -> Double.parseDouble(stored.getProperty(name)))
                .toArray();
        return new StrengthModel(weights);
    }

    /** Shorter is stronger, and nothing else counts: where fitting begins. */
    public static StrengthModel plain() {
        double[] weights = new double[BetweenFeatures.NAMES.size()];
        weights[BetweenFeatures.NAMES.indexOf("length")] = -1;
        weights[BetweenFeatures.NAMES.indexOf("pinchShallow")] = -2;
        return new StrengthModel(weights);
    }

    /** @throws IllegalArgumentException if there is not one weight for each of {@link #featureNames} */
    public static StrengthModel of(double[] weights) {
        if (weights.length != BetweenFeatures.NAMES.size()) {
            throw new IllegalArgumentException(
                    "The model has " + BetweenFeatures.NAMES.size() + " weights, not " + weights.length + ".");
        }
        return new StrengthModel(weights);
    }

    public static List<String> featureNames() {
        return BetweenFeatures.NAMES;
    }

    /** 0 to 1. */
    double strength(double[] features) {
        double sum = 0;
        for (int i = 0; i < weights.length; i++) {
            sum += weights[i] * features[i];
        }
        return 1 / (1 + StrictMath.exp(-sum));
    }
}
