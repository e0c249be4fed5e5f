package stillpond.core.blockin;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import stillpond.core.refusal.Refusal;

/**
 * What a layer is blocked in with.
 *
 * @param all from back to front: where shapes lie over each other, the one in front is seen
 * @param lines that were drawn to divide shapes, but do not meet a border or another line at both ends
 */
public record Shapes(List<Shape> all, List<LooseLine> lines) {

    public static final Shapes NONE = new Shapes(List.of(), List.of());

    /** More are refused: nobody can tell so many apart, and each costs every desk its part. */
    public static final int MOST = 2000;

    private static final int MOST_LINES = 500;

    public Shapes {
        all = List.copyOf(all);
        lines = List.copyOf(lines);
        if (all.size() > MOST) {
            throw new Refusal("A layer holds up to 2,000 shapes; these would be " + all.size()
                    + ". Nothing was changed. Join some, or go on in a layer of its own.");
        }
        if (lines.size() > MOST_LINES) {
            throw new Refusal("A layer holds up to 500 lines that do not meet. Extend some, or take them away.");
        }
        if (all.stream().map(Shape::number).distinct().count() != all.size()) {
            throw new Refusal("Two shapes have the same number.");
        }
    }

    public Optional<Shape> find(int number) {
        return all.stream().filter(shape -> shape.number() == number).findFirst();
    }

    /** @throws Refusal if there is none */
    public Shape get(int number) {
        return find(number).orElseThrow(() -> new Refusal("There is no such shape any more."));
    }

    /** How many cells they make, the ground included: one for each number up to the highest. */
    public int cells() {
        return 1 + all.stream().mapToInt(Shape::number).max().orElse(0);
    }

    /** The cells that there are: the ground, and one of each shape. */
    public Set<Integer> cellNumbers() {
        Set<Integer> numbers = new HashSet<>(Set.of(0));
        all.forEach(shape -> numbers.add(shape.number()));
        return numbers;
    }

    /** The lowest numbers that are free. */
    public List<Integer> free(int count) {
        Set<Integer> taken = new HashSet<>();
        all.forEach(shape -> taken.add(shape.number()));
        List<Integer> free = new ArrayList<>();
        for (int number = 1; free.size() < count; number++) {
            if (!taken.contains(number)) {
                free.add(number);
            }
        }
        return free;
    }

    /** Puts shapes into the place of those with their numbers, and new ones in front of all. */
    public Shapes putting(Collection<Shape> shapes) {
        Map<Integer, Shape> put = new HashMap<>();
        shapes.forEach(shape -> put.put(shape.number(), shape));
        List<Shape> now = new ArrayList<>();
        for (Shape shape : all) {
            Shape other = put.remove(shape.number());
            now.add(other == null ? shape : other);
        }
        shapes.stream().filter(shape -> put.containsKey(shape.number())).forEach(now::add);
        return new Shapes(now, lines);
    }

    /** Puts shapes into the place of one. */
    Shapes replacing(int number, List<Shape> by) {
        List<Shape> now = new ArrayList<>();
        for (Shape shape : all) {
            if (shape.number() == number) {
                now.addAll(by);
            } else {
                now.add(shape);
            }
        }
        return new Shapes(now, lines);
    }

    public Shapes without(Set<Integer> numbers) {
        return new Shapes(
                all.stream().filter(shape -> !numbers.contains(shape.number())).toList(),
                lines.stream().filter(line -> !numbers.contains(line.shape())).toList());
    }

    Shapes withLines(List<LooseLine> others) {
        return new Shapes(all, others);
    }

    /** Lets shapes change their place in the order by one step among those that they touch, or by all. @param by below 0 towards the back */
    public Shapes moving(Set<Integer> numbers, int by) {
        List<Shape> moved =
                all.stream().filter(shape -> numbers.contains(shape.number())).toList();
        List<Shape> rest =
                all.stream().filter(shape -> !numbers.contains(shape.number())).toList();
        if (moved.isEmpty()) {
            return this;
        }
        int first = all.indexOf(moved.get(0));
        int last = all.indexOf(moved.get(moved.size() - 1));
        long behind = all.subList(0, by > 0 ? last : first).stream()
                .filter(rest::contains)
                .count();
        int to = (int) Math.max(0, Math.min(rest.size(), behind + by));
        List<Shape> now = new ArrayList<>(rest);
        now.addAll(to, moved);
        return new Shapes(now, lines);
    }

    /** Directly behind the rearmost of some others, so that what lies under those is hidden. */
    public Shapes tuckedUnder(int number, Set<Integer> others) {
        Shape shape = get(number);
        List<Shape> now = new ArrayList<>(all);
        now.remove(shape);
        int rearmost = 0;
        while (rearmost < now.size() && !others.contains(now.get(rearmost).number())) {
            rearmost++;
        }
        now.add(rearmost, shape);
        return new Shapes(now, lines);
    }

    /** Numbers of shapes that are exactly where another one in front of them is, so that nothing of them can be seen. */
    public Set<Integer> doubled() {
        Set<Integer> doubled = new TreeSet<>();
        Set<List<?>> seen = new HashSet<>();
        for (int i = all.size() - 1; i >= 0; i--) {
            if (!seen.add(all.get(i).loops())) {
                doubled.add(all.get(i).number());
            }
        }
        return doubled;
    }

    /**
     * Takes what somebody sends.
     *
     * @param put new shapes and those that are others now
     * @param order of all numbers, from back to front; what is not in it is gone
     * @param loose all lines that do not meet
     * @throws Refusal if a shape covers nothing, lies exactly on another, or is none of these
     */
    public Shapes becoming(List<Shape> put, List<Integer> order, List<LooseLine> loose) {
        Map<Integer, Shape> known = new HashMap<>();
        all.forEach(shape -> known.put(shape.number(), shape));
        put.forEach(shape -> known.put(shape.number(), shape.required()));
        List<Shape> now = new ArrayList<>();
        for (int number : order) {
            Shape shape = known.get(number);
            if (shape == null) {
                throw new Refusal("There is no shape " + number + " here any more. Nothing was changed.");
            }
            now.add(shape);
        }
        Shapes becoming = new Shapes(now, loose);
        Set<Integer> doubled = becoming.doubled();
        if (!doubled().containsAll(doubled)) {
            throw new Refusal(
                    "There is a shape exactly like this already, at the same place. Move one of them, or keep one only.");
        }
        return becoming;
    }
}
