package stillpond.core.carry;

import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/**
 * Likes that hold both ways: a region of one drawing is most likely like one of the other, and that one, asked in turn, is most likely like it. It takes twice as long as asking once, and complains
 * half as often of what is right; see {@code ./pond bench faults}.
 */
public final class MutualLikes {

    /** The share of the evidence, each way, and how much of both lies on each other. */
    private static final double MOST = 0.5;

    private MutualLikes() {}

    /** The proposals for a drawing that hold both ways; the first choice of each is meant. */
    public static List<Carry.Proposal> between(Carry.Source from, Drawing to) {
        List<Carry.Proposal> there = Carry.from(List.of(from), to).stream()
                .filter(proposal -> proposal.choices().get(0).share() >= MOST
                        && proposal.choices().get(0).overlap() >= MOST)
                .toList();
        int[] itself = new int[to.count()];
        Arrays.setAll(itself, region -> region);
        Map<Integer, Map<Integer, Double>> back = new HashMap<>();
        Carry.from(List.of(new Carry.Source(to, itself)), from.drawing())
                .forEach(proposal -> back.put(
                        proposal.region(),
                        proposal.choices().stream()
                                .collect(Collectors.toMap(Carry.Choice::label, Carry.Choice::share, Double::sum))));
        return there.stream()
                .filter(proposal -> {
                    int like = proposal.choices().get(0).from();
                    return back.getOrDefault(like, Map.of()).getOrDefault(proposal.region(), 0.0) >= MOST;
                })
                .toList();
    }
}
