package stillpond.app.sheet;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import stillpond.app.palette.Palettes;
import stillpond.app.sheet.ChangeLog.Entry;
import stillpond.app.sheet.StoredChange.Kind;
import stillpond.app.sheet.StoredChange.Origin;
import stillpond.core.fill.Change;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.fill.Swap;
import stillpond.core.fill.UndoLine;
import stillpond.core.gap.DamChange;
import stillpond.core.palette.Palette;

/** Makes changes: each is one row of the sheet's log, written together with the state that it changes. */
@Service
@Transactional
public class SheetChanges {

    static final String ANALYSED_ANEW = "This sheet was analysed anew meanwhile; it is shown as it is now.";
    private static final Change NO_FILLS = new Change(List.of());

    private final SheetRepository sheets;
    private final ChangeLog log;
    private final Palettes palettes;
    private final LayerSwaps swaps;
    private final LayerDams layerDams;
    private final LayerGroups groups;
    private final ApplicationEventPublisher events;

    SheetChanges(
            SheetRepository sheets,
            ChangeLog log,
            Palettes palettes,
            LayerSwaps swaps,
            LayerDams layerDams,
            LayerGroups groups,
            ApplicationEventPublisher events) {
        this.sheets = sheets;
        this.log = log;
        this.palettes = palettes;
        this.swaps = swaps;
        this.layerDams = layerDams;
        this.groups = groups;
        this.events = events;
    }

    /**
     * Makes one change, or tells why not. Asking again with the same id answers as the first time and changes nothing.
     *
     * @throws java.util.NoSuchElementException if there is no such sheet
     */
    public ChangeOutcome make(UUID sheetId, UUID author, ChangeRequest request) {
        return makeAll(sheetId, author, List.of(request)).get(0);
    }

    /**
     * Makes changes in their order. One that is refused does not hold up the others; but if any of them cannot be asked for, none is made.
     *
     * @throws UnfitChange for the first that cannot be asked for; it names the change
     * @throws java.util.NoSuchElementException if there is no such sheet
     */
    public List<ChangeOutcome> makeAll(UUID sheetId, UUID author, List<ChangeRequest> requests) {
        StoredSheet present = sheets.findAndLock(sheetId).orElseThrow();
        List<ChangeOutcome> outcomes = requests.stream()
                .map(request -> makeOne(sheetId, author, request))
                .toList();
        if (outcomes.stream().anyMatch(ChangeOutcome.Made.class::isInstance)) {
            events.publishEvent(
                    SheetChanged.by(author, present.projectId(), sheetId, SheetChanged.What.FILLS_AND_DAMS));
        }
        return outcomes;
    }

    private ChangeOutcome makeOne(UUID sheetId, UUID author, ChangeRequest request) {
        // Looked up for each: what lays fills in bulk leaves nothing of the session behind.
        StoredSheet sheet = sheets.findAndLock(sheetId).orElseThrow();
        try {
            return makeOn(sheet, author, request);
        } catch (IllegalArgumentException problem) {
            throw new UnfitChange(request.id(), problem.getMessage());
        }
    }

    private ChangeOutcome makeOn(StoredSheet sheet, UUID author, ChangeRequest request) {
        Optional<StoredChange> earlier = log.find(request.id());
        if (earlier.isPresent()) {
            return answerAgain(earlier.get(), sheet, author);
        }
        if (request instanceof ChangeRequest.Lay lay) {
            return lay(sheet, author, lay);
        }
        if (request instanceof ChangeRequest.Dam dam) {
            return dam(sheet, author, dam);
        }
        if (request instanceof ChangeRequest.Undo undo) {
            return step(sheet, author, undo.id(), Kind.UNDO, undo.concerns());
        }
        ChangeRequest.Redo redo = (ChangeRequest.Redo) request;
        return step(sheet, author, redo.id(), Kind.REDO, redo.concerns());
    }

    /** The changes that the author can take back, newest first, and do again, next first; at the most so many of each. */
    @Transactional(readOnly = true)
    public UndoableChanges undoable(UUID sheet, UUID author, int most) {
        return log.undoable(sheet, author, most);
    }

