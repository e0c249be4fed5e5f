package stillpond.app.sheet;

import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import stillpond.app.history.Effect;
import stillpond.app.history.EffectKind;
import stillpond.core.gap.DamChange;

/** Does changes of dams again, or the other way round. Dams of another cutting of the layer are no dams of this one. */
@Component
class DamEffects implements EffectKind<Effect.Dammed> {

    private final SheetRepository sheets;
    private final LayerDams dams;

    DamEffects(SheetRepository sheets, LayerDams dams) {
        this.sheets = sheets;
        this.dams = dams;
    }

    @Override
    public Class<Effect.Dammed> effects() {
        return Effect.Dammed.class;
    }

    @Override
    public Done done(UUID project, UUID author, Effect.Dammed effect) {
        StoredSheet sheet = sheets.findById(effect.onSheet()).orElseThrow();
        StoredLayer layer = sheet.layer(effect.layer());
        if (!layer.isCurrent()) {
            return Done.nothing();
        }
        DamChange change = dams.of(layer.asLayer()).takingBack(effect.change().inverse());
        int leftAlone = size(effect.change()) - size(change);
        if (change.isEmpty()) {
            return new Done(Optional.empty(), leftAlone);
        }
        sheet.nextRevision();
        dams.write(layer, change);
        return new Done(Optional.of(new Effect.Dammed(sheet.id(), layer.id(), change)), leftAlone);
    }

    private static int size(DamChange change) {
        return change.swaps().size() + (change.reach().isPresent() ? 1 : 0);
    }
}
