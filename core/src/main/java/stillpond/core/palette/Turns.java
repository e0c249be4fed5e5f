package stillpond.core.palette;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;

/** Where in a row of sheets the light or the clothes become others. */
public final class Turns {

    private Turns() {}

    /**
     * What is another on a sheet than on the one before it, in words: "light Dusk", "Juniper: Winter", "Juniper: as on the card".
     *
     * @param cards whose clothes are told of
     */
    public static List<String> between(Staging staging, Reaching.Place before, Reaching.Place after, List<Card> cards) {
        List<String> turns = new ArrayList<>();
        Light light = staging.lit(after.scene(), after.sheet());
        if (!light.equals(staging.lit(before.scene(), before.sheet()))) {
            turns.add("light " + light.name());
        }
        Map<UUID, Wardrobe> then = byCard(staging, before);
        Map<UUID, Wardrobe> now = byCard(staging, after);
        for (Card card : cards) {
            Optional<Wardrobe> worn = Optional.ofNullable(now.get(card.id()));
            if (!worn.equals(Optional.ofNullable(then.get(card.id())))) {
                turns.add(card.name() + ": " + worn.map(Wardrobe::name).orElse("as on the card"));
            }
        }
        return turns;
    }

    private static Map<UUID, Wardrobe> byCard(Staging staging, Reaching.Place place) {
        return staging.worn(place.scene(), place.sheet()).stream()
                .collect(Collectors.toMap(Wardrobe::card, Function.identity()));
    }
}
