package stillpond.core.cell;

import java.util.List;
import stillpond.core.ink.InkPlane;
import stillpond.core.refusal.Refusal;

/**
 * The cells of one layer of line art: the plane of their numbers, what is known of each, and who borders whom.
 *
 * @param plane the cell of every pixel
 * @param cells by number, from 0
 * @param borders in order of first, then second cell
 */
public record CellMap(CellPlane plane, List<Cell> cells, List<Border> borders) {

    /** Nobody can see, aim at or print a patch of paper smaller than 3 x 3 pixels. */
    public static final int MIN_PAPER_PX = 9;

    public CellMap {
        cells = List.copyOf(cells);
        borders = List.copyOf(borders);
    }

    /**
     * Cuts a sheet into cells.
     *
     * <p>Cost: linear in the pixels, on all cores; about 12 bytes a pixel while it runs.
     *
     * @throws Refusal if there is no paper at all, for then there is nothing to fill
     */
    public static CellMap of(InkPlane ink) {
        return Cutting.along(ink, new int[0]).whole();
    }

    /** The same without the plane. */
    public CellGraph graph() {
        return new CellGraph(plane.widthPx(), plane.heightPx(), cells, borders);
    }

    public Cell cellAt(int x, int y) {
        return cells.get(plane.numberAt(x, y));
    }

    /** The area of each cell in pixels, by its number. */
    public int[] areasPx() {
        return cells.stream().mapToInt(Cell::areaPx).toArray();
    }
}
