package stillpond.bench;

import stillpond.core.gap.Openings;
import stillpond.core.ink.InkPlane;

/** What the application does with the ink of a sheet that is brought in. */
final class Analysis {

    private Analysis() {}

    static Openings of(InkPlane ink) {
        return Openings.of(ink);
    }
}
