package stillpond.app.sheet;

import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import stillpond.core.colour.Srgb;
import stillpond.core.palette.Light;
import stillpond.core.palette.Staging;
import stillpond.core.refusal.Refusal;

/**
 * How a sheet is to be shown.
 *
 * @param light empty: its own
 * @param wears what cards wear in place of what is settled for the sheet, by card
 * @param tried swatches in other colours, as drawn
 * @param lit swatches that alone keep their colours, all others being greys; none: all do
 * @param at the moment whose fills, cards and lights are shown; empty: now
 */
public record Showing(
        Optional<Light> light,
        Map<UUID, Staging.Choice> wears,
        Map<UUID, Srgb> tried,
        Set<UUID> lit,
        Optional<Instant> at) {

    private static final int UUID_LENGTH = 36;

    /** As it is now, under its own light. */
    public static final Showing OWN = under(Optional.empty());

    public static final Showing AS_DRAWN = under(Optional.of(Light.AS_DRAWN));

    /** What a page asks for, in words; see {@link #of}. */
    public record Asked(List<String> tried, Set<UUID> lit, String light, String rule, List<String> wear, Instant at) {}

    private static Showing under(Optional<Light> light) {
        return new Showing(light, Map.of(), Map.of(), Set.of(), Optional.empty());
    }

    /**
     * @param asked swatches tried as id and hex code; {@code light} as {@code own}, {@code plain} or an id, unless {@code rule} is a whole light in its stored form; cards as
     *     id, a colon and what they wear
     */
    public static Showing of(Asked asked, Staging staging) {
        Optional<Light> light = !asked.rule().isEmpty()
                ? Optional.of(Light.ofText("tried", asked.rule()))
                : switch (asked.light()) {
                    case "own" -> Optional.empty();
                    case "plain" -> Optional.of(Light.AS_DRAWN);
                    default ->
                        Optional.of(staging.light(id(asked.light()))
                                .orElseThrow(() -> new Refusal("This light is not there any more.")));
                };
        return new Showing(
                light,
                byId(asked.wear(), rest -> Staging.Choice.ofText(rest.substring(1))),
                byId(asked.tried(), Srgb::ofHex),
                asked.lit(),
                Optional.ofNullable(asked.at()));
    }

    /** What stands behind the id at the beginning of each. */
    private static <T> Map<UUID, T> byId(List<String> texts, Function<String, T> read) {
        Map<UUID, T> byId = new HashMap<>();
        for (String text : texts) {
            if (text.length() <= UUID_LENGTH) {
                throw new Refusal("'" + text + "' does not say what is to be shown how.");
            }
            byId.put(id(text.substring(0, UUID_LENGTH)), read.apply(text.substring(UUID_LENGTH)));
        }
        return byId;
    }

    private static UUID id(String text) {
        return Refusal.unlessRead("'" + text + "' is the number of nothing here.", () -> UUID.fromString(text));
    }
}
