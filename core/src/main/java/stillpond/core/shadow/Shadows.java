package stillpond.core.shadow;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.stream.Stream;
import stillpond.core.history.Reversal;
import stillpond.core.refusal.Refusal;

/**
 * The shadows and rims of a layer, from back to front.
 *
 * <p>Values: every act gives new ones.
 */
public record Shadows(List<Shadow> all) {

    public static final Shadows NONE = new Shadows(List.of());

    /** More than anybody draws on one page, few enough to be laid in a moment. */
    public static final int MOST = 500;

    public Shadows {
        all = all.stream()
                .sorted(Comparator.comparingDouble(Shadow::rank).thenComparingInt(Shadow::number))
                .toList();
        if (all.size() > MOST) {
            throw new Refusal("A sheet has up to 500 shadows and rims. Remove some first.");
        }
        Set<Integer> seen = new HashSet<>();
        all.forEach(each -> {
            if (!seen.add(each.number())) {
                throw new Refusal("There are two shadows with the number " + each.number() + ".");
            }
        });
    }

    /** One shadow before and after a change; empty where it was not there. */
    public record Swap(Optional<Shadow> before, Optional<Shadow> after) {
        public Swap inverse() {
            return new Swap(after, before);
        }

        private int number() {
            return before.or(() -> after).orElseThrow().number();
        }
    }

    /** Those after a change was taken back. @param swaps what that has changed @param leftAlone how many stay, since they were changed since */
    public record TakenBack(Shadows shadows, List<Swap> swaps, int leftAlone) {}

    public Optional<Shadow> find(int number) {
        return all.stream().filter(each -> each.number() == number).findFirst();
    }

    /** @throws Refusal if it is not there */
    public Shadow get(int number) {
        return find(number).orElseThrow(() -> new Refusal("This shadow is not there any more."));
    }

    /** One more, in front of the others. @throws Refusal if its number is taken, or there are too many */
    public Shadows adding(Shadow shadow) {
        if (find(shadow.number()).isPresent()) {
            throw new Refusal("There is a shadow with this number already.");
        }
        requireBase(shadow);
        double front = all.isEmpty() ? 0 : all.get(all.size() - 1).rank() + 1;
        return with(Stream.of(shadow.ranked(front)));
    }

    /** As {@link #adding}, one by one. */
    public Shadows addingAll(List<Shadow> more) {
        Shadows added = this;
        for (Shadow each : more) {
            added = added.adding(each);
        }
        return added;
    }

    /** With another in the place of the one with its number, which keeps its place in the order. */
    public Shadows changing(Shadow shadow) {
        Shadow before = get(shadow.number());
        if (!before.base().equals(shadow.base())) {
            requireBase(shadow);
        }
        return with(Stream.of(shadow.ranked(before.rank())));
    }

    private static void requireBase(Shadow shadow) {
        if (!shadow.base().equals(Base.LAID) && shadow.base().named().isEmpty()) {
            throw new Refusal("A shadow needs a base: point at what it is to lie on, or gather that first.");
        }
    }

    public Shadows without(int number) {
        get(number);
        return new Shadows(all.stream().filter(each -> each.number() != number).toList());
    }

    /** @param by how many places towards the front; as far as it goes */
    public Shadows moving(int number, int by) {
        Shadow moved = get(number);
        List<Shadow> others = new ArrayList<>(all);
        int from = others.indexOf(moved);
        others.remove(from);
        int to = Math.max(0, Math.min(others.size(), from + by));
        if (to == from) {
            return this;
        }
        double rank = to == 0
                ? others.get(0).rank() - 1
                : to == others.size()
                        ? others.get(to - 1).rank() + 1
                        : (others.get(to - 1).rank() + others.get(to).rank()) / 2;
        return with(Stream.of(moved.ranked(rank)));
    }

    /** @param by percent points of strength for each; as far as it goes */
    public Shadows strengthening(Collection<Integer> numbers, int by) {
        return with(numbers.stream().map(this::get).map(each -> each.stronger(by)));
    }

    /** The same over other cells, after the layer was cut anew. @param translate the cells in the place of some */
    public Shadows inCells(Function<List<Integer>, Collection<Integer>> translate) {
        return new Shadows(all.stream()
                .map(each -> each.on(each.base().inCells(translate)))
                .toList());
    }

    private Shadows with(Stream<Shadow> others) {
        Map<Integer, Shadow> byNumber = new TreeMap<>(byNumber());
        others.forEach(each -> byNumber.put(each.number(), each));
        return new Shadows(List.copyOf(byNumber.values()));
    }

    /** What another state changes of this one. */
    public List<Swap> becoming(Shadows others) {
        Map<Integer, Shadow> before = byNumber();
        Map<Integer, Shadow> after = others.byNumber();
        Set<Integer> numbers = new TreeSet<>(before.keySet());
        numbers.addAll(after.keySet());
        return numbers.stream()
                .filter(number -> !Objects.equals(before.get(number), after.get(number)))
                .map(number ->
                        new Swap(Optional.ofNullable(before.get(number)), Optional.ofNullable(after.get(number))))
                .toList();
    }

    /** Takes a change back; what was changed since is left alone. */
    public TakenBack takingBack(List<Swap> swaps) {
        Map<Integer, Shadow> before = new HashMap<>();
        Map<Integer, Shadow> after = new HashMap<>();
        swaps.forEach(swap -> {
            swap.before().ifPresent(each -> before.put(swap.number(), each));
            swap.after().ifPresent(each -> after.put(swap.number(), each));
        });
        Reversal<Integer, Shadow> back = Reversal.of(byNumber(), before, after);
        Shadows then = new Shadows(List.copyOf(back.entries().values()));
        return new TakenBack(then, becoming(then), back.leftAlone().size());
    }

    private Map<Integer, Shadow> byNumber() {
        Map<Integer, Shadow> byNumber = new TreeMap<>();
        all.forEach(each -> byNumber.put(each.number(), each));
        return byNumber;
    }
}
