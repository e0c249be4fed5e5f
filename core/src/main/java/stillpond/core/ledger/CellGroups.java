package stillpond.core.ledger;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.history.Reversal;
import stillpond.core.palette.Palette;
import stillpond.core.refusal.Refusal;

/**
 * The groups of a layer, from front to back. A cell is in one of them at the most, and none is empty.
 *
 * <p>Values: every act gives new groups.
 */
public record CellGroups(List<CellGroup> groups) {

    public static final CellGroups NONE = new CellGroups(List.of());

    public CellGroups {
        groups = List.copyOf(groups);
        Set<Integer> seen = new HashSet<>();
        for (CellGroup group : groups) {
            for (int cell : group.cells()) {
                if (!seen.add(cell)) {
                    throw new Refusal("Cell " + cell + " is in two groups.");
                }
            }
        }
    }

    /** Makes a group, in front of the others, of some cells, which leave those that they were in. */
    public CellGroups making(UUID id, String name, Collection<Integer> cells) {
        List<CellGroup> all = new ArrayList<>();
        all.add(new CellGroup(id, name, false, false, List.copyOf(cells)));
        Set<Integer> taken = new HashSet<>(cells);
        for (CellGroup group : groups) {
            all.add(group.with(
                    group.cells().stream().filter(cell -> !taken.contains(cell)).toList()));
        }
        return withoutEmpty(all);
    }

    /** Makes a group for each fill that cells in no group wear, behind the others, in the order of the cards; named from part and card. */
    public CellGroups forEachColour(Fills fills, int cellCount, Palette palette) {
        Set<Integer> grouped = new HashSet<>();
        groups.forEach(group -> grouped.addAll(group.cells()));
        Map<Fill, List<Integer>> cells = new LinkedHashMap<>();
        palette.cards()
                .forEach(card ->
                        card.swatches().forEach(swatch -> cells.put(Fill.flat(swatch.id()), new ArrayList<>())));
        IntStream.range(0, cellCount)
                .filter(cell -> !grouped.contains(cell))
                .filter(cell -> !fills.of(cell).equals(Fill.NONE))
                .forEach(cell -> cells.computeIfAbsent(fills.of(cell), any -> new ArrayList<>())
                        .add(cell));
        List<CellGroup> all = new ArrayList<>(groups);
        cells.forEach((fill, wearing) -> {
            if (!wearing.isEmpty()) {
                all.add(new CellGroup(UUID.randomUUID(), name(palette, fill), false, false, wearing));
            }
        });
        return new CellGroups(all);
    }

    private static String name(Palette palette, Fill fill) {
        List<UUID> swatches = fill.swatches();
        String first = name(palette, swatches.get(0));
        if (fill instanceof Fill.Gradient) {
            return first + " to " + name(palette, swatches.get(swatches.size() - 1));
        }
        return fill instanceof Fill.Pattern pattern ? pattern.motif() + " in " + first : first;
    }

    private static String name(Palette palette, UUID id) {
        String part = FillNames.partAlone(id, palette);
        return FillNames.card(id, palette)
                .map(each -> part + ", " + each.name())
                .orElse(part);
    }

    /** Another name, or hidden or locked or not, for one group. */
    public CellGroups changing(UUID id, UnaryOperator<CellGroup> change) {
        require(id);
        return new CellGroups(groups.stream()
                .map(group -> group.id().equals(id) ? change.apply(group) : group)
                .toList());
    }

    /** @param by how many places towards the back; as far as it goes */
    public CellGroups moving(UUID id, int by) {
        CellGroup moved = require(id);
        List<CellGroup> all = new ArrayList<>(groups);
        int from = all.indexOf(moved);
        all.remove(from);
        all.add(Math.max(0, Math.min(all.size(), from + by)), moved);
        return new CellGroups(all);
    }

    /** The cells of a removed group are in none. */
    public CellGroups without(UUID id) {
        require(id);
        return new CellGroups(
                groups.stream().filter(group -> !group.id().equals(id)).toList());
    }

    /** The groups with other cells in the place of theirs, after the layer was cut anew. */
    public CellGroups inCells(Function<CellGroup, List<Integer>> translate) {
        Set<Integer> taken = new HashSet<>();
        List<CellGroup> all = new ArrayList<>();
        for (CellGroup group : groups) {
            all.add(group.with(
                    translate.apply(group).stream().filter(taken::add).toList()));
        }
        return withoutEmpty(all);
    }

    /** Groups after a change of them was taken back. @param leftAlone how many stay, since they were changed since */
    public record TakenBack(CellGroups groups, int leftAlone) {}

    /**
     * Takes a change back: each group goes back unless it was changed since, and so does their order. A group that comes back leaves cells that are in
     * another one meanwhile to that.
     */
    public TakenBack takingBack(CellGroups before, CellGroups after) {
        Reversal<UUID, CellGroup> back = Reversal.of(byId(), before.byId(), after.byId());
        List<UUID> order = new ArrayList<>(ids().equals(after.ids()) ? before.ids() : ids());
        for (UUID id : before.ids()) {
            if (!order.contains(id)) {
                order.add(Math.min(before.ids().indexOf(id), order.size()), id);
            }
        }
        back.entries().keySet().stream().filter(id -> !order.contains(id)).forEach(order::add);
        Map<Integer, UUID> owner = new HashMap<>();
        groups.forEach(group -> group.cells().forEach(cell -> owner.put(cell, group.id())));
        Map<UUID, CellGroup> entries = back.entries();
        List<CellGroup> all = order.stream()
                .filter(entries::containsKey)
                .map(id -> entries.get(id)
                        .with(entries.get(id).cells().stream()
                                .filter(cell -> isFree(cell, id, owner, entries))
                                .toList()))
                .toList();
        return new TakenBack(withoutEmpty(all), back.leftAlone().size());
    }

    /** Whether no other group that has a cell now goes on having it. */
    private static boolean isFree(int cell, UUID group, Map<Integer, UUID> owner, Map<UUID, CellGroup> entries) {
        UUID has = owner.get(cell);
        return has == null
                || has.equals(group)
                || !entries.containsKey(has)
                || !entries.get(has).cells().contains(cell);
    }

    private Map<UUID, CellGroup> byId() {
        Map<UUID, CellGroup> byId = new LinkedHashMap<>();
        groups.forEach(group -> byId.put(group.id(), group));
        return byId;
    }

    private List<UUID> ids() {
        return groups.stream().map(CellGroup::id).toList();
    }

    /** Why some cells keep their fills, if one of them is in a locked group; for the user. */
    public Optional<String> objectionTo(Collection<Integer> cells) {
        Set<Integer> asked = new HashSet<>(cells);
        return groups.stream()
                .filter(group -> group.isLocked() && group.cells().stream().anyMatch(asked::contains))
                .findFirst()
                .map(group -> "The group '" + group.name() + "' is locked. Unlock it in the ledger to fill it.");
    }

    private CellGroup require(UUID id) {
        return groups.stream()
                .filter(group -> group.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new Refusal("This group is not there any more."));
    }

    private static CellGroups withoutEmpty(List<CellGroup> groups) {
        return new CellGroups(
                groups.stream().filter(group -> !group.cells().isEmpty()).toList());
    }
}