    private static ChangeOutcome answerAgain(StoredChange earlier, StoredSheet sheet, UUID author) {
        boolean same =
                earlier.sheetId().equals(sheet.id()) && earlier.authorId().equals(author);
        return same
                ? new ChangeOutcome.Made(earlier.asMade())
                : new ChangeOutcome.Refused(earlier.getId(), "Another change has this number already.");
    }

    private ChangeOutcome lay(StoredSheet sheet, UUID author, ChangeRequest.Lay asked) {
        ChangeRequest.Lay lay = onPresentLayer(sheet, asked);
        Optional<String> objection = objectionTo(sheet, lay);
        if (objection.isPresent()) {
            return new ChangeOutcome.Refused(lay.id(), objection.get());
        }
        Change change = log.current(lay.layer(), lay.cells()).laying(lay.fillByCell());
        if (change.isEmpty()) {
            return new ChangeOutcome.Unneeded(lay.id());
        }
        UndoLine<UUID> line = log.line(sheet.id(), author);
        StoredChange stored = StoredChange.fill(lay.id(), line.head(), log.origin(sheet, lay.layer(), author), change);
        return log.keep(new Entry(stored, change), line.made(lay.id()));
    }

    /** A fill that was on its way while the sheet was cut anew is laid in the same place. */
    private ChangeRequest.Lay onPresentLayer(StoredSheet sheet, ChangeRequest.Lay lay) {
        Optional<StoredLayer> then = sheet.find(lay.layer());
        boolean isKnown = then.isPresent()
                && lay.cells().stream()
                        .allMatch(
                                cell -> cell >= 0 && cell < then.get().asLayer().cellCount());
        if (!isKnown || then.get().isCurrent()) {
            return lay;
        }
        StoredLayer now = sheet.inPlaceOf(then.get());
        Map<Integer, Fill> fillByCell = new HashMap<>();
        lay.fillByCell().entrySet().stream()
                .collect(Collectors.groupingBy(
                        Map.Entry::getValue, Collectors.mapping(Map.Entry::getKey, Collectors.toSet())))
                .forEach((fill, cells) -> swaps.inTheSamePlace(then.get().asLayer(), cells, now.asLayer())
                        .forEach(cell -> fillByCell.put(cell, fill)));
        return new ChangeRequest.Lay(lay.id(), now.id(), fillByCell);
    }

    private ChangeOutcome dam(StoredSheet sheet, UUID author, ChangeRequest.Dam dam) {
        Optional<StoredLayer> layer = sheet.currentLayers().stream()
                .filter(each -> each.id().equals(dam.layer()))
                .findFirst();
        if (layer.isEmpty()) {
            return new ChangeOutcome.Refused(dam.id(), ANALYSED_ANEW);
        }
        int openings = layerDams.openings(layer.get().asLayer()).openings().size();
        if (dam.states().keySet().stream().anyMatch(opening -> opening < 0 || opening >= openings)) {
            return new ChangeOutcome.Refused(dam.id(), "The line art has no such gap any more.");
        }
        DamChange change = layerDams.of(layer.get().asLayer()).giving(dam.states(), dam.reach());
        if (change.isEmpty()) {
            return new ChangeOutcome.Unneeded(dam.id());
        }
        layerDams.write(layer.get(), change);
        UndoLine<UUID> line = log.line(sheet.id(), author);
        StoredChange stored = StoredChange.dams(dam.id(), line.head(), log.origin(sheet, dam.layer(), author), change);
        return log.keep(new Entry(stored, NO_FILLS), line.made(dam.id()));
    }

    private Optional<String> objectionTo(StoredSheet sheet, ChangeRequest.Lay lay) {
        Optional<Layer> layer = sheet.asSheet().layers().stream()
                .filter(each -> each.id().equals(lay.layer()))
                .findFirst();
        if (layer.isEmpty()) {
            return Optional.of(ANALYSED_ANEW);
        }
        List<Integer> cells = lay.cells();
        if (cells.isEmpty()) {
            return Optional.of("No region was named.");
        }
        if (cells.get(0) < 0 || cells.get(cells.size() - 1) >= layer.get().cellCount()) {
            return Optional.of("The line art has no such region any more.");
        }
        Optional<String> locked = groups.locked(lay.layer()).objectionTo(cells);
        if (locked.isPresent()) {
            return locked;
        }
        Palette palette = palettes.of(sheet.projectId());
        boolean isOnCards = lay.fillByCell().values().stream()
                .distinct()
                .allMatch(fill -> fill.swatches().stream().allMatch(palette::has));
        return isOnCards ? Optional.empty() : Optional.of("This swatch is on none of the project's cards any more.");
    }

