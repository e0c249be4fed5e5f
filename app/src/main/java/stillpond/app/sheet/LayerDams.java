package stillpond.app.sheet;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import stillpond.core.cell.CellMap;
import stillpond.core.format.OpeningsCodec;
import stillpond.core.format.PlaneCodec;
import stillpond.core.gap.CarriedDams;
import stillpond.core.gap.CarriedHandDams;
import stillpond.core.gap.DamChange;
import stillpond.core.gap.DamState;
import stillpond.core.gap.Dams;
import stillpond.core.gap.Openings;
import stillpond.core.gap.Regions;
import stillpond.core.ink.InkPlane;
import stillpond.core.ink.Placing;

/** Openings, dams and regions of a layer as they are stored. */
@Component
class LayerDams {

    private final DamRepository dams;
    private final Planes planes;

    LayerDams(DamRepository dams, Planes planes) {
        this.dams = dams;
        this.planes = planes;
    }

    Openings openings(Layer layer) {
        CellMap cells = PlaneCodec.decodeMap(planes.content(layer.cells()));
        return layer.openings() == null
                ? new Openings(cells, List.of(), 1, 1, false)
                : OpeningsCodec.decode(planes.content(layer.openings()), cells);
    }

    Dams of(Layer layer) {
        Map<DamState, Set<Integer>> said = dams.findByKeyLayerId(layer.id()).stream()
                .collect(Collectors.groupingBy(
                        StoredDam::state, Collectors.mapping(StoredDam::opening, Collectors.toSet())));
        return new Dams(layer.reach(), Set.of(), said.getOrDefault(DamState.OPEN, Set.of()), Set.of())
                .shutting(said.getOrDefault(DamState.SHUT, Set.of()))
                .inking(said.getOrDefault(DamState.INKED, Set.of()));
    }

    void write(StoredLayer layer, DamChange change) {
        Dams after = of(layer.asLayer()).after(change);
        Map<Integer, StoredDam> stored = dams.findByKeyLayerId(layer.id()).stream()
                .collect(Collectors.toMap(StoredDam::opening, Function.identity()));
        for (DamChange.Swap swap : change.swaps()) {
            StoredDam dam = stored.get(swap.opening());
            if (dam == null) {
                dams.save(new StoredDam(layer.id(), swap.opening(), swap.after()));
            } else if (swap.after() == DamState.BY_REACH) {
                dams.delete(dam);
            } else {
                dam.say(swap.after());
            }
        }
        change.reach().ifPresent(swap -> layer.setReach(swap.after()));
        layer.setRegions(Regions.of(openings(layer.asLayer()), after).ofCells());
    }

    /** Draws the dams of a layer that were drawn by hand again on one that is to stand in its place. */
    StoredLayer withHandDams(Layer old, StoredLayer fresh, Supplier<Placing> placing) {
        Openings before = openings(old);
        if (!CarriedHandDams.isNeeded(before)) {
            return fresh;
        }
        Layer layer = fresh.asLayer();
        InkPlane ink = PlaneCodec.decodeInk(planes.content(layer.ink()));
        Openings redrawn = CarriedHandDams.redraw(before, openings(layer), ink, placing.get());
        return fresh.splitInto(fresh.id(), SplitPlanes.of(redrawn, ink, planes));
    }

    /** Brings over what was said about the openings of the layer that stood here before. */
    void carry(Layer old, StoredLayer fresh, Supplier<Placing> placing) {
        if (old.openings() == null) {
            return;
        }
        Openings openings = openings(fresh.asLayer());
        Dams carried = CarriedDams.carry(openings(old), of(old), openings, placing.get());
        carried.shut().forEach(opening -> dams.save(new StoredDam(fresh.id(), opening, carried.of(opening))));
        carried.open().forEach(opening -> dams.save(new StoredDam(fresh.id(), opening, DamState.OPEN)));
        fresh.setReach(carried.reach());
        fresh.setRegions(Regions.of(openings, carried).ofCells());
    }

    /** Takes over what was said about the openings of another layer that begin with the same ones as those of a new one. */
    void copy(Layer from, StoredLayer to, Openings openings, Set<Integer> alsoShut) {
        Dams after = of(from).shutting(alsoShut);
        Map<Integer, DamState> said = new HashMap<>();
        dams.findByKeyLayerId(from.id()).forEach(dam -> said.put(dam.opening(), dam.state()));
        alsoShut.forEach(
                opening -> said.merge(opening, DamState.SHUT, (was, shut) -> was == DamState.INKED ? was : shut));
        said.forEach((opening, state) -> dams.save(new StoredDam(to.id(), opening, state)));
        to.setReach(from.reach());
        to.setRegions(Regions.of(openings, after).ofCells());
    }
}
