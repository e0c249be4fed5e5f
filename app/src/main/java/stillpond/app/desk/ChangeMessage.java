package stillpond.app.desk;

import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.OptionalDouble;
import java.util.UUID;
import stillpond.app.sheet.ChangeRequest;
import stillpond.core.fill.Fill;
import stillpond.core.gap.DamState;

/**
 * A change as the desk sends it; which fields it has depends on its kind.
 *
 * @param kind {@code lay}, {@code dam}, {@code undo} or {@code redo}
 * @param layer for {@code lay} and {@code dam}
 * @param fill for {@code lay}: {@code none} or the id of a swatch
 * @param cells for {@code lay}
 * @param states for {@code dam}: what is said about openings, by their indices
 * @param reach for {@code dam}: a new reach, or null
 * @param concerns for {@code undo} and {@code redo}: the change to take back or do again
 */
record ChangeMessage(
        UUID id,
        String kind,
        UUID layer,
        String fill,
        List<Integer> cells,
        Map<Integer, DamState> states,
        Double reach,
        UUID concerns) {

    /** @throws IllegalArgumentException if a field is missing or makes no sense */
    ChangeRequest asRequest() {
        require("id", id);
        return switch (Objects.toString(kind)) {
            case "lay" ->
                new ChangeRequest.Lay(
                        id, require("layer", layer), Fill.ofText(require("fill", fill)), require("cells", cells));
            case "dam" ->
                new ChangeRequest.Dam(
                        id,
                        require("layer", layer),
                        require("states", states),
                        reach == null ? OptionalDouble.empty() : OptionalDouble.of(reach));
            case "undo" -> new ChangeRequest.Undo(id, require("concerns", concerns));
            case "redo" -> new ChangeRequest.Redo(id, require("concerns", concerns));
            default -> throw new IllegalArgumentException("A change is lay, dam, undo or redo, not '" + kind + "'.");
        };
    }

    private static <T> T require(String field, T value) {
        if (value == null) {
            throw new IllegalArgumentException("A change needs its " + field + ".");
        }
        return value;
    }
}
