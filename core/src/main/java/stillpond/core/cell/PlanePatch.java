package stillpond.core.cell;

/**
 * What stood in a box of a cell plane before it was changed there.
 *
 * @param numbers the cells of the box, row by row
 */
public record PlanePatch(Box box, int[] numbers) {

    static PlanePatch of(CellPlane plane, Box box) {
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

    /** Puts back into the plane what stood there. */
    public void restore(CellPlane plane) {
        for (int y = 0; y < box.heightPx(); y++) {
            int to = (box.yStart() + y) * plane.widthPx() + box.xStart();
            System.arraycopy(numbers, y * box.widthPx(), plane.numbers(), to, box.widthPx());
        }
    }
}
