package stillpond.app.desk;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.OptionalDouble;
import java.util.UUID;
import stillpond.app.sheet.ChangeRequest;
import stillpond.app.sheet.UnfitChange;
import stillpond.core.Refusal;
import stillpond.core.fill.Fill;
import stillpond.core.gap.DamState;

/**
 * A change as the desk sends it; which fields it has depends on its kind.
 *
 * @param kind {@code lay}, {@code dam}, {@code undo} or {@code redo}
 * @param layer for {@code lay} and {@code dam}
 * @param fills for {@code lay}: the cells that are to wear each fill, {@code none} or the id of a swatch
 * @param states for {@code dam}: what is said about openings, by their indices
 * @param reach for {@code dam}: a new reach, or null
 * @param concerns for {@code undo} and {@code redo}: the change to take back or do again
 */
record ChangeMessage(
        UUID id,
        String kind,
        UUID layer,
        Map<String, List<Integer>> fills,
        Map<Integer, DamState> states,
        Double reach,
        UUID concerns) {

    /**
     * @throws UnfitChange if a field is missing or makes no sense
     * @throws Refusal if it does not even have an id
     */
    ChangeRequest asRequest() {
        require("id", id);
        try {
            return asRequestOfItsKind();
        } catch (Refusal problem) {
            throw new UnfitChange(id, problem.getMessage());
        }
    }

    private ChangeRequest asRequestOfItsKind() {
        return switch (Objects.toString(kind)) {
            case "lay" -> new ChangeRequest.Lay(id, require("layer", layer), byCell(require("fills", fills)));
            case "dam" ->
                new ChangeRequest.Dam(
                        id,
                        require("layer", layer),
                        require("states", states),
                        reach == null ? OptionalDouble.empty() : OptionalDouble.of(reach));
            case "undo" -> new ChangeRequest.Undo(id, require("concerns", concerns));
            case "redo" -> new ChangeRequest.Redo(id, require("concerns", concerns));
            default -> throw new Refusal("A change is lay, dam, undo or redo, not '" + kind + "'.");
        };
    }

    private static Map<Integer, Fill> byCell(Map<String, List<Integer>> cellsByFill) {
        Map<Integer, Fill> byCell = new HashMap<>();
        cellsByFill.forEach((text, cells) -> {
            Fill fill = Fill.ofText(text);
            require("cells", cells).forEach(cell -> byCell.put(require("cell", cell), fill));
        });
        return byCell;
    }

    private static <T> T require(String field, T value) {
        if (value == null) {
            throw new Refusal("A change needs its " + field + ".");
        }
        return value;
    }
}
