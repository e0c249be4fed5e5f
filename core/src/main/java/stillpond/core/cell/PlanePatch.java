package stillpond.core.cell;

/**
 * A box of a cell plane, as it was before it was changed there or as it is afterwards.
 *
 * @param numbers the cells of the box, row by row
 */
public record PlanePatch(Box box, int[] numbers) {

    public static PlanePatch of(CellPlane plane, Box box) {
        int[] numbers = new int[box.widthPx() * box.heightPx()];
        for (int y = 0; y < box.heightPx(); y++) {
            int from = (box.yStart() + y) * plane.widthPx() + box.xStart();
            System.arraycopy(plane.numbers(), from, numbers, y * box.widthPx(), box.widthPx());
        }
        return new PlanePatch(box, numbers);
    }

    /** @param x of the plane, within the box; so is {@code y} */
    int numberAt(int x, int y) {
        return numbers[(y - box.yStart()) * box.widthPx() + x - box.xStart()];
    }

    /** Puts it into a plane. */
    public void putInto(CellPlane plane) {
        for (int y = 0; y < box.heightPx(); y++) {
            int to = (box.yStart() + y) * plane.widthPx() + box.xStart();
            System.arraycopy(numbers, y * box.widthPx(), plane.numbers(), to, box.widthPx());
        }
    }
}
