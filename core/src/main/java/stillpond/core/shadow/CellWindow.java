package stillpond.core.shadow;

import stillpond.core.cell.Box;
import stillpond.core.cell.CellPlane;

/** The cells of a box of a layer, row by row. */
public record CellWindow(Box box, int[] cells) {

    private static final int NONE = -1;

    /** All of a plane. */
    public static CellWindow of(CellPlane plane) {
        return new CellWindow(new Box(0, 0, plane.widthPx(), plane.heightPx()), plane.numbers());
    }

    /** The cell at a place of the layer; below 0 outside of the box. */
    int at(int x, int y) {
        boolean isInside = x >= box.xStart() && y >= box.yStart() && x < box.xEndExclusive() && y < box.yEndExclusive();
        return isInside ? cells[(y - box.yStart()) * box.widthPx() + x - box.xStart()] : NONE;
    }
}
