package stillpond.app.sheet;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import stillpond.app.history.Effect;
import stillpond.app.history.EffectKind;
import stillpond.core.fill.Change;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Swap;

/** Does changes of fills again, or the other way round, on the cells and strokes that are there now. */
@Component
class FillEffects implements EffectKind<Effect.Filled> {

    private final SheetRepository sheets;
    private final LayerFills fills;
    private final LayerSwaps swaps;

    FillEffects(SheetRepository sheets, LayerFills fills, LayerSwaps swaps) {
        this.sheets = sheets;
        this.fills = fills;
        this.swaps = swaps;
    }

    @Override
    public Class<Effect.Filled> effects() {
        return Effect.Filled.class;
    }

    @Override
    public Done done(UUID project, UUID author, Effect.Filled effect) {
        StoredSheet sheet = sheets.findById(effect.onSheet()).orElseThrow();
        StoredLayer then = sheet.layer(effect.layer());
        StoredLayer now = sheet.inPlaceOf(then);
        Change wanted = then == now ? effect.change() : inTheSamePlace(effect.change(), then.asLayer(), now.asLayer());
        List<Integer> places = wanted.swaps().stream().map(Swap::place).toList();
        Change possible = fills.current(now.id(), places).takingBack(wanted.inverse());
        int leftAlone = wanted.swaps().size() - possible.swaps().size();
        Change change = fills.withPresentSwatches(possible);
        if (change.isEmpty()) {
            return new Done(Optional.empty(), leftAlone);
        }
        sheet.nextRevision();
        fills.write(now.id(), change);
        return new Done(Optional.of(new Effect.Filled(sheet.id(), now.id(), change)), leftAlone);
    }

    /** A change of another cutting of the layer, said of the cells and strokes of the present one. */
    private Change inTheSamePlace(Change change, Layer then, Layer now) {
        Map<Integer, Swap> translated = new LinkedHashMap<>();
        change.swaps().stream()
                .collect(Collectors.groupingBy(swap -> List.<Fill>of(swap.before(), swap.after())))
                .forEach((both, group) -> {
                    Set<Integer> places = group.stream().map(Swap::place).collect(Collectors.toSet());
                    swaps.inTheSamePlace(then, places, now)
                            .forEach(place -> translated.put(place, new Swap(place, both.get(0), both.get(1))));
                });
        return new Change(List.copyOf(translated.values()));
    }
}
