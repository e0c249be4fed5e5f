package stillpond.core.carry;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import stillpond.core.gap.Regions;
import stillpond.core.ledger.CellGroup;
import stillpond.core.ledger.CellGroups;

/**
 * Brings groups over to another drawing: what is surely like a region of a group belongs to a group of that name there.
 *
 * @param regions of the drawing that they come from
 * @param source its number among the sources of the proposals
 */
public record CarriedGroups(Regions regions, int source) {

    /**
     * @param groups that come over; neither hidden nor locked, since that is said of the other drawing
     * @param proposals for the other drawing; only what is sure counts
     * @param there the regions of the other drawing
     * @param present the groups there: what is in one of them stays in it, and one of the same name gets the cells
     * @param ids of groups that are new there
     * @return those that are there then, the new ones behind the others
     */
    public CellGroups onto(
            CellGroups groups,
            Collection<Carry.Proposal> proposals,
            Regions there,
            CellGroups present,
            Supplier<UUID> ids) {
        Map<Integer, CellGroup> groupOf = new HashMap<>();
        groups.groups().forEach(group -> group.cells().forEach(cell -> groupOf.put(cell, group)));
        Set<Integer> taken = new HashSet<>();
        present.groups().forEach(group -> taken.addAll(group.cells()));
        CellGroups after = present;
        for (CellGroup group : groups.groups()) {
            Set<Integer> cells = new TreeSet<>();
            proposals.stream()
                    .filter(each -> each.isSure() && each.choices().get(0).source() == source)
                    .filter(each -> isMostlyIn(each.choices().get(0).from(), group, groupOf))
                    .forEach(each -> IntStream.range(0, there.ofCells().length)
                            .filter(cell -> there.of(cell) == each.region())
                            .filter(cell -> !taken.contains(cell))
                            .forEach(cells::add));
            if (!cells.isEmpty()) {
                after = with(after, group.name(), cells, ids);
            }
        }
        return after;
    }

    private boolean isMostlyIn(int region, CellGroup group, Map<Integer, CellGroup> groupOf) {
        int[] all = IntStream.range(0, regions.ofCells().length)
                .filter(cell -> regions.of(cell) == region)
                .toArray();
        long inside = IntStream.of(all)
                .filter(cell -> group.equals(groupOf.get(cell)))
                .count();
        return 2 * inside > all.length;
    }

    private static CellGroups with(CellGroups present, String name, Set<Integer> cells, Supplier<UUID> ids) {
        List<CellGroup> all = new ArrayList<>();
        boolean isThere = false;
        for (CellGroup group : present.groups()) {
            boolean isMeant = !isThere && group.name().equals(name);
            if (isMeant) {
                Set<Integer> more = new TreeSet<>(group.cells());
                more.addAll(cells);
                all.add(new CellGroup(group.id(), name, group.isHidden(), group.isLocked(), List.copyOf(more)));
            } else {
                all.add(group);
            }
            isThere |= isMeant;
        }
        if (!isThere) {
            all.add(new CellGroup(ids.get(), name, false, false, List.copyOf(cells)));
        }
        return new CellGroups(all);
    }
}
