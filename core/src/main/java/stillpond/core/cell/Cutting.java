package stillpond.core.cell;

import java.util.Arrays;
import stillpond.core.ink.InkPlane;
import stillpond.core.refusal.Refusal;

/**
 * A sheet cut along its ink and along further walls, before it is settled which of the pieces are cells of their own: pieces can still be put together.
 *
 * <p>Used once: {@link #joined} takes the array over.
 */
public final class Cutting {

    /** No piece: ink, a wall, or a pinhole. */
    public static final int NONE = RunCells.NO_CELL;

    private final InkPlane ink;
    private final int[] walls;
    private final int[] numbers;
    private final int count;

    private Cutting(InkPlane ink, int[] walls, int[] numbers, int count) {
        this.ink = ink;
        this.walls = walls;
        this.numbers = numbers;
        this.count = count;
    }

    /**
     * @param walls indices of paper pixels that part pieces as ink does
     * @throws Refusal if no paper is left at all
     */
    public static Cutting along(InkPlane ink, int[] walls) {
        InkPlane walled = walls.length == 0 ? ink : withWalls(ink, walls);
        PaperRuns runs = PaperRuns.of(walled);
        if (runs.count() == 0) {
            throw new Refusal("The page is all ink: there is no paper to fill.");
        }
        RunCells runCells = RunCells.of(runs);
        return new Cutting(ink, walls, runCells.paint(ink.widthPx(), ink.heightPx()), runCells.cellCount());
    }

    private static InkPlane withWalls(InkPlane ink, int[] walls) {
        byte[] density = ink.density().clone();
        for (int wall : walls) {
            density[wall] = (byte) 255;
        }
        return new InkPlane(ink.widthPx(), ink.heightPx(), density, ink.threshold());
    }

    /** How many pieces there are; they are numbered from 0 by their first pixel in reading order. */
    public int count() {
        return count;
    }

    /** The piece of every pixel, or {@link #NONE}; the array itself, not a copy. */
    public int[] numbers() {
        return numbers;
    }

    public CellMap whole() {
        int[] each = new int[count];
        Arrays.setAll(each, i -> i);
        return joined(each);
    }

    /** @param cellOfPiece the cell that each piece becomes part of; cells are numbered from 0, by their first piece */
    public CellMap joined(int[] cellOfPiece) {
        int cells = Arrays.stream(cellOfPiece).max().orElseThrow() + 1;
        Arrays.parallelSetAll(numbers, i -> numbers[i] < 0 ? NONE : cellOfPiece[numbers[i]]);
        openWallsInside();
        int width = ink.widthPx();
        int height = ink.heightPx();
        CellMeasures measures = new CellMeasures(width, height, cells);
        measures.findDeepestPoints(numbers);
        NearestCell.spreadUnderInk(width, height, numbers);
        CellPlane plane = new CellPlane(width, height, numbers);
        return new CellMap(plane, measures.measure(plane), BorderCounter.count(plane));
    }

    /** A wall with the same cell on all sides bounds nothing, and a deepest point may lie on it. */
    private void openWallsInside() {
        for (int wall : walls) {
            int cell = onlyCellAround(wall);
            if (cell >= 0) {
                numbers[wall] = cell;
            }
        }
    }

    private int onlyCellAround(int wall) {
        int width = ink.widthPx();
        int x = wall % width;
        int found = NONE;
        for (int side = 0; side < 4; side++) {
            int beside = wall + (side == 0 ? -1 : side == 1 ? 1 : side == 2 ? -width : width);
            boolean off = side == 0 && x == 0 || side == 1 && x == width - 1 || beside < 0 || beside >= numbers.length;
            if (!off && numbers[beside] >= 0) {
                if (found >= 0 && found != numbers[beside]) {
                    return NONE;
                }
                found = numbers[beside];
            }
        }
        return found;
    }
}
