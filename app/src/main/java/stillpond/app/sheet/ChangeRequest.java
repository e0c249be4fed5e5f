package stillpond.app.sheet;

import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.TreeMap;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import stillpond.core.fill.Fill;
import stillpond.core.gap.DamState;

/** A change that somebody asks for; {@code id} is made by the one who asks, so that asking twice changes nothing twice. */
public sealed interface ChangeRequest {

    UUID id();

    /** Lays fills on cells, as one change. */
    record Lay(UUID id, UUID layer, Map<Integer, Fill> fillByCell) implements ChangeRequest {
        public Lay {
            fillByCell = Collections.unmodifiableSortedMap(new TreeMap<>(fillByCell));
        }

        public Lay(UUID id, UUID layer, Fill fill, List<Integer> cells) {
            this(id, layer, cells.stream().distinct().collect(Collectors.toMap(Function.identity(), cell -> fill)));
        }

        List<Integer> cells() {
            return List.copyOf(fillByCell.keySet());
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

    /** Goes back or forth over a change of the author's, which need not be one of this sheet alone. */
    sealed interface Step extends ChangeRequest {
        UUID concerns();
    }

    /** Takes a change back. */
    record Undo(UUID id, UUID concerns) implements Step {}

    /** Does a change again that was taken back. */
    record Redo(UUID id, UUID concerns) implements Step {}
}
