package stillpond.app.sheet;

import java.util.Optional;
import stillpond.core.refusal.Refusal;
import stillpond.core.stack.Standing;

/** Nothing on a locked layer may be changed. */
final class LayerLocks {

    private LayerLocks() {}

    /** For the user to read. */
    static Optional<String> objectionTo(Standing standing) {
        return standing.isLocked()
                ? Optional.of("The layer '" + standing.name() + "' is locked. Unlock it among the layers to change it.")
                : Optional.empty();
    }

    /** @throws Refusal if it is locked */
    static void requireUnlocked(StoredLayer layer) {
        objectionTo(layer.standing().asStanding()).ifPresent(objection -> {
            throw new Refusal(objection);
        });
    }
}
