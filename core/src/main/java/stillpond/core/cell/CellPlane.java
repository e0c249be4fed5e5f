package stillpond.core.cell;

import stillpond.core.ink.PlaneSize;

/**
 * The number of the cell of every pixel.
 *
 * <p>Owns its array; whoever is handed {@link #numbers()} reads it and does not write.
 */
public final class CellPlane {

    private final int widthPx;
    private final int heightPx;
    private final int[] numbers;

    public CellPlane(int widthPx, int heightPx, int[] numbers) {
        PlaneSize.require(widthPx, heightPx, numbers.length);
        this.widthPx = widthPx;
        this.heightPx = heightPx;
        this.numbers = numbers;
    }

    public int widthPx() {
        return widthPx;
    }

    public int heightPx() {
        return heightPx;
    }

    /** Cell numbers, row by row; the array itself, not a copy. */
    public int[] numbers() {
        return numbers;
    }

    public int numberAt(int x, int y) {
        return numbers[y * widthPx + x];
    }
}
