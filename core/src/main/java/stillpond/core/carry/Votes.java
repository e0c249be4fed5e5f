package stillpond.core.carry;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import stillpond.core.carry.Carry.Choice;

/**
 * What several sources say of one region, taken together: each votes with what it says. Sources that say the same would all have to be wrong; sources that
 * say different things cannot all be right, so neither is sure of it any more.
 *
 * <p>Per label the sources are joined by a noisy-or (J. Pearl, Probabilistic Reasoning in Intelligent Systems, 1988, 4.3.2); of the labels at most one holds.
 */
final class Votes {

    /** No number of sources makes anything so certain that one that says otherwise is not heard. */
    private static final double MOST = 0.995;

    private Votes() {}

    /**
     * @param said by label, what each source says that speaks of the region; none is empty
     * @return likeliest first
     */
    static List<Choice> counted(List<Map<Integer, Choice>> said) {
        Map<Integer, Choice> joined = new TreeMap<>();
        said.forEach(one -> one.forEach((label, choice) -> joined.merge(label, choice, Votes::either)));
        return (said.size() < 2 ? joined : exclusive(joined))
                .values().stream()
                        .sorted(Comparator.comparingDouble((Choice choice) -> -choice.share())
                                .thenComparingInt(Choice::label))
                        .toList();
    }

    private static Choice either(Choice one, Choice other) {
        Choice stronger = other.share() > one.share() ? other : one;
        return stronger.with(1 - (1 - one.share()) * (1 - other.share()));
    }

    /** What is left of each label if no two of them can hold. */
    private static Map<Integer, Choice> exclusive(Map<Integer, Choice> joined) {
        // The odds of a label against none of them, times the chance of none, are the chance that it alone holds.
        double all = 1 + joined.values().stream().mapToDouble(Votes::odds).sum();
        Map<Integer, Choice> left = new TreeMap<>();
        joined.forEach((label, choice) -> left.put(label, choice.with(odds(choice) / all)));
        return left;
    }

    private static double odds(Choice choice) {
        return within(choice) / (1 - within(choice));
    }

    private static double within(Choice choice) {
        return Math.min(MOST, choice.share());
    }
}
