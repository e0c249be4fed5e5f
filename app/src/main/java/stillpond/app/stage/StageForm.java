package stillpond.app.stage;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.util.MultiValueMap;
import stillpond.core.palette.Staging;
import stillpond.core.refusal.Refusal;

/**
 * What the page of a scene sends: {@code light.PLACE} and {@code wear.PLACE.CARD} with {@code follow}, {@code plain} or an id, for the scene and for each sheet;
 * and {@code cast.SHEET} with the cards that are said to be on a sheet.
 */
record StageForm(MultiValueMap<String, String> fields) {

    /** A staging with these choices; of places that are not of the scene nothing is taken. */
    Staging on(Staging staging, UUID scene, List<UUID> sheets) {
        Staging settled = staging;
        for (Map.Entry<String, List<String>> field : fields.entrySet()) {
            String[] words = field.getKey().split("\\.");
            boolean isChoice =
                    words[0].equals("light") && words.length == 2 || words[0].equals("wear") && words.length == 3;
            if (!isChoice) {
                continue;
            }
            UUID place = id(words[1]);
            if (place.equals(scene) || sheets.contains(place)) {
                Staging.Choice choice = Staging.Choice.ofText(field.getValue().get(0));
                settled = words.length == 2
                        ? settled.lighting(place, choice)
                        : settled.dressing(place, id(words[2]), choice);
            }
        }
        return settled;
    }

    List<UUID> cast(UUID sheet) {
        return fields.getOrDefault("cast." + sheet, List.of()).stream()
                .map(StageForm::id)
                .toList();
    }

    private static UUID id(String text) {
        return Refusal.unlessRead("'" + text + "' is the number of nothing here.", () -> UUID.fromString(text));
    }
}
