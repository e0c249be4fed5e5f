package stillpond.app.sheet;

import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.UUID;
import stillpond.core.fill.Fill;
import stillpond.core.gap.DamState;

/** A change that somebody asks for; {@code id} is made by the one who asks, so that asking twice changes nothing twice. */
public sealed interface ChangeRequest {

    UUID id();

    /** Lays one fill on some cells. */
    record Lay(UUID id, UUID layer, Fill fill, List<Integer> cells) implements ChangeRequest {
        public Lay {
            cells = List.copyOf(cells);
        }
    }

    /**
     * Dams openings, leaves them open, or lets reach decide about them again.
     *
     * @param states by index of the opening
     * @param reach a new reach for the layer, 0 to 1
     */
    record Dam(UUID id, UUID layer, Map<Integer, DamState> states, OptionalDouble reach) implements ChangeRequest {
        public Dam {
            states = Map.copyOf(states);
        }
    }

    /** Takes back the author's latest change, which must be the one named. */
    record Undo(UUID id, UUID concerns) implements ChangeRequest {}

    /** Does again the change that the author took back last, which must be the one named. */
    record Redo(UUID id, UUID concerns) implements ChangeRequest {}
}
