package stillpond.core.carry;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import stillpond.core.carry.Carry.Choice;

/**
 * What several sources say of one region, taken together.
 *
 * <p>Those that say the same would all have to be wrong: per label they are joined by a noisy-or (J. Pearl, Probabilistic Reasoning in Intelligent Systems,
 * 1988, 4.3.2). Where sources are convinced of different things, each votes with how certain it is, and nothing is sure.
 */
final class Votes {

    /** From this share on a source is convinced. One that is less so has no vote: it may not show at all what the region is of. */
    private static final double CONVINCED = 0.5;

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
                    .filter(first -> first.share() >= CONVINCED)
                    .ifPresent(first -> votes.merge(first.label(), first.share(), Double::sum));
        }
        Map<Integer, Choice> counted = votes.size() < 2 ? joined : contested(joined, votes);
        return counted.values().stream()
                .sorted(Comparator.comparingDouble((Choice choice) -> -choice.share())
                        .thenComparingInt(Choice::label))
                .toList();
    }

    private static Choice either(Choice one, Choice other) {
        Choice stronger = other.share() > one.share() ? other : one;
        return stronger.with(1 - (1 - one.share()) * (1 - other.share()));
    }

    /** Each label gets the part of all votes that it was given; what nobody is convinced of, nothing. */
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
