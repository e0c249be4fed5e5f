package stillpond.bench.flats;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Properties;
import java.util.stream.IntStream;
import stillpond.core.gap.MergeSamples;
import stillpond.core.gap.MergeSamples.Sample;
import stillpond.core.gap.StrengthModel;

/**
 * Fits the weights of the strength model to generated cases and writes them as the resource that ships. Fitted in rounds: the pairs met depend on the order of
 * merging, and so on the model. Newton's method on the penalised likelihood of a logistic regression; each drawing counts alike.
 */
public final class FitStrength {

    private static final int CASES = 240;
    static final int ROUNDS = 3;

    /** Fitted apart, as a quick check that the resource is what this command makes. */
    static final int CHECKED_CASES = 16;

    private static final String CHECK = "check.";
    private static final int STEPS = 12;
    private static final double PENALTY = 1e-5;

    private FitStrength() {}

    public static void main(String[] args) throws IOException {
        StringBuilder text = new StringBuilder("# Weights of the strength model, made by ./pond bench fit from " + CASES
                + " generated drawings (fit-0 to fit-" + (CASES - 1) + ") in " + ROUNDS + " rounds.\n");
        append(text, "", fit(CASES, ROUNDS));
        text.append("# The same from the first ")
                .append(CHECKED_CASES)
                .append(", for the test that this file is up to date.\n");
        append(text, CHECK, fit(CHECKED_CASES, ROUNDS));
        Files.writeString(Path.of(args[0]), text);
        System.out.print(text);
    }

    private static void append(StringBuilder text, String prefix, double[] weights) {
        for (int i = 0; i < weights.length; i++) {
            text.append(String.format(
                    Locale.ROOT,
                    "%s%s=%.4f%n",
                    prefix,
                    StrengthModel.featureNames().get(i),
                    weights[i]));
        }
    }

    /** What the shipped resource says was fitted to the first few cases. */
    static double[] storedCheck() {
        Properties stored = new Properties();
        try (InputStream in = StrengthModel.class.getResourceAsStream("strength.properties")) {
            stored.load(in);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return StrengthModel.featureNames().stream()
                .mapToDouble(name -> Double.parseDouble(stored.getProperty(CHECK + name)))
                .toArray();
    }

    /** @param cases how many of the generated cases are fitted to, from the first on */
    public static double[] fit(int cases, int rounds) {
        List<MergeSamples> drawings = IntStream.range(0, cases)
                .parallel()
                .mapToObj(CaseMaker::fitting)
                .map(drawn -> MergeSamples.of(FlatsBench.ink(drawn), drawn.truth()))
                .toList();
        StrengthModel order = StrengthModel.plain();
        double[] weights = new double[0];
        for (int round = 0; round < rounds; round++) {
            StrengthModel model = order;
            weights = newton(drawings.parallelStream()
                    .map(drawing -> drawing.inOrderOf(model))
                    .toList());
            order = StrengthModel.of(weights);
        }
        return weights;
    }

    private static double[] newton(List<List<Sample>> drawings) {
        int n = StrengthModel.featureNames().size();
        double[] weights = new double[n];
        for (int step = 0; step < STEPS; step++) {
            double[] gradient = new double[n];
            double[][] curvature = new double[n][n];
            for (int i = 0; i < n; i++) {
                gradient[i] = -PENALTY * weights[i];
                curvature[i][i] = PENALTY;
            }
            for (List<Sample> samples : drawings) {
                for (Sample sample : samples) {
                    add(sample, 1.0 / drawings.size() / Math.max(20, samples.size()), weights, gradient, curvature);
                }
            }
            double[] change = solve(curvature, gradient);
            for (int i = 0; i < n; i++) {
                weights[i] += change[i];
            }
        }
        return weights;
    }

    private static void add(Sample sample, double share, double[] weights, double[] gradient, double[][] curvature) {
        double[] x = sample.features();
        double sum = 0;
        for (int i = 0; i < x.length; i++) {
            sum += weights[i] * x[i];
        }
        double p = 1 / (1 + Math.exp(-sum));
        double error = (sample.dam() ? 1 : 0) - p;
        double spread = Math.max(1e-6, p * (1 - p));
        for (int i = 0; i < x.length; i++) {
            gradient[i] += share * error * x[i];
            for (int j = 0; j < x.length; j++) {
                curvature[i][j] += share * spread * x[i] * x[j];
            }
        }
    }

    /** Gaussian elimination with partial pivoting. */
    private static double[] solve(double[][] matrix, double[] right) {
        int n = right.length;
        List<double[]> rows = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            double[] row = new double[n + 1];
            System.arraycopy(matrix[i], 0, row, 0, n);
            row[n] = right[i];
            rows.add(row);
        }
        for (int column = 0; column < n; column++) {
            int pivot = column;
            for (int i = column + 1; i < n; i++) {
                pivot = Math.abs(rows.get(i)[column]) > Math.abs(rows.get(pivot)[column]) ? i : pivot;
            }
            rows.add(column, rows.remove(pivot));
            for (int i = column + 1; i < n; i++) {
                double factor = rows.get(i)[column] / rows.get(column)[column];
                for (int j = column; j <= n; j++) {
                    rows.get(i)[j] -= factor * rows.get(column)[j];
                }
            }
        }
        double[] solution = new double[n];
        for (int i = n - 1; i >= 0; i--) {
            double sum = rows.get(i)[n];
            for (int j = i + 1; j < n; j++) {
                sum -= rows.get(i)[j] * solution[j];
            }
            solution[i] = sum / rows.get(i)[i];
        }
        return solution;
    }
}
