package stillpond.app.sheet;

import java.util.Optional;
import java.util.UUID;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;
import stillpond.app.history.Effect;
import stillpond.app.history.EffectKind;
import stillpond.app.history.History;
import stillpond.core.fill.Fills;

/** Puts a layer that was cut anew back in the place of the one that took its place, with what has been filled since. */
@Component
class RecutEffects implements EffectKind<Effect.Recut> {

    private final SheetRepository sheets;
    private final LayerFills fills;
    private final LayerSwaps swaps;
    private final LayerGroups groups;
    private final LayerShadows shadows;
    private final History history;
    private final ApplicationEventPublisher events;

    RecutEffects(
            SheetRepository sheets,
            LayerFills fills,
            LayerSwaps swaps,
            LayerGroups groups,
            LayerShadows shadows,
            History history,
            ApplicationEventPublisher events) {
        this.sheets = sheets;
        this.fills = fills;
        this.swaps = swaps;
        this.groups = groups;
        this.shadows = shadows;
        this.history = history;
        this.events = events;
    }

    @Override
    public Class<Effect.Recut> effects() {
        return Effect.Recut.class;
    }

    /** Left alone if somebody has cut the sheet otherwise since. */
    @Override
    public Done done(UUID project, UUID author, Effect.Recut effect) {
        StoredSheet sheet = sheets.findById(effect.onSheet()).orElseThrow();
        StoredLayer former = sheet.layer(effect.after());
        if (!history.lastCut(sheet.id(), sheet.cuttingsOf(former)).equals(Optional.of(effect.before()))) {
            return Done.nothing();
        }
        // Not always the one that the cut left: gaps are found later, and give the layer other cells without anybody's
        // asking.
        StoredLayer present = sheet.inPlaceOf(former);
        Fills restored = swaps.restored(present.asLayer(), former.asLayer());
        groups.carryBack(present.asLayer(), former.asLayer());
        shadows.carryBack(present.asLayer(), former.asLayer());
        events.publishEvent(new CutAnew(former.standing().id(), swaps.placing(former.asLayer(), present.asLayer())));
        sheet.replace(present, former);
        sheet.nextRevision();
        fills.write(former.id(), fills.worn(former.id()).becoming(restored));
        return Done.all(new Effect.Recut(sheet.id(), present.id(), former.id()));
    }
}
