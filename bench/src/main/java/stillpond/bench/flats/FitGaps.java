package stillpond.bench.flats;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Random;
import java.util.function.Function;
import java.util.function.IntFunction;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import stillpond.core.gap.BoostedTrees;
import stillpond.core.gap.GapSamples;
import stillpond.core.gap.GapSamples.Sample;
import stillpond.core.gap.StrengthModel;

/**
 * Fits all models of gap closing and writes them as the resources that ship: to generated drawings, to real ones ({@link ClipartCases}), and to real ones with gaps cut into
 * them ({@link GapCutter}).
 *
 * <p>In rounds: the pairs met depend on the order of merging, and so on the model. What a region is is fitted to trees of a model that has not seen the drawing, and the
 * second judgement to first ones of such a model: each half of the drawings is judged by what is fitted to the other.
 */
public final class FitGaps {

    private static final int GENERATED = 240;
    private static final int ROUNDS = 3;

    /** Up to this strength pairs are joined in the order of the model, right or wrong. */
    private static final double MODEL_ORDER = 0.6;

    private static final Boosting.Settings STRENGTH = new Boosting.Settings(150, 5, 0.08, 3, 5, 0.7);
    private static final Boosting.Settings REGION = new Boosting.Settings(300, 6, 0.06, 3, 5, 0.7);

    /** Fitted in a moment, as a check that the resources are what this command makes. */
    private static final Boosting.Settings QUICK = new Boosting.Settings(8, 3, 0.3, 3, 5, 0.7);

    private static final int QUICK_CASES = 10;

    private final Boosting.Settings strengthSettings;
    private final Boosting.Settings regionSettings;
    private final int rounds;

    private FitGaps(Boosting.Settings strengthSettings, Boosting.Settings regionSettings, int rounds) {
        this.strengthSettings = strengthSettings;
        this.regionSettings = regionSettings;
        this.rounds = rounds;
    }

    /** What is fitted, by the names of the resources. */
    record Fitted(BoostedTrees strength, BoostedTrees region, BoostedTrees regionAmid) {}

    /** @param args where the resources go; folders of real cases; and last, of these, the one whose reporting half nothing may be fitted to */
    public static void main(String[] args) throws IOException {
        Path resources = Path.of(args[0]);
        List<SameDrawing> reported = reported(Path.of(args[args.length - 1]));
        List<GapSamples> drawings = new ArrayList<>(samples(GENERATED, CaseMaker::fitting));
        int generated = drawings.size();
        for (int i = 1; i < args.length - 1; i++) {
            Path folder = Path.of(args[i]);
            List<String> names = CaseFiles.names(folder);
            drawings.addAll(samples(names.size(), at -> unlessReported(read(folder, names.get(at)), reported)));
            drawings.addAll(samples(names.size(), at -> {
                Case real = unlessReported(read(folder, names.get(at)), reported);
                return real == null ? null : GapCutter.cut(real, new Random(at));
            }));
        }
        Fitted fitted = new FitGaps(STRENGTH, REGION, ROUNDS).fit(drawings);
        String from = "# Made by ./pond bench fit from " + generated + " generated drawings and "
                + (drawings.size() - generated) / 2 + " real ones, these with gaps cut into them too.\n";
        write(resources.resolve("strength.trees"), from + "# Check: " + quickCheck() + "\n", fitted.strength());
        write(resources.resolve("region.trees"), from, fitted.region());
        write(resources.resolve("region-amid.trees"), from, fitted.regionAmid());
    }

    private static void write(Path file, String remarks, BoostedTrees trees) throws IOException {
        Files.writeString(file, remarks + trees.asText());
    }

    /** A fingerprint of what the same code fits to a few generated cases: changes with the drawings, the closures found, the features and the fitting. */
    static String quickCheck() {
        Fitted fitted = new FitGaps(QUICK, QUICK, 1).fit(samples(QUICK_CASES, CaseMaker::fitting));
        return Integer.toHexString(fitted.strength().asText().hashCode()) + "-"
                + Integer.toHexString(fitted.region().asText().hashCode()) + "-"
                + Integer.toHexString(fitted.regionAmid().asText().hashCode());
    }

    private static List<SameDrawing> reported(Path folder) throws IOException {
        return CaseFiles.names(folder).stream()
                .filter(name -> Half.of(name) == Half.REPORTING)
                .map(name -> new SameDrawing(read(folder, name).line()))
                .toList();
    }

    /** Null if it is one of the reported ones, perhaps drawn at another size. */
    private static Case unlessReported(Case real, List<SameDrawing> reported) {
        SameDrawing own = new SameDrawing(real.line());
        return reported.stream().anyMatch(own::isLike) ? null : real;
    }

    private static Case read(Path folder, String name) {
        try {
            return CaseFiles.read(folder, name);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static List<GapSamples> samples(int count, IntFunction<Case> cases) {
        return IntStream.range(0, count)
                .parallel()
                .mapToObj(cases)
                .filter(Objects::nonNull)
                .map(drawn -> GapSamples.of(FlatsBench.ink(drawn), drawn.truth()))
                .toList();
    }

    private Fitted fit(List<GapSamples> drawings) {
        List<GapSamples> odd = everySecond(drawings, 1);
        List<GapSamples> even = everySecond(drawings, 0);
        StrengthModel byOdd = StrengthModel.of(strength(odd));
        StrengthModel byEven = StrengthModel.of(strength(even));
        List<Sample> ofOdd = all(odd, drawing -> drawing.ofRegions(byEven));
        List<Sample> ofEven = all(even, drawing -> drawing.ofRegions(byOdd));
        BoostedTrees regionByOdd = Boosting.fit(ofOdd, regionSettings);
        BoostedTrees regionByEven = Boosting.fit(ofEven, regionSettings);
        BoostedTrees region = Boosting.fit(joined(ofOdd, ofEven), regionSettings);
        BoostedTrees amid = Boosting.fit(
                joined(
                        all(odd, drawing -> drawing.ofRegions(byEven, regionByEven)),
                        all(even, drawing -> drawing.ofRegions(byOdd, regionByOdd))),
                regionSettings);
        return new Fitted(strength(drawings), region, amid);
    }

    private BoostedTrees strength(List<GapSamples> drawings) {
        StrengthModel order = StrengthModel.plain();
        BoostedTrees fitted = null;
        for (int round = 0; round < rounds; round++) {
            StrengthModel model = order;
            double level = round == 0 ? 0 : MODEL_ORDER;
            fitted = Boosting.fit(all(drawings, drawing -> drawing.ofPairs(model, level)), strengthSettings);
            order = StrengthModel.of(fitted);
        }
        return fitted;
    }

    private static List<GapSamples> everySecond(List<GapSamples> drawings, int from) {
        return IntStream.range(0, drawings.size())
                .filter(i -> i % 2 == from)
                .mapToObj(drawings::get)
                .toList();
    }

    private static List<Sample> all(List<GapSamples> drawings, Function<GapSamples, List<Sample>> samples) {
        return drawings.parallelStream().map(samples).flatMap(List::stream).collect(Collectors.toList());
    }

    private static List<Sample> joined(List<Sample> a, List<Sample> b) {
        List<Sample> joined = new ArrayList<>(a);
        joined.addAll(b);
        return joined;
    }
}
