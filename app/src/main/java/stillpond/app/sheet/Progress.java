package stillpond.app.sheet;

import java.util.UUID;

/** How many of a sheet's cells wear a fill. */
public record Progress(UUID sheet, long filledCells, long cells) {

    /** 0 to 100, and 100 only when nothing is left. */
    public int percent() {
        return cells == 0 ? 0 : (int) (100 * filledCells / cells);
    }

    public long left() {
        return cells - filledCells;
    }
}
