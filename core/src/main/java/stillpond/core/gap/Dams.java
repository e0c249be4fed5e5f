package stillpond.core.gap;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import stillpond.core.refusal.Refusal;

/**
 * Which openings of a layer are dammed.
 *
 * @param reach openings of this strength or more are dammed, unless one of the others says otherwise; 0 (all) to 1 (none)
 * @param shut openings, by index, that are dammed whatever their strength
 * @param open openings, by index, that are not
 * @param inked those of {@code shut} that are drawn in ink as well
 */
public record Dams(double reach, Set<Integer> shut, Set<Integer> open, Set<Integer> inked) {

    public Dams {
        if (!(reach >= 0 && reach <= 1)) {
            throw new Refusal("A reach is 0 to 1, not " + reach + ".");
        }
        shut = inOrder(shut);
        open = inOrder(open);
        inked = inOrder(inked);
        if (shut.stream().anyMatch(open::contains)) {
            throw new Refusal("An opening cannot be both dammed and left open.");
        }
        if (!shut.containsAll(inked)) {
            throw new Refusal("Only a dammed opening can be inked.");
        }
    }

    public static Dams at(double reach) {
        return new Dams(reach, Set.of(), Set.of(), Set.of());
    }

    public boolean isShut(int index, Opening opening) {
        return shut.contains(index) || opening.strength() >= reach && !open.contains(index);
    }

    public Dams shutting(Set<Integer> openings) {
        return new Dams(reach, union(shut, openings), without(open, openings), without(inked, openings));
    }

    public Dams opening(Set<Integer> openings) {
        return new Dams(reach, without(shut, openings), union(open, openings), without(inked, openings));
    }

    public Dams inking(Set<Integer> openings) {
        return new Dams(reach, union(shut, openings), without(open, openings), union(inked, openings));
    }

    public DamState of(int opening) {
        if (inked.contains(opening)) {
            return DamState.INKED;
        }
        return shut.contains(opening) ? DamState.SHUT : open.contains(opening) ? DamState.OPEN : DamState.BY_REACH;
    }

    /** The change that gives some openings a state, and perhaps another reach; what is so already is left out. */
    public DamChange giving(Map<Integer, DamState> states, OptionalDouble newReach) {
        List<DamChange.Swap> swaps = new ArrayList<>();
        new TreeMap<>(states).forEach((opening, state) -> {
            if (of(opening) != state) {
                swaps.add(new DamChange.Swap(opening, of(opening), state));
            }
        });
        boolean moves = newReach.isPresent() && newReach.getAsDouble() != reach;
        return new DamChange(
                swaps, moves ? Optional.of(new DamChange.ReachSwap(reach, newReach.getAsDouble())) : Optional.empty());
    }

    /** The change that takes another one back. What is no longer as that change left it was changed since, and is left alone. */
    public DamChange takingBack(DamChange change) {
        DamChange back = change.inverse();
        return new DamChange(
                back.swaps().stream()
                        .filter(swap -> of(swap.opening()) == swap.before())
                        .toList(),
                back.reach().filter(swap -> swap.before() == reach));
    }

    public Dams after(DamChange change) {
        Dams dams = new Dams(change.reach().map(DamChange.ReachSwap::after).orElse(reach), shut, open, inked);
        for (DamChange.Swap swap : change.swaps()) {
            Set<Integer> one = Set.of(swap.opening());
            dams = switch (swap.after()) {
                case SHUT -> dams.shutting(one);
                case OPEN -> dams.opening(one);
                case INKED -> dams.inking(one);
                case BY_REACH ->
                    new Dams(dams.reach, without(dams.shut, one), without(dams.open, one), without(dams.inked, one));
            };
        }
        return dams;
    }

    /** A copy that is gone through in the same order everywhere. */
    private static Set<Integer> inOrder(Set<Integer> openings) {
        return Collections.unmodifiableSet(new TreeSet<>(openings));
    }

    private static Set<Integer> union(Set<Integer> a, Set<Integer> b) {
        Set<Integer> union = new TreeSet<>(a);
        union.addAll(b);
        return union;
    }

    private static Set<Integer> without(Set<Integer> a, Set<Integer> b) {
        Set<Integer> rest = new TreeSet<>(a);
        rest.removeAll(b);
        return rest;
    }
}
