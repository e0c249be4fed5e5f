package stillpond.bench.flats;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import stillpond.core.gap.BoostedTrees;
import stillpond.core.gap.GapSamples.Sample;

/**
 * Fits {@link BoostedTrees} to examples by Newton steps on the logistic loss (T. Chen, C. Guestrin, "XGBoost: a scalable tree boosting system", KDD 2016: gain,
 * answers and penalty; all nodes of a depth share their question, as there they do not). The same examples give the same trees.
 */
final class Boosting {

    /**
     * @param trees how many
     * @param depth questions a tree
     * @param rate how much of each step is taken
     * @param penalty on large answers
     * @param leastWeight a question must leave this much curvature on both sides of it, over all nodes
     * @param features share of the features that each tree may ask for
     */
    record Settings(int trees, int depth, double rate, double penalty, double leastWeight, double features) {}

    private static final int BINS = 64;

    private final Settings settings;
    private final int count;
    private final int features;
    private final byte[][] bins;
    private final float[][] thresholds;
    private final boolean[] yes;
    private final double[] weight;
    private final double[] logit;
    private final float[] gradient;
    private final float[] curvature;
    private final Random random = new Random(1);

    private Boosting(List<double[]> numbers, boolean[] yes, double[] weight, Settings settings) {
        this.settings = settings;
        this.count = numbers.size();
        this.features = numbers.get(0).length;
        this.yes = yes;
        this.weight = weight;
        this.logit = new double[count];
        this.gradient = new float[count];
        this.curvature = new float[count];
        this.thresholds = new float[features][];
        this.bins = new byte[features][];
        IntStream.range(0, features).parallel().forEach(feature -> {
            thresholds[feature] = thresholds(numbers, feature);
            bins[feature] = bins(numbers, feature);
        });
    }

    /** Weights are scaled to a mean of 1. */
    static BoostedTrees fit(List<Sample> samples, Settings settings) {
        boolean[] yes = new boolean[samples.size()];
        double[] weight = new double[yes.length];
        double sum = 0;
        for (Sample sample : samples) {
            sum += sample.weight();
        }
        for (int i = 0; i < yes.length; i++) {
            yes[i] = samples.get(i).yes();
            weight[i] = samples.get(i).weight() * yes.length / sum;
        }
        return new Boosting(samples.stream().map(Sample::features).toList(), yes, weight, settings).fit();
    }

    private float[] thresholds(List<double[]> numbers, int feature) {
        double[] sorted =
                numbers.stream().mapToDouble(each -> each[feature]).sorted().toArray();
        float[] found = new float[BINS - 1];
        int size = 0;
        for (int bin = 1; bin < BINS; bin++) {
            float at = (float) sorted[(int) ((long) bin * (count - 1) / BINS)];
            if ((size == 0 || at > found[size - 1]) && at < sorted[count - 1]) {
                found[size++] = at;
            }
        }
        return Arrays.copyOf(found, size);
    }

    private byte[] bins(List<double[]> numbers, int feature) {
        byte[] found = new byte[count];
        for (int i = 0; i < count; i++) {
            double value = numbers.get(i)[feature];
            int bin = 0;
            while (bin < thresholds[feature].length && value > thresholds[feature][bin]) {
                bin++;
            }
            found[i] = (byte) bin;
        }
        return found;
    }

    private BoostedTrees fit() {
        List<BoostedTrees.Tree> trees = new ArrayList<>();
        for (int i = 0; i < settings.trees(); i++) {
            trees.add(tree());
        }
        return new BoostedTrees(trees);
    }

    /** A question for every node of a depth. */
    private record Question(int feature, int bin, double gain) {}

    private BoostedTrees.Tree tree() {
        for (int i = 0; i < count; i++) {
            double p = 1 / (1 + StrictMath.exp(-logit[i]));
            gradient[i] = (float) (weight[i] * ((yes[i] ? 1 : 0) - p));
            curvature[i] = (float) (weight[i] * p * (1 - p));
        }
        int[] node = new int[count];
        boolean[] allowed = new boolean[features];
        for (int feature = 0; feature < features; feature++) {
            allowed[feature] = random.nextDouble() < settings.features();
        }
        int[] asked = new int[settings.depth()];
        float[] at = new float[settings.depth()];
        for (int depth = 0; depth < settings.depth(); depth++) {
            int level = depth;
            Question best = IntStream.range(0, features)
                    .parallel()
                    .filter(feature -> allowed[feature] && thresholds[feature].length > 0)
                    .mapToObj(feature -> bestOf(feature, node, 1 << level))
                    .reduce(new Question(0, 0, -1), (a, b) -> b.gain() > a.gain() ? b : a);
            asked[depth] = best.feature();
            at[depth] = thresholds[best.feature()].length == 0 ? 0 : thresholds[best.feature()][best.bin()];
            for (int i = 0; i < count; i++) {
                node[i] |= bins[best.feature()][i] > best.bin() ? 1 << depth : 0;
            }
        }
        return new BoostedTrees.Tree(asked, at, answers(node));
    }

    private Question bestOf(int feature, int[] node, int nodes) {
        double[] gradients = new double[nodes * BINS];
        double[] curvatures = new double[nodes * BINS];
        byte[] bin = bins[feature];
        for (int i = 0; i < count; i++) {
            int slot = node[i] * BINS + bin[i];
            gradients[slot] += gradient[i];
            curvatures[slot] += curvature[i];
        }
        double[] allGradient = new double[nodes];
        double[] allCurvature = new double[nodes];
        double curvatureOfAll = 0;
        for (int slot = 0; slot < gradients.length; slot++) {
            allGradient[slot / BINS] += gradients[slot];
            allCurvature[slot / BINS] += curvatures[slot];
            curvatureOfAll += curvatures[slot];
        }
        double[] lowGradient = new double[nodes];
        double[] lowCurvature = new double[nodes];
        Question best = new Question(feature, 0, -1);
        double low = 0;
        for (int threshold = 0; threshold < thresholds[feature].length; threshold++) {
            double gain = 0;
            for (int each = 0; each < nodes; each++) {
                int slot = each * BINS + threshold;
                lowGradient[each] += gradients[slot];
                lowCurvature[each] += curvatures[slot];
                low += curvatures[slot];
                gain += worth(lowGradient[each], lowCurvature[each])
                        + worth(allGradient[each] - lowGradient[each], allCurvature[each] - lowCurvature[each])
                        - worth(allGradient[each], allCurvature[each]);
            }
            boolean enough = low >= settings.leastWeight() && curvatureOfAll - low >= settings.leastWeight();
            if (enough && gain > best.gain()) {
                best = new Question(feature, threshold, gain);
            }
        }
        return best;
    }

    private double worth(double gradientSum, double curvatureSum) {
        return gradientSum * gradientSum / (curvatureSum + settings.penalty());
    }

    private float[] answers(int[] node) {
        double[] gradients = new double[1 << settings.depth()];
        double[] curvatures = new double[1 << settings.depth()];
        for (int i = 0; i < count; i++) {
            gradients[node[i]] += gradient[i];
            curvatures[node[i]] += curvature[i];
        }
        float[] answers = new float[gradients.length];
        for (int i = 0; i < answers.length; i++) {
            double step = settings.rate() * gradients[i] / (curvatures[i] + settings.penalty());
            // As it is written, so that what is fitted is what will be read.
            answers[i] = Math.round(step * 1e4) / 1e4f;
        }
        for (int i = 0; i < count; i++) {
            logit[i] += answers[node[i]];
        }
        return answers;
    }
}
