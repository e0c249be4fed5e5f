package stillpond.core.carry;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** Brings what the regions of one drawing are of over to another drawing of the same things; see the package. */
public final class Carry {

    /** Of so many poses the one that lays most is taken. */
    private static final int TRIED = 10;
    /** Things may stand in so many poses. */
    private static final int MOST_POSES = 6;
    /** What a pose that may be an accident says is no more than a guess. */
    private static final double A_GUESS = 0.2;

    /** From this share of the evidence on, where likes overlap enough, 99 of 100 first choices are right on made pairs of drawings and on pairs made of real ones. */
    private static final double SURE = 0.95;
    /** What lies behind a figure is covered by it too; likes also have about the same outline. */
    private static final double SURE_OVERLAP = 0.3;

    /** With less overlap a region only lies near to what is carried, as the wall behind a figure does. */
    private static final double COVERED = 0.05;

    private Carry() {}

    /**
     * What one region gets.
     *
     * @param choices likeliest first; never empty
     */
    public record Proposal(int region, List<Choice> choices) {

        /** Whether the first choice can be laid without looking. */
        public boolean isSure() {
            return choices.get(0).share() >= SURE && choices.get(0).overlap() >= SURE_OVERLAP;
        }

        /** Whether what is carried lies over it at all. */
        public boolean isCovered() {
            return choices.get(0).overlap() >= COVERED;
        }
    }

    /**
     * @param label as the sources have it
     * @param source which of the sources says so
     * @param from the region of that source that says so
     * @param share of the evidence, 0 to 1
     * @param overlap of that region with the one spoken of, laid over it; 0 to 1
     * @param pose that lays it over, in pixels of both pages
     */
    public record Choice(int label, int source, int from, double share, double overlap, Pose pose) {
        Choice with(double other) {
            return new Choice(label, source, from, other, overlap, pose);
        }
    }

    /**
     * A drawing to carry from.
     *
     * @param labels what each region is of; -1 for regions that say nothing
     * @param corrected how often the likes of a region turned out to be of something else, by region and label
     */
    public record Source(Drawing drawing, int[] labels, Map<Integer, Map<Integer, Integer>> corrected) {

        public Source(Drawing drawing, int[] labels) {
            this(drawing, labels, Map.of());
        }

        /** How much of what its like says goes to each label. */
        private Map<Integer, Double> weights(int region) {
            Map<Integer, Integer> others = corrected.getOrDefault(region, Map.of());
            double all = 1 + others.values().stream().mapToInt(count -> count).sum();
            Map<Integer, Double> weights = new TreeMap<>();
            weights.put(labels[region], 1 / all);
            others.forEach((label, count) -> weights.merge(label, count / all, Double::sum));
            return weights;
        }
    }

    /** Where several sources speak of a region, each votes; see {@link Votes}. @return for each region for which there is any evidence, in their order */
    public static List<Proposal> from(List<Source> sources, Drawing to) {
        return from(sources, to, CarryWeights.shipped());
    }

    /** Likewise, weighed otherwise. */
    public static List<Proposal> from(List<Source> sources, Drawing to, CarryWeights weights) {
        List<List<Map<Integer, Choice>>> byRegion = new ArrayList<>();
        for (int region = 0; region < to.count(); region++) {
            byRegion.add(new ArrayList<>());
        }
        for (int source = 0; source < sources.size(); source++) {
            gather(sources.get(source), source, to, weights, byRegion);
        }
        List<Proposal> proposals = new ArrayList<>();
        for (int region = 0; region < to.count(); region++) {
            List<Choice> choices = Votes.counted(byRegion.get(region));
            if (!choices.isEmpty()) {
                proposals.add(new Proposal(region, choices));
            }
        }
        return proposals;
    }

