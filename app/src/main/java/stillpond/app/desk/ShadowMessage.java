package stillpond.app.desk;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
import stillpond.app.history.ShadowText;
import stillpond.core.shadow.Shadows;

/** What is done to shadows and rims. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "act")
@JsonSubTypes({
    @JsonSubTypes.Type(name = "ADD", value = ShadowMessage.Add.class),
    @JsonSubTypes.Type(name = "CHANGE", value = ShadowMessage.Change.class),
    @JsonSubTypes.Type(name = "REMOVE", value = ShadowMessage.Remove.class),
    @JsonSubTypes.Type(name = "MOVE", value = ShadowMessage.Move.class),
    @JsonSubTypes.Type(name = "STRENGTHEN", value = ShadowMessage.Strengthen.class)
})
sealed interface ShadowMessage {

    /** More, in front of the others. @param layer whose cells their bases name */
    record Add(
            @NotNull UUID layer,
            @NotNull @Size(min = 1, max = Shadows.MOST) List<@NotNull @Valid Dressed> shadows)
            implements ShadowMessage {}

    /** @param fill that it wears */
    record Dressed(
            @NotNull @Valid ShadowText shadow, @NotNull String fill) {}

    /** Another in the place of the one with its number; it wears what that wears. @param layer whose cells its base names */
    record Change(@NotNull UUID layer, @NotNull @Valid ShadowText shadow) implements ShadowMessage {}

    record Remove(int number) implements ShadowMessage {}

    /** @param by so many places towards the front */
    record Move(int number, int by) implements ShadowMessage {}

    /** @param by percent points for each */
    record Strengthen(@NotNull @Size(max = Shadows.MOST) List<@NotNull Integer> numbers, int by)
            implements ShadowMessage {}
}
