package stillpond.bench.carry;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.IntFunction;
import java.util.stream.IntStream;
import stillpond.bench.carry.CarryScore.Prepared;
import stillpond.bench.flats.Case;
import stillpond.bench.flats.CaseFiles;
import stillpond.bench.flats.Half;
import stillpond.core.carry.CarryWeights;

/** Finds the weights of carry, from those that ship: one after the other is made more or less while that makes more right, on made pairs and on pairs made of the fitting half of real drawings. Writes the resource that ships. */
final class FitCarry {

    private static final int MADE = 60;
    private static final int ROUNDS = 3;
    private static final double[] STEPS = {0.8, 1.25};
    /** Better by less is noise. */
    private static final double LEAST_GAIN = 0.0005;

    /** Kinds of pairs, which count alike however many there are of each. */
    private final List<List<Prepared>> kinds;

    private FitCarry(List<List<Prepared>> kinds) {
        this.kinds = kinds;
    }

    /** @param args where the resource goes, and the folder of real cases */
    public static void main(String[] args) throws IOException {
        Path folder = Path.of(args[1]);
        List<String> names = CaseFiles.names(folder).stream()
                .filter(name -> Half.of(name) == Half.FITTING)
                .toList();
        FitCarry fit = new FitCarry(List.of(
                made(PairMaker::bent),
                made(PairMaker::jointed),
                prepared(names.size(), at -> RealPairs.of(read(folder, names.get(at)), 2))));
        CarryWeights before = CarryWeights.shipped();
        CarryWeights found = fit.better(before);
        String from =
                "# Made by ./pond bench carry fit, from %d made pairs and %d of real drawings: %.4f, before %.4f.%n"
                        .formatted(2 * MADE, names.size(), fit.merit(found), fit.merit(before));
        Files.writeString(Path.of(args[0]).resolve("carry.weights"), from + found.text());
    }

    private static List<Prepared> made(IntFunction<CarryCase> maker) {
        // Others than those of the benchmark, which are the first.
        return prepared(MADE, at -> maker.apply(1000 + at));
    }

    private static List<Prepared> prepared(int count, IntFunction<CarryCase> cases) {
        return IntStream.range(0, count)
                .parallel()
                .mapToObj(cases)
                .map(Prepared::of)
                .toList();
    }

    private CarryWeights better(CarryWeights start) {
        CarryWeights best = start;
        double merit = merit(best);
        for (int round = 0; round < ROUNDS; round++) {
            double before = merit;
            for (String name : start.named().keySet()) {
                for (double step : STEPS) {
                    CarryWeights tried = scaled(best, name, step);
                    double its = merit(tried);
                    if (its > merit + LEAST_GAIN) {
                        best = tried;
                        merit = its;
                        System.out.printf(
                                "%s = %.4f: %.4f%n", name, best.named().get(name), merit);
                        break;
                    }
                }
            }
            if (merit == before) {
                break;
            }
        }
        return best;
    }

    private static CarryWeights scaled(CarryWeights weights, String name, double by) {
        Map<String, Double> named = new HashMap<>(weights.named());
        named.merge(name, by, (value, factor) -> value * factor);
        return CarryWeights.of(named);
    }

    private double merit(CarryWeights weights) {
        return kinds.stream()
                .mapToDouble(kind -> kind.parallelStream()
                        .map(pair -> CarryScore.of(pair, weights))
                        .reduce(CarryScore.NONE, CarryScore::plus)
                        .merit())
                .average()
                .orElseThrow();
    }

    private static Case read(Path folder, String name) {
        try {
            return CaseFiles.read(folder, name);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
