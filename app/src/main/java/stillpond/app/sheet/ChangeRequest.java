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
import stillpond.core.fill.Places;
import stillpond.core.gap.DamState;

/** A change that somebody asks for; {@code id} is made by the one who asks, so that asking twice changes nothing twice. */
public sealed interface ChangeRequest {

    UUID id();

    /** Lays fills on cells and strokes, as one change. @param fillByPlace see {@link Places} */
    record Lay(UUID id, UUID layer, Map<Integer, Fill> fillByPlace) implements ChangeRequest {
        public Lay {
            fillByPlace = Collections.unmodifiableSortedMap(new TreeMap<>(fillByPlace));
        }

        public Lay(UUID id, UUID layer, Fill fill, List<Integer> places) {
            this(id, layer, places.stream().distinct().collect(Collectors.toMap(Function.identity(), place -> fill)));
        }

        List<Integer> places() {
            return List.copyOf(fillByPlace.keySet());
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
