package stillpond.app.sheet;

import java.util.Optional;
import stillpond.core.refusal.Refusal;
import stillpond.core.stack.Standing;

/** Nothing on a locked layer, and nothing of a sheet that is done, may be changed. */
final class LayerLocks {

    private LayerLocks() {}

    /** For the user to read. */
    static Optional<String> objectionTo(Standing standing) {
        return standing.isLocked()
                ? Optional.of("The layer '" + standing.name() + "' is locked. Unlock it among the layers to change it.")
                : Optional.empty();
    }

    /** For the user to read. */
    static Optional<String> objectionTo(StoredSheet sheet) {
        return sheet.state() == SheetState.DONE
                ? Optional.of("'" + sheet.title() + "' is done. A lead opens it again on the page of the project.")
                : Optional.empty();
    }

    /** @throws Refusal if it is locked, or the sheet done */
    static void requireUnlocked(StoredSheet sheet, StoredLayer layer) {
        objectionTo(sheet).or(() -> objectionTo(layer.standing().asStanding())).ifPresent(objection -> {
            throw new Refusal(objection);
        });
    }
}
