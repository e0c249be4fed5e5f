package stillpond.core.region;

import stillpond.core.cell.Box;
import stillpond.core.cell.Cell;

/**
 * A region as one shape: what is known of a cell, for all its cells together.
 *
 * @param number from 0
 * @param cells in rising order; not to be changed
 * @param areaPx all its pixels, those under the ink included
 * @param box around all its pixels
 * @param deepest the one of its cells whose deepest point lies deepest
 */
public record Region(int number, int[] cells, long areaPx, Box box, Cell deepest) {

    /** The longer side of its box, in pixels. */
    int longSidePx() {
        return Math.max(box.widthPx(), box.heightPx());
    }
}
