package stillpond.bench.carry;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import stillpond.core.fill.Fill;

/**
 * Something that is wrong on a sheet that else is right.
 *
 * @param fills what cells wear instead
 * @param opened openings through which a fill runs, by index
 * @param cells by which it is told whether it was found
 * @param swatch that it put on the sheet, of a loose colour or of another card; null if it put on none
 */
record PlantedFault(Kind kind, Map<Integer, Fill> fills, Set<Integer> opened, List<Integer> cells, UUID swatch) {

    /** What goes wrong when a book is laid. */
    enum Kind {
        SAME_CARD("wrong swatch of the same card"),
        OTHER_CARD("swatch of another card"),
        NEAR_TWIN("near twin on a card"),
        LOOSE("loose colour"),
        MISSED("missed region"),
        SWAPPED("swapped pair"),
        RAN_OUT("fill that ran out");

        private final String words;

        Kind(String words) {
            this.words = words;
        }

        String words() {
            return words;
        }
    }
}
