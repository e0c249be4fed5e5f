package stillpond.core.cell;

import java.util.List;

/**
 * The cells of a layer and who borders whom, without the plane: all that rules need to know which look at no pixel.
 *
 * <p>Not for use by several threads at once before {@link #neighbours} was asked.
 */
public final class CellGraph {

    private final int widthPx;
    private final int heightPx;
    private final List<Cell> cells;
    private final List<Border> borders;
    private int[][] neighbours;
    private int[][] lengthsPx;

    /**
     * @param widthPx of the layer
     * @param cells by number, from 0
     * @param borders each pair of cells once
     */
    public CellGraph(int widthPx, int heightPx, List<Cell> cells, List<Border> borders) {
        this.widthPx = widthPx;
        this.heightPx = heightPx;
        this.cells = List.copyOf(cells);
        this.borders = List.copyOf(borders);
    }

    public int widthPx() {
        return widthPx;
    }

    public int heightPx() {
        return heightPx;
    }

    public List<Cell> cells() {
        return cells;
    }

    public List<Border> borders() {
        return borders;
    }

    public int count() {
        return cells.size();
    }

    /** Whether a cell reaches the edge of the layer. */
    public boolean reachesEdge(int cell) {
        return cells.get(cell).box().reachesEdgeOf(widthPx, heightPx);
    }

    /** The cells that a cell borders; not to be changed. */
    public int[] neighbours(int cell) {
        if (neighbours == null) {
            link();
        }
        return neighbours[cell];
    }

    /** How long the border with each of {@link #neighbours} is; not to be changed. */
    public int[] borderLengthsPx(int cell) {
        neighbours(cell);
        return lengthsPx[cell];
    }

    private void link() {
        int[] degree = new int[count()];
        for (Border border : borders) {
            degree[border.first()]++;
            degree[border.second()]++;
        }
        int[][] beside = new int[count()][];
        lengthsPx = new int[count()][];
        for (int cell = 0; cell < count(); cell++) {
            beside[cell] = new int[degree[cell]];
            lengthsPx[cell] = new int[degree[cell]];
        }
        int[] next = new int[count()];
        for (Border border : borders) {
            link(beside, next, border.first(), border.second(), border.lengthPx());
            link(beside, next, border.second(), border.first(), border.lengthPx());
        }
        neighbours = beside;
    }

    private void link(int[][] beside, int[] next, int cell, int other, int lengthPx) {
        beside[cell][next[cell]] = other;
        lengthsPx[cell][next[cell]++] = lengthPx;
    }
}
