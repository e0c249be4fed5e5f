package stillpond.bench;

import stillpond.core.cell.CellMap;
import stillpond.core.ink.InkPlane;

/** What the application does with the ink of a sheet that is brought in. */
final class Analysis {

    private Analysis() {}

    static CellMap of(InkPlane ink) {
        return CellMap.of(ink);
    }
}
