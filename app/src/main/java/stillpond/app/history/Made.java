package stillpond.app.history;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/**
 * A row of the log.
 *
 * @param concerns for steps: the change that is taken back or done again
 * @param words what was done, for people
 * @param reason why, in the author's words; may be empty
 */
public record Made(
        UUID id,
        UUID project,
        UUID author,
        Instant at,
        Kind kind,
        Optional<UUID> concerns,
        String words,
        String reason,
        List<Effect> effects) {

    /** What somebody asked for. */
    public enum Kind {
        /** Something new. */
        CHANGE,
        /** Taking back a change. */
        UNDO,
        /** Doing again a change that was taken back. */
        REDO
    }

    public Made {
        effects = List.copyOf(effects);
    }
}
