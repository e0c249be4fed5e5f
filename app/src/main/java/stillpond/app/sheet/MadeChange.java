package stillpond.app.sheet;

import java.util.UUID;
import stillpond.core.fill.Change;
import stillpond.core.gap.DamChange;

/** A change that stands in a sheet's log: of fills, of dams, or of the whole layer, when both are empty. */
public record MadeChange(UUID id, UUID layer, long revision, Change change, DamChange dams) {

    /** What this did, under the name of the change that it is a step of. */
    MadeChange named(UUID change) {
        return new MadeChange(change, layer, revision, this.change, dams);
    }
}
