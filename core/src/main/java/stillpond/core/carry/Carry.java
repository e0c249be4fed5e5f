package stillpond.core.carry;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.IntStream;

/** Brings what the regions of one drawing are of over to another drawing of the same things; see the package. */
public final class Carry {

    /** Of so many poses the one that lays most is taken. */
    private static final int TRIED = 10;
    /** Things may stand in so many poses. */
    private static final int MOST_POSES = 6;
    /** A further pose must lay this share of what the first one laid. */
    private static final double WORTH = 0.12;

    private Carry() {}

    /**
     * What one region gets.
     *
     * @param choices likeliest first; never empty
     * @param confidence that the first choice is right, 0 to 1
     */
    public record Proposal(int region, List<Choice> choices, double confidence) {}

    /**
     * @param label as the source has it
     * @param from the region of the source that says so
     * @param share of the evidence, 0 to 1
     */
    public record Choice(int label, int from, double share) {}

    /**
     * @param labels what each region of {@code from} is of; -1 for regions that say nothing
     * @return for each region of {@code to} for which there is any evidence, in their order
     */
    public static List<Proposal> between(Drawing from, int[] labels, Drawing to) {
        List<Integer> known = IntStream.range(0, labels.length)
                .filter(region -> labels[region] >= 0)
                .boxed()
                .toList();
        if (known.isEmpty()) {
            return List.of();
        }
        Agreement agreement = Agreement.of(from, to, pairings(from, known, to));
        List<Proposal> proposals = new ArrayList<>();
        for (int region = 0; region < to.count(); region++) {
            List<Choice> choices = choices(agreement, region, labels);
            if (!choices.isEmpty()) {
                proposals.add(new Proposal(region, choices, choices.get(0).share()));
            }
        }
        return proposals;
    }

    private static List<Pairing> pairings(Drawing from, List<Integer> known, Drawing to) {
        Set<Integer> left = new TreeSet<>();
        IntStream.range(0, to.count()).forEach(left::add);
        Set<Integer> meant = new TreeSet<>(known);
        List<Pairing> all = new ArrayList<>();
        double most = 0;
        for (int i = 0; i < MOST_POSES && !left.isEmpty(); i++) {
            Bending best = null;
            for (PoseSearch.Found found : new PoseSearch(from, meant, to, left).best(TRIED)) {
                Bending bending = Bending.of(from, known, to, found.pose());
                if (best == null || bending.found() > best.found()) {
                    best = bending;
                }
            }
            if (best == null || best.found() < WORTH * most) {
                break;
            }
            most = Math.max(most, best.found());
            all.addAll(best.pairings());
            Set<Integer> taken = new HashSet<>();
            best.likes().forEach(like -> taken.add(like.to()));
            if (!left.removeAll(taken)) {
                break;
            }
        }
        return all;
    }

    private static List<Choice> choices(Agreement agreement, int region, int[] labels) {
        Map<Integer, Choice> byLabel = new LinkedHashMap<>();
        List<Pairing> candidates = agreement.candidates(region);
        for (int i = 0; i < candidates.size(); i++) {
            double share = agreement.share(region, i);
            int from = candidates.get(i).from();
            byLabel.merge(
                    labels[from],
                    new Choice(labels[from], from, share),
                    (one, other) -> new Choice(one.label(), one.from(), one.share() + other.share()));
        }
        return byLabel.values().stream()
                .sorted(Comparator.comparingDouble((Choice choice) -> -choice.share()))
                .toList();
    }
}
