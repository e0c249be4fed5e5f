package stillpond.app.check;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import stillpond.core.fill.Fill;

/**
 * What a button of the check does on the desk, where it is done like anything else that is done by hand there.
 *
 * @param label what it says
 * @param lays places by the text of the fill that they get, for {@link Kind#LAY}
 * @param swatch that another takes the place of, {@code by} that one, for {@link Kind#REPLACE}
 * @param cells for {@link Kind#TAKE_IN} and {@link Kind#CHOOSE}
 * @param openings that are dammed, by index, for {@link Kind#TAKE_IN}
 */
record CheckAct(
        Kind kind,
        String label,
        Map<String, List<Integer>> lays,
        @Nullable UUID swatch,
        @Nullable UUID by,
        List<Integer> cells,
        List<Integer> openings) {

    enum Kind {
        LAY,
        REPLACE,
        /** Dams the ways out of a fill, and takes it away outside. */
        TAKE_IN,
        /** Opens the kinds of fill, for somebody to choose. */
        CHOOSE
    }

    static CheckAct lay(String label, Fill fill, List<Integer> places) {
        return lay(label, Map.of(fill.text(), places));
    }

    static CheckAct lay(String label, Map<String, List<Integer>> lays) {
        return new CheckAct(Kind.LAY, label, lays, null, null, List.of(), List.of());
    }

    static CheckAct replace(String label, UUID swatch, UUID by) {
        return new CheckAct(Kind.REPLACE, label, Map.of(), swatch, by, List.of(), List.of());
    }

    static CheckAct takeIn(String label, List<Integer> cells, List<Integer> openings) {
        return new CheckAct(Kind.TAKE_IN, label, Map.of(), null, null, cells, openings);
    }

    static CheckAct choose(String label, List<Integer> cells) {
        return new CheckAct(Kind.CHOOSE, label, Map.of(), null, null, cells, List.of());
    }
}