    private ChangeOutcome step(StoredSheet sheet, UUID author, UUID id, Kind kind, UUID concerns) {
        UndoLine<UUID> line = log.line(sheet.id(), author);
        StoredTree tree = log.tree(sheet.id(), author);
        Optional<UndoLine.Step<UUID>> step = kind == Kind.UNDO ? line.undo(tree) : line.redo(tree);
        if (step.isEmpty() || !step.get().change().equals(concerns)) {
            return new ChangeOutcome.Refused(
                    id, "Your changes went on elsewhere since; the sheet is shown as it is now.");
        }
        StoredChange concerned = log.find(concerns).orElseThrow();
        Entry entry;
        if (concerned.replaced().isPresent()) {
            entry = stepOfRecut(sheet, author, id, kind, concerned);
        } else if (concerned.concernsDams()) {
            entry = stepOfDams(sheet, author, id, kind, concerns);
        } else {
            entry = stepOfFill(sheet, author, id, kind, concerns);
        }
        return log.keep(entry, step.get().after());
    }

    private Entry stepOfFill(StoredSheet sheet, UUID author, UUID id, Kind kind, UUID concerns) {
        StoredChange last = log.lastStep(concerns);
        StoredLayer then = sheet.layer(last.layerId());
        StoredLayer now = sheet.inPlaceOf(then);
        Change toTakeBack = then == now ? last.change() : inTheSamePlace(last.change(), then.asLayer(), now.asLayer());
        List<Integer> cells = toTakeBack.swaps().stream().map(Swap::cell).toList();
        Change change = log.current(now.id(), cells).takingBack(toTakeBack);
        return new Entry(StoredChange.step(id, kind, concerns, log.origin(sheet, now.id(), author), change), change);
    }

    /** Dams of another cutting of the layer are no dams of this one: there the step changes nothing. */
    private Entry stepOfDams(StoredSheet sheet, UUID author, UUID id, Kind kind, UUID concerns) {
        StoredChange last = log.lastStep(concerns);
        StoredLayer layer = sheet.layer(last.layerId());
        DamChange change =
                layer.isCurrent() ? layerDams.of(layer.asLayer()).takingBack(last.damChange()) : DamChange.NONE;
        if (layer.isCurrent()) {
            layerDams.write(layer, change);
        }
        Origin origin = log.origin(sheet, layer.id(), author);
        return new Entry(StoredChange.stepOfDams(id, kind, concerns, origin, change), NO_FILLS);
    }

    /** A change of another cutting of the layer, said in the cells of the present one. */
    private Change inTheSamePlace(Change change, Layer then, Layer now) {
        Map<Integer, Swap> translated = new LinkedHashMap<>();
        change.swaps().stream()
                .collect(Collectors.groupingBy(swap -> List.of(swap.before(), swap.after())))
                .forEach((fills, group) -> {
                    Set<Integer> cells = group.stream().map(Swap::cell).collect(Collectors.toSet());
                    swaps.inTheSamePlace(then, cells, now)
                            .forEach(cell -> translated.put(cell, new Swap(cell, fills.get(0), fills.get(1))));
                });
        return new Change(List.copyOf(translated.values()));
    }

    private Entry stepOfRecut(StoredSheet sheet, UUID author, UUID id, Kind kind, StoredChange recut) {
        UUID replaced = recut.replaced().orElseThrow();
        StoredLayer former = sheet.layer(kind == Kind.UNDO ? replaced : recut.layerId());
        StoredLayer present = sheet.inPlaceOf(former);
        Fills restored = swaps.restored(present.asLayer(), former.asLayer());
        sheet.replace(present, former);
        Origin origin = log.origin(sheet, former.id(), author);
        return new Entry(
                StoredChange.step(id, kind, recut.getId(), origin, NO_FILLS),
                Fills.of(log.worn(former.id())).becoming(restored));
    }
}
