package stillpond.app.sheet;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.UnaryOperator;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import stillpond.app.history.Effect;
import stillpond.app.history.EffectKind;
import stillpond.app.history.History;
import stillpond.core.cell.CellSplit;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.ledger.CellGroup;
import stillpond.core.ledger.CellGroups;
import stillpond.core.refusal.Refusal;

/** The groups of each layer. */
@Component
@Transactional
public class LayerGroups implements EffectKind<Effect.Grouped> {

    private final GroupRepository groups;
    private final SheetRepository sheets;
    private final LayerSwaps swaps;
    private final History history;

    LayerGroups(GroupRepository groups, SheetRepository sheets, LayerSwaps swaps, History history) {
        this.groups = groups;
        this.sheets = sheets;
        this.swaps = swaps;
        this.history = history;
    }

    @Transactional(readOnly = true)
    public CellGroups of(UUID layer) {
        return asGroups(groups.findByKeyLayerIdOrderByPosition(layer));
    }

    /** Those alone whose fills must stay: asked with every fill. */
    CellGroups locked(UUID layer) {
        return asGroups(groups.findByKeyLayerIdAndLockedTrueOrderByPosition(layer));
    }

    private static CellGroups asGroups(List<StoredGroup> stored) {
        return new CellGroups(stored.stream().map(StoredGroup::asGroup).toList());
    }

    /**
     * Changes the groups of a sheet's layer, as one change.
     *
     * @param words what is done, for the history
     */
    public CellGroups change(Sheet sheet, UUID author, String words, UnaryOperator<CellGroups> change) {
        return change(UUID.randomUUID(), sheet, author, words, change);
    }

    /** As above. @param id of the change in the history, if there is anything to change */
    public CellGroups change(UUID id, Sheet sheet, UUID author, String words, UnaryOperator<CellGroups> change) {
        StoredSheet stored = sheets.findAndLock(sheet.id()).orElseThrow();
        UUID layer = sheet.layer().id();
        if (!stored.layer(layer).isCurrent()) {
            throw new Refusal(SheetChanges.ANALYSED_ANEW);
        }
        CellGroups before = of(layer);
        CellGroups changed = change.apply(before);
        if (!changed.equals(before)) {
            write(layer, changed);
            history.keep(
                    id,
                    sheet.project(),
                    author,
                    words,
                    "",
                    List.of(new Effect.Grouped(sheet.id(), layer, before, changed)));
        }
        return changed;
    }

    @Override
    public Class<Effect.Grouped> effects() {
        return Effect.Grouped.class;
    }

    @Override
    public Done done(UUID project, UUID author, Effect.Grouped effect) {
        StoredSheet sheet = sheets.findById(effect.onSheet()).orElseThrow();
        StoredLayer then = sheet.layer(effect.layer());
        StoredLayer now = sheet.inPlaceOf(then);
        UnaryOperator<CellGroups> here = then == now
                ? UnaryOperator.identity()
                : groups -> inTheSamePlace(groups, then.asLayer(), now.asLayer());
        CellGroups present = of(now.id());
        CellGroups.TakenBack back = present.takingBack(here.apply(effect.after()), here.apply(effect.before()));
        if (back.groups().equals(present)) {
            return new Done(Optional.empty(), back.leftAlone());
        }
        write(now.id(), back.groups());
        return new Done(
                Optional.of(new Effect.Grouped(sheet.id(), now.id(), present, back.groups())), back.leftAlone());
    }

    private void write(UUID layer, CellGroups wanted) {
        groups.clear(layer);
        List<StoredGroup> stored = new ArrayList<>();
        for (CellGroup group : wanted.groups()) {
            stored.add(new StoredGroup(layer, stored.size(), group));
        }
        groups.saveAllAndFlush(stored);
    }

    /** Brings the groups of a layer over to the one that takes its place. */
    void carry(Layer old, Layer fresh) {
        write(fresh.id(), inTheSamePlace(of(old.id()), old, fresh));
    }

    /** Brings the groups over to a layer that takes its place again, unless they are still those that it had. */
    void carryBack(Layer present, Layer former) {
        CellGroups then = of(former.id());
        CellGroups now = of(present.id());
        List<CellGroup> faces = faces(then);
        if (!faces.equals(faces(now))) {
            write(former.id(), inTheSamePlace(now, present, former));
        }
    }

    /** Groups without what they hold. */
    private static List<CellGroup> faces(CellGroups groups) {
        return groups.groups().stream()
                .map(group -> new CellGroup(group.id(), group.name(), group.isHidden(), group.isLocked(), List.of()))
                .toList();
    }

    private CellGroups inTheSamePlace(CellGroups groups, Layer old, Layer fresh) {
        if (groups.groups().isEmpty()) {
            return groups;
        }
        Map<Integer, Fill> marks = new HashMap<>();
        groups.groups().forEach(group -> group.cells().forEach(cell -> marks.put(cell, Fill.flat(group.id()))));
        Fills moved = swaps.inTheSamePlace(old, Fills.of(marks), fresh);
        return groups.inCells(group -> moved.filled().stream()
                .filter(cell -> moved.of(cell).equals(Fill.flat(group.id())))
                .toList());
    }

    /** The same cells, some of them split in parts. */
    void carrySplit(UUID old, UUID fresh, List<CellSplit.Parts> split) {
        CellGroups groups = of(old);
        write(fresh, groups.inCells(group -> {
            Set<Integer> all = new LinkedHashSet<>(group.cells());
            split.stream().filter(parts -> all.contains(parts.cell())).forEach(parts -> all.addAll(parts.parts()));
            return List.copyOf(all);
        }));
    }

    void copy(UUID from, UUID to) {
        write(to, of(from));
    }
}
