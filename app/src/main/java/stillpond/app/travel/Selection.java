package stillpond.app.travel;

import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;

/**
 * What of a project travels.
 *
 * @param scenes with all their sheets; cards, lights and what else belongs to the whole project always travel
 * @param withHistory whether its log does, and line art as it was cut before
 */
record Selection(UUID project, Scope scope, List<UUID> scenes, boolean withHistory) {

    enum Scope {
        PROJECT,
        SCENES,
        CARDS
    }

    Selection {
        scenes = List.copyOf(scenes);
    }

    /** As queries take them. */
    String sceneIds() {
        return scenes.stream().map(UUID::toString).collect(Collectors.joining(" "));
    }
}
