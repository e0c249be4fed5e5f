package stillpond.app.sheet;

import java.util.List;
import java.util.UUID;
import stillpond.core.fill.Fill;

/** A change that somebody asks for; {@code id} is made by the one who asks, so that asking twice changes nothing twice. */
public sealed interface ChangeRequest {

    UUID id();

    /** Lays one fill on some cells. */
    record Lay(UUID id, UUID layer, Fill fill, List<Integer> cells) implements ChangeRequest {
        public Lay {
            cells = List.copyOf(cells);
        }
    }

    /** Takes back the author's latest change, which must be the one named. */
    record Undo(UUID id, UUID concerns) implements ChangeRequest {}

    /** Does again the change that the author took back last, which must be the one named. */
    record Redo(UUID id, UUID concerns) implements ChangeRequest {}
}
