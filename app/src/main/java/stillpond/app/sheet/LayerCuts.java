package stillpond.app.sheet;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import stillpond.app.sheet.ChangeLog.Entry;
import stillpond.core.cell.CellMap;
import stillpond.core.cell.CellSplit;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.fill.MovedFills;
import stillpond.core.fill.UndoLine;
import stillpond.core.format.PlaneCodec;
import stillpond.core.gap.HandDam;
import stillpond.core.ink.InkPlane;

/** Lets a layer with other cells take the place of the present one, and brings over what was done to it. */
@Service
@Transactional
class LayerCuts {

    private final SheetRepository sheets;
    private final ChangeLog log;
    private final LayerSwaps swaps;
    private final LayerDams layerDams;
    private final LayerGroups groups;
    private final Planes planes;
    private final ApplicationEventPublisher events;

    LayerCuts(
            SheetRepository sheets,
            ChangeLog log,
            LayerSwaps swaps,
            LayerDams layerDams,
            LayerGroups groups,
            Planes planes,
            ApplicationEventPublisher events) {
        this.sheets = sheets;
        this.log = log;
        this.swaps = swaps;
        this.layerDams = layerDams;
        this.groups = groups;
        this.planes = planes;
        this.events = events;
    }

    /**
     * Lets line art that was cut anew take the place of a sheet's present layer, and brings its fills over.
     *
     * @param before the sheet that the line art was made for
     * @return the fills that found no place
     * @throws IllegalArgumentException if somebody else has cut the sheet anew in between
     */
    List<Recuts.LostFill> recut(Sheet before, UUID author, LineArt lineArt, byte[] source) {
        StoredSheet sheet = sheets.findAndLock(before.id()).orElseThrow();
        StoredLayer old = sheet.layer(before.frontLayer().id());
        if (!old.isCurrent()) {
            throw new IllegalArgumentException(
                    "Somebody else has analysed this sheet anew just now; look at that first.");
        }
        StoredLayer fresh = replace(sheet, old, lineArt, source);
        events.publishEvent(SheetChanged.by(author, sheet.projectId(), sheet.id(), SheetChanged.What.CELLS));
        MovedFills moved = swaps.moved(old.asLayer(), fresh.asLayer());
        UUID id = UUID.randomUUID();
        UndoLine<UUID> line = log.line(sheet.id(), author);
        StoredChange stored = StoredChange.recut(id, line.head(), log.origin(sheet, fresh.id(), author), old.id());
        log.keep(new Entry(stored, Fills.none().becoming(moved.fills())), line.made(id));
        return lost(old.asLayer(), moved.lost());
    }

    /** Gives a sheet the gaps that were found meanwhile. Nobody asked for it, so it is no step to undo; if the sheet was cut anew in between, nothing happens. */
    void sharpen(Sheet before, LineArt lineArt, byte[] source) {
        StoredSheet sheet = sheets.findAndLock(before.id()).orElseThrow();
        StoredLayer old = sheet.layer(before.frontLayer().id());
        if (old.isCurrent()) {
            StoredLayer fresh = replace(sheet, old, lineArt, source);
            events.publishEvent(
                    new SheetChanged(sheet.projectId(), sheet.id(), SheetChanged.What.CELLS, Optional.empty()));
            log.write(
                    fresh.id(),
                    Fills.none()
                            .becoming(
                                    swaps.moved(old.asLayer(), fresh.asLayer()).fills()));
        }
    }

    private StoredLayer replace(StoredSheet sheet, StoredLayer old, LineArt lineArt, byte[] source) {
        StoredLayer analysed = new StoredLayer(old.position(), lineArt.keepIn(planes, source));
        StoredLayer fresh =
                layerDams.withHandDams(old.asLayer(), analysed, () -> swaps.placing(analysed.asLayer(), old.asLayer()));
        sheet.replace(old, fresh);
        sheets.saveAndFlush(sheet);
        layerDams.carry(old.asLayer(), fresh, () -> swaps.placing(fresh.asLayer(), old.asLayer()));
        groups.carry(old.asLayer(), fresh.asLayer());
        return fresh;
    }

    /**
     * Lets a layer whose cells a dam drawn by hand has split take the place of the present one; the parts of a cell wear what it wore.
     *
     * @param id of the new layer
     */
    Layer split(Sheet before, UUID author, UUID id, HandDam.Parted parted, InkPlane ink) {
        StoredSheet sheet = sheets.findAndLock(before.id()).orElseThrow();
        StoredLayer old = sheet.layer(before.frontLayer().id());
        if (!old.isCurrent()) {
            throw new IllegalArgumentException(SheetChanges.ANALYSED_ANEW);
        }
        StoredLayer fresh = old.splitInto(id, SplitPlanes.of(parted.openings(), ink, planes));
        sheet.replace(old, fresh);
        sheets.saveAndFlush(sheet);
        layerDams.copy(old.asLayer(), fresh, parted.openings(), parted.dam());
        groups.carrySplit(old.id(), fresh.id(), parted.split());
        Map<Integer, Fill> worn = new HashMap<>(log.worn(old.id()));
        for (CellSplit.Parts split : parted.split()) {
            if (worn.containsKey(split.cell())) {
                split.parts().forEach(part -> worn.put(part, worn.get(split.cell())));
            }
        }
        events.publishEvent(SheetChanged.by(author, sheet.projectId(), sheet.id(), SheetChanged.What.CELLS));
        UUID change = UUID.randomUUID();
        UndoLine<UUID> line = log.line(sheet.id(), author);
        StoredChange stored = StoredChange.recut(change, line.head(), log.origin(sheet, fresh.id(), author), old.id());
        log.keep(new Entry(stored, Fills.none().becoming(Fills.of(worn))), line.made(change));
        return fresh.asLayer();
    }

    private List<Recuts.LostFill> lost(Layer layer, List<Integer> cells) {
        if (cells.isEmpty()) {
            return List.of();
        }
        Fills worn = log.current(layer.id(), cells);
        CellMap map = PlaneCodec.decodeMap(planes.content(layer.cells()));
        return cells.stream()
                .map(map.cells()::get)
                .map(cell -> new Recuts.LostFill(
                        worn.of(cell.number()).text(),
                        (cell.deepestX() + 0.5) / layer.widthPx(),
                        (cell.deepestY() + 0.5) / layer.heightPx()))
                .toList();
    }
}
