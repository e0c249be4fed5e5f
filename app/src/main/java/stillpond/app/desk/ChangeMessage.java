package stillpond.app.desk;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import stillpond.app.sheet.ChangeRequest;
import stillpond.app.sheet.UnfitChange;
import stillpond.core.fill.Fill;
import stillpond.core.gap.DamState;
import stillpond.core.refusal.Refusal;

/** A change as the desk sends it. What is missing or makes no sense is said of the change by its id, so that the desk knows which of several to leave out. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind", defaultImpl = ChangeMessage.Unknown.class)
@JsonSubTypes({
    @JsonSubTypes.Type(name = "lay", value = ChangeMessage.Lay.class),
    @JsonSubTypes.Type(name = "dam", value = ChangeMessage.Dam.class),
    @JsonSubTypes.Type(name = "undo", value = ChangeMessage.Undo.class),
    @JsonSubTypes.Type(name = "redo", value = ChangeMessage.Redo.class)
})
sealed interface ChangeMessage {

    UUID id();

    /** @throws Refusal if a field is missing or makes no sense */
    ChangeRequest read();

    /**
     * @throws UnfitChange if a field is missing or makes no sense
     * @throws Refusal if it does not even have an id
     */
    default ChangeRequest asRequest() {
        require("id", id());
        try {
            return read();
        } catch (Refusal problem) {
            throw new UnfitChange(id(), problem.getMessage());
        }
    }

    /** @param fills the cells and strokes that are to wear each fill, by its text; see {@link stillpond.core.fill.Places} */
    record Lay(UUID id, UUID layer, Map<String, List<Integer>> fills) implements ChangeMessage {
        @Override
        public ChangeRequest read() {
            Map<Integer, Fill> byPlace = new HashMap<>();
            require("fills", fills).forEach((text, places) -> {
                Fill fill = Fill.ofText(text);
                require("places", places).forEach(place -> byPlace.put(require("place", place), fill));
            });
            return new ChangeRequest.Lay(id, require("layer", layer), byPlace);
        }
    }

    /**
     * @param states what is said about openings, by their indices
     * @param reach a new reach, or null
     */
    record Dam(
            UUID id,
            UUID layer,
            Map<Integer, DamState> states,
            @Nullable Double reach) implements ChangeMessage {
        @Override
        public ChangeRequest read() {
            return new ChangeRequest.Dam(
                    id,
                    require("layer", layer),
                    require("states", states),
                    reach == null ? OptionalDouble.empty() : OptionalDouble.of(reach));
        }
    }

    /** @param concerns the change to take back */
    record Undo(UUID id, UUID concerns) implements ChangeMessage {
        @Override
        public ChangeRequest read() {
            return new ChangeRequest.Undo(id, require("concerns", concerns));
        }
    }

    /** @param concerns the change to do again */
    record Redo(UUID id, UUID concerns) implements ChangeMessage {
        @Override
        public ChangeRequest read() {
            return new ChangeRequest.Redo(id, require("concerns", concerns));
        }
    }

    /** Of no kind that we know. */
    record Unknown(UUID id) implements ChangeMessage {
        @Override
        public ChangeRequest read() {
            throw new Refusal("A change is lay, dam, undo or redo.");
        }
    }

    private static <T> T require(String field, T value) {
        if (value == null) {
            throw new Refusal("A change needs its " + field + ".");
        }
        return value;
    }
}
