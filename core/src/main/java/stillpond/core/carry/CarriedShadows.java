package stillpond.core.carry;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.IntSupplier;
import java.util.stream.IntStream;
import stillpond.core.cell.CellGraph;
import stillpond.core.gap.Regions;
import stillpond.core.shadow.Base;
import stillpond.core.shadow.Shadow;
import stillpond.core.shadow.Shadows;

/**
 * Brings shadows and rims over to another drawing, in the pose in which the regions of their bases were found there. What only some of its base has a like for comes along if that is
 * half of it at the least.
 *
 * @param graph the cells of the drawing that they come from
 * @param regions of those
 * @param source its number among the sources of the proposals
 */
public record CarriedShadows(CellGraph graph, Regions regions, int source) {

    private static final double ENOUGH = 0.5;

    /** A shadow as it would lie on the other drawing, and the one that it comes from. */
    public record Carried(Shadow shadow, int from) {}

    /**
     * @param all from back to front
     * @param bases the cells of the base of each, by number
     * @param proposals for the other drawing; only what is sure counts
     * @param there the regions of the other drawing
     * @param present what lies there already: one of the same name on some of the same cells is not brought again
     * @param numbers that are free there
     */
    public List<Carried> onto(
            Shadows all,
            Map<Integer, Set<Integer>> bases,
            Collection<Carry.Proposal> proposals,
            Regions there,
            Shadows present,
            IntSupplier numbers) {
        Map<Integer, List<Carry.Proposal>> likes = new HashMap<>();
        proposals.stream()
                .filter(each -> each.isSure() && each.choices().get(0).source() == source)
                .forEach(each -> likes.computeIfAbsent(each.choices().get(0).from(), any -> new ArrayList<>())
                        .add(each));
        List<Carried> carried = new ArrayList<>();
        double front = present.all().stream().mapToDouble(Shadow::rank).max().orElse(0);
        for (Shadow shadow : all.all()) {
            Optional<Carried> found = carried(shadow, bases.get(shadow.number()), likes, there, numbers, front + 1);
            if (found.isPresent() && !isThere(found.get().shadow(), present)) {
                carried.add(found.get());
                front++;
            }
        }
        return carried;
    }

    private Optional<Carried> carried(
            Shadow shadow,
            Set<Integer> base,
            Map<Integer, List<Carry.Proposal>> likes,
            Regions there,
            IntSupplier numbers,
            double rank) {
        Map<Integer, Long> areas = new TreeMap<>();
        base.forEach(cell ->
                areas.merge(regions.of(cell), (long) graph.cells().get(cell).areaPx(), Long::sum));
        Set<Integer> cells = new TreeSet<>();
        long whole = 0;
        long found = 0;
        long largest = 0;
        Pose pose = null;
        for (Map.Entry<Integer, Long> part : areas.entrySet()) {
            whole += part.getValue();
            for (Carry.Proposal like : likes.getOrDefault(part.getKey(), List.of())) {
                IntStream.range(0, there.ofCells().length)
                        .filter(cell -> there.of(cell) == like.region())
                        .forEach(cells::add);
                if (part.getValue() > largest) {
                    largest = part.getValue();
                    pose = like.choices().get(0).pose();
                }
            }
            found += likes.containsKey(part.getKey()) ? part.getValue() : 0;
        }
        if (pose == null || found < ENOUGH * whole) {
            return Optional.empty();
        }
        Base onThem = shadow.base().equals(Base.LAID) ? Base.LAID : new Base.Cells(List.copyOf(cells));
        Shadow moved = shadow.placed(pose.placed()).copied(numbers.getAsInt(), rank, onThem);
        return Optional.of(new Carried(moved, shadow.number()));
    }

    private static boolean isThere(Shadow shadow, Shadows present) {
        return present.all().stream()
                .filter(each -> each.name().equals(shadow.name()))
                .anyMatch(each -> each.base().equals(shadow.base())
                        || new HashSet<>(each.base().named())
                                .removeAll(new HashSet<>(shadow.base().named())));
    }
}
