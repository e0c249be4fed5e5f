package stillpond.core.cut;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.IntUnaryOperator;
import stillpond.core.cell.Box;
import stillpond.core.cell.CellPlane;

/** What can be seen of the groups of all layers of a page: each pixel has the number of one, or {@link #NOTHING}. */
public final class CutPlane {

    /** The number of what is not cut: unfilled, or beside the page frame. */
    public static final int NOTHING = 0;

    private CutPlane() {}

    /**
     * A layer as far as it is cut.
     *
     * @param groupOfCell the number of the group that a cell is in, from 1; {@link #NOTHING} if it is in none
     * @param xPx where its left edge lies on the page, as {@code yPx} its upper one
     */
    public record OnPage(CellPlane cells, IntUnaryOperator groupOfCell, int xPx, int yPx) {}

    /** @param layers from front to back @param frame what lies beside it is not cut; empty: the page all over */
    public static CellPlane of(int widthPx, int heightPx, List<OnPage> layers, Optional<Box> frame) {
        int[] numbers = new int[widthPx * heightPx];
        layers.forEach(layer -> lay(layer, widthPx, heightPx, numbers));
        frame.ifPresent(box -> clear(box, widthPx, heightPx, numbers));
        return new CellPlane(widthPx, heightPx, numbers);
    }

    private static void lay(OnPage layer, int widthPx, int heightPx, int[] numbers) {
        CellPlane cells = layer.cells();
        int fromX = Math.max(0, layer.xPx());
        int toX = Math.min(widthPx, layer.xPx() + cells.widthPx());
        int toY = Math.min(heightPx, layer.yPx() + cells.heightPx());
        for (int y = Math.max(0, layer.yPx()); y < toY; y++) {
            for (int x = fromX; x < toX; x++) {
                int at = y * widthPx + x;
                if (numbers[at] == NOTHING) {
                    numbers[at] = layer.groupOfCell().applyAsInt(cells.numberAt(x - layer.xPx(), y - layer.yPx()));
                }
            }
        }
    }

    private static void clear(Box box, int widthPx, int heightPx, int[] numbers) {
        int left = Math.max(0, Math.min(widthPx, box.xStart()));
        int right = Math.max(left, Math.min(widthPx, box.xEndExclusive()));
        for (int y = 0; y < heightPx; y++) {
            boolean isBeside = y < box.yStart() || y >= box.yEndExclusive();
            Arrays.fill(numbers, y * widthPx, y * widthPx + (isBeside ? widthPx : left), NOTHING);
            Arrays.fill(numbers, y * widthPx + (isBeside ? widthPx : right), (y + 1) * widthPx, NOTHING);
        }
    }
}
