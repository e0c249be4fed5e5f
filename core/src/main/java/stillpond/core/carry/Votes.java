package stillpond.core.carry;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import stillpond.core.carry.Carry.Choice;

/**
 * What several sources say of one region, taken together.
 *
 * <p>Where all put the same first, they would all have to be wrong: per label they are joined by a noisy-or (J. Pearl, Probabilistic Reasoning in Intelligent
 * Systems, 1988, 4.3.2), and of the labels at most one holds. Where they put different things first, each votes with how certain it is, and nothing is sure.
 */
final class Votes {

    /** No number of sources makes anything certain. */
    private static final double MOST = 1 - 1e-9;

    private Votes() {}

    /**
     * @param said by label, what each source says that speaks of the region; none is empty
     * @return likeliest first
     */
    static List<Choice> counted(List<Map<Integer, Choice>> said) {
        Map<Integer, Choice> joined = new TreeMap<>();
        Map<Integer, Double> votes = new TreeMap<>();
        for (Map<Integer, Choice> one : said) {
            one.forEach((label, choice) -> joined.merge(label, choice, Votes::either));
            one.values().stream()
                    .max(Comparator.comparingDouble(Choice::share))
                    .ifPresent(first -> votes.merge(first.label(), first.share(), Double::sum));
        }
        Map<Integer, Choice> counted =
                said.size() < 2 ? joined : votes.size() < 2 ? exclusive(joined) : contested(joined, votes);
        return counted.values().stream()
                .sorted(Comparator.comparingDouble((Choice choice) -> -choice.share())
                        .thenComparingInt(Choice::label))
                .toList();
    }

    private static Choice either(Choice one, Choice other) {
        Choice stronger = other.share() > one.share() ? other : one;
        return stronger.with(1 - (1 - one.share()) * (1 - other.share()));
    }

    /** What is left of each label if no two of them can hold: its odds against none, times the chance of none. */
    private static Map<Integer, Choice> exclusive(Map<Integer, Choice> joined) {
        double all = 1 + joined.values().stream().mapToDouble(Votes::odds).sum();
        Map<Integer, Choice> left = new TreeMap<>();
        joined.forEach((label, choice) -> left.put(label, choice.with(odds(choice) / all)));
        return left;
    }

    private static double odds(Choice choice) {
        double share = Math.min(MOST, choice.share());
        return share / (1 - share);
    }

    /** Each label gets the part of all votes that it was given; what nobody puts first, nothing. */
    private static Map<Integer, Choice> contested(Map<Integer, Choice> joined, Map<Integer, Double> votes) {
        double all = votes.values().stream().mapToDouble(each -> each).sum();
        Map<Integer, Choice> shared = new TreeMap<>();
        votes.forEach((label, given) -> {
            Choice choice = joined.get(label);
            shared.put(label, choice.with(choice.share() * given / all));
        });
        return shared;
    }
}
