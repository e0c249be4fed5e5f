package stillpond.core.shadow;

import java.util.List;
import stillpond.core.cell.Box;
import stillpond.core.cell.CellPlane;

/** The cells of a layer, cut into pieces by what lies on them. @param plane the number of each pixel; see {@link Pieces} */
public record ShadowedCells(CellPlane plane, Pieces pieces) {

    /** @param shadows from back to front, laid for a picture of this size @param cells how many there are */
    public static ShadowedCells of(CellPlane plane, List<LaidShadow> shadows, int cells) {
        Pieces pieces = new Pieces(cells);
        CellWindow window = CellWindow.of(plane);
        int[] numbers = numbers(window, window.box(), shadows, pieces);
        return new ShadowedCells(new CellPlane(plane.widthPx(), plane.heightPx(), numbers), pieces);
    }

    /**
     * The numbers of the pixels of a box, row by row.
     *
     * @param window what is known of the cells, at least the {@link LaidShadow#marginPx margins} around the box, as far as there are any
     * @param shadows from back to front
     */
    public static int[] numbers(CellWindow window, Box inner, List<LaidShadow> shadows, Pieces pieces) {
        int[] numbers = new int[inner.widthPx() * inner.heightPx()];
        for (int y = inner.yStart(), i = 0; y < inner.yEndExclusive(); y++) {
            int from = (y - window.box().yStart()) * window.box().widthPx()
                    + inner.xStart()
                    - window.box().xStart();
            System.arraycopy(window.cells(), from, numbers, i, inner.widthPx());
            i += inner.widthPx();
        }
        shadows.forEach(each -> each.lay(window, inner, numbers, pieces));
        return numbers;
    }
}
