package stillpond.app.sheet;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import stillpond.app.history.Effect;
import stillpond.app.history.Happened;
import stillpond.app.history.History;
import stillpond.app.history.Part;
import stillpond.core.cell.CellMap;
import stillpond.core.cell.CellSplit;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.fill.MovedFills;
import stillpond.core.format.PlaneCodec;
import stillpond.core.gap.HandDam;
import stillpond.core.ink.InkPlane;
import stillpond.core.refusal.Refusal;

/** Lets a layer with other cells take the place of the present one, and brings over what was done to it. */
@Service
@Transactional
class LayerCuts {

    private final SheetRepository sheets;
    private final LayerFills fills;
    private final History history;
    private final LayerSwaps swaps;
    private final LayerDams layerDams;
    private final LayerGroups groups;
    private final LayerShadows shadows;
    private final Planes planes;
    private final ApplicationEventPublisher events;

    LayerCuts(
            SheetRepository sheets,
            LayerFills fills,
            History history,
            LayerSwaps swaps,
            LayerDams layerDams,
            LayerGroups groups,
            LayerShadows shadows,
            Planes planes,
            ApplicationEventPublisher events) {
        this.sheets = sheets;
        this.fills = fills;
        this.history = history;
        this.swaps = swaps;
        this.layerDams = layerDams;
        this.groups = groups;
        this.shadows = shadows;
        this.planes = planes;
        this.events = events;
    }

    /**
     * Lets line art that was cut anew take the place of a sheet's present layer, and brings its fills over.
     *
     * @param before the sheet that the line art was made for
     * @return the fills that found no place
     * @throws Refusal if somebody else has cut the sheet anew in between
     */
    List<Recuts.LostFill> recut(Sheet before, UUID author, LineArt lineArt, byte[] source) {
        StoredSheet sheet = sheets.findAndLock(before.id()).orElseThrow();
        StoredLayer old = sheet.layer(before.frontLayer().id());
        if (!old.isCurrent()) {
            throw new Refusal("Somebody else has analysed this sheet anew just now; look at that first.");
        }
        StoredLayer fresh = replace(sheet, old, lineArt, source);
        MovedFills moved = swaps.moved(old.asLayer(), fresh.asLayer());
        keep(sheet, author, "Analysed the line art anew", old, fresh);
        fills.write(fresh.id(), Fills.none().becoming(moved.fills()));
        return lost(old.asLayer(), moved.lost());
    }

    /** Gives a sheet the gaps that were found meanwhile. Nobody asked for it, so it is no step to undo; if the sheet was cut anew in between, nothing happens. */
    void sharpen(Sheet before, LineArt lineArt, byte[] source) {
        StoredSheet sheet = sheets.findAndLock(before.id()).orElseThrow();
        StoredLayer old = sheet.layer(before.frontLayer().id());
        if (old.isCurrent()) {
            StoredLayer fresh = replace(sheet, old, lineArt, source);
            events.publishEvent(new Happened(
                    sheet.projectId(), Optional.of(sheet.id()), Part.CELLS, Optional.empty(), Optional.empty()));
            fills.write(
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
        shadows.carry(old.asLayer(), fresh.asLayer());
        return fresh;
    }

    /**
     * Lets a layer whose cells a dam drawn by hand has split take the place of the present one; the parts of a cell wear what it wore.
     *
     * @param id of the new layer
     */
    Layer split(Sheet before, UUID author, String words, UUID id, HandDam.Parted parted, InkPlane ink) {
        StoredSheet sheet = sheets.findAndLock(before.id()).orElseThrow();
        StoredLayer old = sheet.layer(before.frontLayer().id());
        if (!old.isCurrent()) {
            throw new Refusal(SheetChanges.ANALYSED_ANEW);
        }
        StoredLayer fresh = old.splitInto(id, SplitPlanes.of(parted.openings(), ink, planes));
        sheet.replace(old, fresh);
        sheets.saveAndFlush(sheet);
        layerDams.copy(old.asLayer(), fresh, parted.openings(), parted.dam());
        groups.carrySplit(old.id(), fresh.id(), parted.split());
        shadows.carrySplit(old.id(), fresh.id(), parted.split());
        Fills wornBefore = fills.worn(old.id());
        Map<Integer, Fill> worn = new HashMap<>();
        wornBefore.filled().forEach(cell -> worn.put(cell, wornBefore.of(cell)));
        for (CellSplit.Parts split : parted.split()) {
            if (worn.containsKey(split.cell())) {
                split.parts().forEach(part -> worn.put(part, worn.get(split.cell())));
            }
        }
        keep(sheet, author, words, old, fresh);
        fills.write(fresh.id(), Fills.none().becoming(Fills.of(worn)));
        return fresh.asLayer();
    }

    private void keep(StoredSheet sheet, UUID author, String words, StoredLayer old, StoredLayer fresh) {
        sheet.nextRevision();
        history.keep(sheet.projectId(), author, words, List.of(new Effect.Recut(sheet.id(), old.id(), fresh.id())));
    }

    private List<Recuts.LostFill> lost(Layer layer, List<Integer> cells) {
        if (cells.isEmpty()) {
            return List.of();
        }
        Fills worn = fills.current(layer.id(), cells);
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
