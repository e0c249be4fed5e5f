package stillpond.app.sheet;

import java.time.Clock;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import stillpond.app.sheet.StoredChange.Origin;
import stillpond.core.fill.Change;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.fill.Opacity;
import stillpond.core.fill.Swap;
import stillpond.core.fill.UndoLine;

/** The log of every sheet, each author's place in it, and the fills that it leads to; written together, within the transaction of whoever makes a change. */
@Component
class ChangeLog {

    private final ChangeRepository changes;
    private final UndoHeadRepository heads;
    private final CellFillRepository fills;
    private final Clock clock;

    ChangeLog(ChangeRepository changes, UndoHeadRepository heads, CellFillRepository fills, Clock clock) {
        this.changes = changes;
        this.heads = heads;
        this.fills = fills;
        this.clock = clock;
    }

    /** A row of the log, and what becomes of the fills of its layer. */
    record Entry(StoredChange stored, Change fills) {}

    Optional<StoredChange> find(UUID change) {
        return changes.findById(change);
    }

    UndoLine<UUID> line(UUID sheet, UUID author) {
        return heads.findById(new UndoHead.Key(sheet, author))
                .map(UndoHead::line)
                .orElse(UndoLine.root());
    }

    StoredTree tree(UUID sheet, UUID author) {
        return new StoredTree(changes, sheet, author);
    }

    /** All that a layer wears. */
    Map<Integer, Fill> worn(UUID layer) {
        return fills.findByKeyLayerId(layer).stream().collect(Collectors.toMap(CellFill::cell, CellFill::fill));
    }

    /** What some cells of a layer wear. */
    Fills current(UUID layer, List<Integer> cells) {
        return Fills.of(
                fills.findInLayer(layer, cells).stream().collect(Collectors.toMap(CellFill::cell, CellFill::fill)));
    }

    Origin origin(StoredSheet sheet, UUID layer, UUID author) {
        return new Origin(sheet.id(), layer, author, sheet.nextRevision(), clock.instant());
    }

    /** What was done last about a change: the change itself, or the newest undo or redo of it. The next step takes back this, and nothing else. */
    StoredChange lastStep(UUID change) {
        return changes.findLastSteps(new UUID[] {change}).get(0);
    }

    /** The changes that the author can take back, newest first, and do again, next first; at the most so many of each. */
    UndoableChanges undoable(UUID sheet, UUID author, int most) {
        UndoLine<UUID> line = line(sheet, author);
        StoredTree tree = tree(sheet, author);
        List<UUID> redoable = new ArrayList<>();
        Optional<UndoLine.Step<UUID>> next = line.redo(tree);
        while (next.isPresent() && redoable.size() < most) {
            redoable.add(next.get().change());
            next = next.get().after().redo(tree);
        }
        List<UUID> undoable = line.head()
                .map(head -> changes.findLine(head, most).stream()
                        .map(StoredChange::getId)
                        .toList())
                .orElse(List.of());
        return new UndoableChanges(asLastDone(undoable), asLastDone(redoable));
    }

    private List<MadeChange> asLastDone(List<UUID> ids) {
        Map<UUID, StoredChange> lastSteps = changes.findLastSteps(ids.toArray(UUID[]::new)).stream()
                .collect(Collectors.toMap(step -> step.concerns().orElse(step.getId()), Function.identity()));
        return ids.stream().map(id -> lastSteps.get(id).asMade().named(id)).toList();
    }

    ChangeOutcome keep(Entry entry, UndoLine<UUID> line) {
        StoredChange stored = entry.stored();
        changes.saveAndFlush(stored);
        UndoHead.Key key = new UndoHead.Key(stored.sheetId(), stored.authorId());
        UndoHead head = heads.findById(key).orElseGet(() -> new UndoHead(stored.sheetId(), stored.authorId()));
        head.moveTo(line);
        heads.saveAndFlush(head);
        write(stored.layerId(), entry.fills());
        return new ChangeOutcome.Made(stored.asMade());
    }

    void write(UUID layer, Change change) {
        Map<Integer, UUID> swatches = new TreeMap<>();
        Map<Integer, Fill> made = new TreeMap<>();
        List<Integer> cleared = new ArrayList<>();
        for (Swap swap : change.swaps()) {
            Fill fill = swap.after();
            if (fill.equals(Fill.NONE)) {
                cleared.add(swap.cell());
            } else if (fill instanceof Fill.Flat flat && flat.opacity().equals(Opacity.FULL)) {
                swatches.put(swap.cell(), flat.swatch());
            } else {
                made.put(swap.cell(), fill);
            }
        }
        if (!swatches.isEmpty()) {
            fills.lay(layer, cellsOf(swatches), swatches.values().toArray(UUID[]::new));
        }
        if (!made.isEmpty()) {
            Map<UUID, UUID> instead = replacements(made.values());
            String[] texts = made.values().stream()
                    .map(fill -> fill.wearing(swatch -> instead.getOrDefault(swatch, swatch))
                            .text())
                    .toArray(String[]::new);
            fills.layMade(layer, cellsOf(made), texts);
        }
        if (!cleared.isEmpty()) {
            fills.clear(layer, cleared.toArray(Integer[]::new));
        }
    }

    private static Integer[] cellsOf(Map<Integer, ?> byCell) {
        return byCell.keySet().toArray(Integer[]::new);
    }

    private Map<UUID, UUID> replacements(Collection<Fill> made) {
        UUID[] named = made.stream()
                .flatMap(fill -> fill.swatches().stream())
                .distinct()
                .toArray(UUID[]::new);
        return fills.replacements(named).stream()
                .collect(Collectors.toMap(
                        CellFillRepository.Replacement::getRemoved, CellFillRepository.Replacement::getInstead));
    }
}
