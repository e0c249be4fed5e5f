package stillpond.app.sheet;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import stillpond.app.history.Effect;
import stillpond.app.history.Made;
import stillpond.app.history.Part;
import stillpond.core.fill.Change;
import stillpond.core.gap.DamChange;

/**
 * A change that stands in the log, as it is seen from one sheet.
 *
 * @param words what it was, for people
 * @param layer whose cells or openings it speaks of; empty if it did nothing to them
 * @param change what it did to fills of the sheet
 * @param dams what it did to dams of the sheet
 * @param parts everything that it changed, on this sheet and elsewhere
 */
public record MadeChange(UUID id, String words, Optional<UUID> layer, Change change, DamChange dams, Set<Part> parts) {

    private static final Change NO_FILLS = new Change(List.of());

    static MadeChange of(Made made, UUID sheet) {
        Optional<UUID> layer = Optional.empty();
        Change change = NO_FILLS;
        DamChange dams = DamChange.NONE;
        for (Effect effect : made.effects()) {
            if (effect.sheet().filter(sheet::equals).isEmpty()) {
                continue;
            }
            if (effect instanceof Effect.Filled filled) {
                layer = Optional.of(filled.layer());
                change = filled.change();
            } else if (effect instanceof Effect.Dammed dammed) {
                layer = Optional.of(dammed.layer());
                dams = dammed.change();
            } else if (effect instanceof Effect.Recut recut) {
                layer = Optional.of(recut.after());
            }
        }
        Set<Part> parts = made.effects().stream().map(Effect::part).collect(Collectors.toSet());
        return new MadeChange(made.id(), made.words(), layer, change, dams, parts);
    }

    /** What this step did, under the name and in the words of the change that it is a step of. */
    MadeChange stepOf(Made concerned) {
        return new MadeChange(concerned.id(), concerned.words(), layer, change, dams, parts);
    }
}
