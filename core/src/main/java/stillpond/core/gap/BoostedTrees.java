package stillpond.core.gap;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import stillpond.core.refusal.Refusal;

/**
 * A probability from numbers: a sum of small decision trees, as a logit (J. Friedman, "Greedy function approximation: a gradient boosting machine", Annals of
 * Statistics 29, 2001). All nodes of one depth of a tree ask the same question, so that a tree is a short row of questions and a table of answers (oblivious
 * trees, R. Kohavi, "Bottom-up induction of oblivious read-once decision graphs", ECML 1994).
 *
 * <p>As text, a line a tree: its questions as {@code feature:threshold}, a bar, and its answers; a question says yes to what is larger than its
 * threshold, and the answers are indexed by the questions' yes as binary digits, the first one the lowest.
 */
public final class BoostedTrees {

    /** One tree. */
    public record Tree(int[] features, float[] thresholds, float[] answers) {

        public Tree {
            if (thresholds.length != features.length || answers.length != 1 << features.length) {
                throw new Refusal("A tree of " + features.length + " questions has as many thresholds and "
                        + (1 << features.length) + " answers.");
            }
        }

        public float answer(double[] numbers) {
            int index = 0;
            for (int depth = 0; depth < features.length; depth++) {
                if (numbers[features[depth]] > thresholds[depth]) {
                    index |= 1 << depth;
                }
            }
            return answers[index];
        }
    }

    private final List<Tree> trees;

    public BoostedTrees(List<Tree> trees) {
        this.trees = List.copyOf(trees);
    }

    /** Reads a resource beside this class. */
    static BoostedTrees resource(String name) {
        try (InputStream in = BoostedTrees.class.getResourceAsStream(name)) {
            return of(new String(in.readAllBytes(), StandardCharsets.US_ASCII));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** @param text as {@link #asText} writes it; lines that begin with a hash are remarks */
    public static BoostedTrees of(String text) {
        return new BoostedTrees(text.lines()
                .filter(line -> !line.startsWith("#"))
                .map(BoostedTrees::tree)
                .toList());
    }

    private static Tree tree(String line) {
        String[] halves = line.split(" \\| ");
        String[] questions = halves[0].split(" ");
        int[] features = new int[questions.length];
        float[] thresholds = new float[questions.length];
        for (int i = 0; i < questions.length; i++) {
            int colon = questions[i].indexOf(':');
            features[i] = Integer.parseInt(questions[i].substring(0, colon));
            thresholds[i] = Float.parseFloat(questions[i].substring(colon + 1));
        }
        String[] values = halves[1].split(" ");
        float[] answers = new float[values.length];
        for (int i = 0; i < values.length; i++) {
            answers[i] = Float.parseFloat(values[i]);
        }
        return new Tree(features, thresholds, answers);
    }

    /** The same text as is read. */
    public String asText() {
        StringBuilder text = new StringBuilder();
        for (Tree tree : trees) {
            for (int i = 0; i < tree.features.length; i++) {
                text.append(tree.features[i])
                        .append(':')
                        .append(tree.thresholds[i])
                        .append(' ');
            }
            text.append('|');
            for (float answer : tree.answers) {
                text.append(String.format(Locale.ROOT, " %.4f", answer));
            }
            text.append('\n');
        }
        return text.toString();
    }

    double logit(double[] numbers) {
        double sum = 0;
        for (Tree tree : trees) {
            sum += tree.answer(numbers);
        }
        return sum;
    }

    /** 0 to 1. */
    public double probability(double[] numbers) {
        return 1 / (1 + StrictMath.exp(-logit(numbers)));
    }
}
