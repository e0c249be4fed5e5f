package stillpond.app.sheet;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
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
import stillpond.core.fill.Change;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.fill.MovedFills;
import stillpond.core.fill.Places;
import stillpond.core.format.PlaneCodec;
import stillpond.core.gap.HandDam;
import stillpond.core.ink.InkPlane;
import stillpond.core.ink.Placing;
import stillpond.core.refusal.Refusal;
import stillpond.core.shadow.Shadows;
import stillpond.core.stack.Stack;
import stillpond.core.stack.Standing;

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
        StoredLayer old = sheet.layer(before.layer().id());
        if (!old.isCurrent()) {
            throw new Refusal("Somebody else has analysed this sheet anew just now; look at that first.");
        }
        LayerLocks.requireUnlocked(sheet, old);
        StoredLayer fresh = replace(sheet, old, lineArt, source);
        MovedFills moved = swaps.moved(old.asLayer(), fresh.asLayer());
        keep(sheet, author, "Analysed the line art anew", old, fresh);
        fills.write(fresh.id(), Fills.none().becoming(moved.fills()));
        return lost(old.asLayer(), moved.lost());
    }

    /** Gives a sheet the gaps that were found meanwhile. Nobody asked for it, so it is no step to undo; if the sheet was cut anew in between, nothing happens. */
    void sharpen(Sheet before, LineArt lineArt, byte[] source) {
        StoredSheet sheet = sheets.findAndLock(before.id()).orElseThrow();
        StoredLayer old = sheet.layer(before.layer().id());
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
        Layer was = old.asLayer();
        String name = Planes.nameOf(source);
        String origin = name.equals(was.source()) ? was.origin() : name;
        StoredLayer fresh = redrawn(was, new StoredLayer(old.standing(), lineArt.keepIn(planes, source, origin)));
        sheet.replace(old, fresh);
        sheets.flush();
        bringOver(was, fresh);
        return fresh;
    }

    private StoredLayer redrawn(Layer old, StoredLayer analysed) {
        return layerDams.withHandDams(old, analysed, () -> swaps.placing(analysed.asLayer(), old));
    }

    private void bringOver(Layer old, StoredLayer fresh) {
        events.publishEvent(new CutAnew(old.standing().layer(), swaps.placing(fresh.asLayer(), old)));
        layerDams.carry(old, fresh, () -> swaps.placing(fresh.asLayer(), old));
        groups.carry(old, fresh.asLayer());
        shadows.carry(old, fresh.asLayer());
    }

    /** A change as history keeps it. @param words what it is, for people */
    record Making(UUID change, UUID author, String words) {}

    /**
     * Lets a layer whose cells a dam drawn by hand has split take the place of the present one; the parts of a cell wear what it wore.
     *
     * @param id of the new layer
     */
    Layer split(Sheet before, Making making, UUID id, HandDam.Parted parted, InkPlane ink) {
        StoredSheet sheet = sheets.findAndLock(before.id()).orElseThrow();
        StoredLayer old = sheet.layer(before.layer().id());
        if (!old.isCurrent()) {
            throw new Refusal(SheetChanges.ANALYSED_ANEW);
        }
        LayerLocks.requireUnlocked(sheet, old);
        StoredLayer fresh = old.splitInto(id, SplitPlanes.of(parted.openings(), ink, planes));
        sheet.replace(old, fresh);
        sheets.flush();
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
        keep(sheet, making, old, fresh);
        fills.write(fresh.id(), Fills.none().becoming(Fills.of(worn)));
        return fresh.asLayer();
    }

    /** A part of a layer that is to be one of its own, and what is left. @param cells those of the layer that go */
    record Split(
            String name, Set<Integer> cells, LineArt going, byte[] goingFile, LineArt staying, byte[] stayingFile) {}

    /**
     * Splits a layer off from another, in front of it, with what its cells wear and the shadows on them.
     *
     * @return the sheet with the new layer to work on
     */
    Sheet splitOff(Sheet before, UUID author, Split split) {
        StoredSheet sheet = sheets.findAndLock(before.id()).orElseThrow();
        StoredLayer old = sheet.layer(before.layer().id());
        if (!old.isCurrent()) {
            throw new Refusal(SheetChanges.ANALYSED_ANEW);
        }
        LayerLocks.requireUnlocked(sheet, old);
        Layer was = old.asLayer();
        Stack stackBefore = sheet.stack();
        Standing standing = Standing.of(UUID.randomUUID(), split.name())
                .opaque(was.standing().opacityPercent())
                .moved(was.standing().xPx(), was.standing().yPx());
        Stack stackAfter =
                stackBefore.adding(standing, stackBefore.indexOf(was.standing().layer()));
        StoredLayer stays = redrawn(
                was,
                new StoredLayer(old.standing(), split.staying().keepIn(planes, split.stayingFile(), was.origin())));
        StoredLayer gone = redrawn(
                was,
                new StoredLayer(
                        new StoredStanding(sheet.id(), standing, 0),
                        split.going().keepIn(planes, split.goingFile(), was.origin())));
        sheet.replace(old, stays);
        sheet.addLayer(gone);
        sheet.become(stackAfter);
        sheet.nextRevision();
        sheets.flush();
        bringOver(was, stays);
        layerDams.carry(was, gone, () -> Placing.SAME);
        Fills worn = fills.worn(old.id());
        List<Shadows.Swap> shadowsLeft = shadows.splitOff(was, stays.asLayer(), gone.asLayer(), split.cells(), worn);
        Set<Integer> placesGone = new HashSet<>(split.cells());
        shadowsLeft.forEach(swap ->
                placesGone.add(Places.ofShadow(swap.before().orElseThrow().number())));
        Fills carried = swaps.moved(was, stays.asLayer()).fills();
        fills.write(stays.id(), Fills.none().becoming(carried));
        // What went is put off in a step of its own: then the cut, taken back, finds all that it carried.
        Fills staying = worn.in(place -> !placesGone.contains(place));
        Change left = carried.becoming(swaps.inTheSamePlace(was, staying, stays.asLayer()));
        fills.write(stays.id(), left);
        Fills going = worn.in(place -> placesGone.contains(place) || Places.isStroke(place) || Places.isWidth(place));
        fills.write(gone.id(), Fills.none().becoming(swaps.inTheSamePlace(was, going, gone.asLayer())));
        List<Effect> effects = new ArrayList<>();
        effects.add(new Effect.Recut(sheet.id(), old.id(), stays.id()));
        if (!left.isEmpty()) {
            effects.add(new Effect.Filled(sheet.id(), stays.id(), left));
        }
        if (!shadowsLeft.isEmpty()) {
            effects.add(new Effect.Shaded(sheet.id(), stays.id(), shadowsLeft));
        }
        effects.add(new Effect.Stacked(sheet.id(), stackBefore, stackAfter));
        history.keep(sheet.projectId(), author, "Split off the layer '" + standing.name() + "'", effects);
        return sheet.asSheet().on(standing.layer());
    }

    private void keep(StoredSheet sheet, UUID author, String words, StoredLayer old, StoredLayer fresh) {
        keep(sheet, new Making(UUID.randomUUID(), author, words), old, fresh);
    }

    private void keep(StoredSheet sheet, Making making, StoredLayer old, StoredLayer fresh) {
        sheet.nextRevision();
        history.keep(
                making.change(),
                sheet.projectId(),
                making.author(),
                making.words(),
                "",
                List.of(new Effect.Recut(sheet.id(), old.id(), fresh.id())));
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