    private static void gather(
            Source source, int number, Drawing to, CarryWeights weights, List<List<Map<Integer, Choice>>> byRegion) {
        int[] labels = source.labels();
        Set<Integer> known = IntStream.range(0, labels.length)
                .filter(region -> labels[region] >= 0)
                .boxed()
                .collect(Collectors.toCollection(TreeSet::new));
        if (known.isEmpty()) {
            return;
        }
        Evidence evidence = evidence(source.drawing(), known, to, weights);
        Agreement agreement = Agreement.of(source.drawing(), to, evidence.pairings(), weights);
        for (int region = 0; region < to.count(); region++) {
            Map<Integer, Choice> own = new TreeMap<>();
            List<Pairing> candidates = agreement.candidates(region);
            for (int i = 0; i < candidates.size(); i++) {
                int from = candidates.get(i).from();
                double overlap = candidates.get(i).overlap();
                Pose pose = candidates.get(i).pose().onPages(source.drawing().pixelPx(), to.pixelPx());
                double share = evidence.trust() * agreement.share(region, i);
                // The like of a region that says nothing is one of which nothing is known.
                source.weights(from).entrySet().stream()
                        .filter(each -> each.getKey() >= 0)
                        .forEach(each -> own.merge(
                                each.getKey(),
                                new Choice(each.getKey(), number, from, share * each.getValue(), overlap, pose),
                                Carry::adding));
            }
            if (!own.isEmpty()) {
                byRegion.get(region).add(own);
            }
        }
    }

    private static Choice adding(Choice one, Choice other) {
        Choice stronger = other.share() > one.share() ? other : one;
        return new Choice(
                one.label(),
                one.source(),
                stronger.from(),
                one.share() + other.share(),
                stronger.overlap(),
                stronger.pose());
    }

    /** @param trust how far what they say is believed, 0 to 1 */
    private record Evidence(List<Pairing> pairings, double trust) {}

    private static Evidence evidence(Drawing from, Set<Integer> known, Drawing to, CarryWeights weights) {
        Set<Integer> meant = new TreeSet<>(known);
        IntStream.range(0, from.count())
                .filter(region -> !from.reachesEdge(region))
                .forEach(meant::add);
        Set<Integer> left = new TreeSet<>();
        IntStream.range(0, to.count()).forEach(left::add);
        List<Pairing> all = new ArrayList<>();
        for (int i = 0; i < MOST_POSES && !left.isEmpty(); i++) {
            Looking looking = new Looking(from, meant, to, left, weights);
            Optional<Bending> touching = looking.best(known, PoseSearch.Partners::touching, PoseSearch::best);
            Optional<Bending> best = i > 0
                    ? touching
                    : touching.filter(Bending::isTrusted)
                            .or(() -> looking.best(meant, PoseSearch.Partners::near, PoseSearch::best)
                                    .filter(Bending::isTrusted))
                            .or(() -> better(
                                    touching,
                                    looking.best(known, PoseSearch.Partners::touching, PoseSearch::bestAlone)));
            if (best.isEmpty()) {
                break;
            }
            if (!best.get().isTrusted()) {
                return all.isEmpty() ? new Evidence(best.get().pairings(), A_GUESS) : new Evidence(all, 1);
            }
            all.addAll(best.get().pairings());
            Set<Integer> taken = new HashSet<>();
            best.get().likes().forEach(like -> taken.add(like.to()));
            left.removeAll(taken);
        }
        return new Evidence(all, 1);
    }

    /** The first if they lay as much. */
    private static Optional<Bending> better(Optional<Bending> one, Optional<Bending> other) {
        return Stream.concat(one.stream(), other.stream())
                .reduce((first, second) -> second.found() > first.found() ? second : first);
    }

    /** What is laid over what. @param meant regions of the first that are @param left regions of the second that are not spoken for yet */
    private record Looking(Drawing from, Set<Integer> meant, Drawing to, Set<Integer> left, CarryWeights weights) {

        private interface Search {
            List<PoseSearch.Found> of(PoseSearch search, int most);
        }

        /** @param counted the regions by which poses are judged */
        Optional<Bending> best(Set<Integer> counted, PoseSearch.Partners partners, Search search) {
            return search.of(new PoseSearch(from, counted, to, left, partners), TRIED).parallelStream()
                    .map(found -> Bending.of(from, meant, counted, to, found.pose(), weights))
                    .reduce((first, second) -> second.found() > first.found() ? second : first);
        }
    }
}
