package stillpond.core.cell;

import java.util.stream.IntStream;

/**
 * First phase of the exact Euclidean distance transform of A. Meijster, J. Roerdink and W. Hesselink ("A general algorithm for
 * computing distance transforms in linear time", 2000): for every pixel the distance to the nearest site in its own column.
 */
final class ColumnDistance {

    /** No site in the column. Sheets are far smaller than this. */
    static final char NONE = Character.MAX_VALUE;

    enum Sites {
        /** Pixels that have a cell. The outside of the sheet has none. */
        CELLS,
        /** Pixels that have no cell, and the row just above and below the sheet. */
        WALLS
    }

    private static final int COLUMNS_A_TASK = 256;

    private ColumnDistance() {}

    /** Distances as unsigned 16-bit numbers, row by row; {@link #NONE} where the column has no site. */
    static char[] of(int width, int height, int[] numbers, Sites sites) {
        char[] distance = new char[numbers.length];
        int tasks = (width + COLUMNS_A_TASK - 1) / COLUMNS_A_TASK;
        IntStream.range(0, tasks).parallel().forEach(task -> {
            int xStart = task * COLUMNS_A_TASK;
            int xEnd = Math.min(width, xStart + COLUMNS_A_TASK);
            boolean cellsAreSites = sites == Sites.CELLS;
            int beyond = cellsAreSites ? NONE : 0;
            for (int y = 0; y < height; y++) {
                for (int i = y * width + xStart, end = y * width + xEnd; i < end; i++) {
                    boolean site = numbers[i] >= 0 == cellsAreSites;
                    distance[i] = site ? 0 : next(y == 0 ? beyond : distance[i - width]);
                }
            }
            for (int y = height - 1; y >= 0; y--) {
                for (int i = y * width + xStart, end = y * width + xEnd; i < end; i++) {
                    char fromBelow = next(y == height - 1 ? beyond : distance[i + width]);
                    if (fromBelow < distance[i]) {
                        distance[i] = fromBelow;
                    }
                }
            }
        });
        return distance;
    }

    /**
     * Where the site of a column lies that a row sees. Read from distances alone, so that whoever fills in numbers row by row may ask at any time.
     */
    static int siteIndex(char[] columnDistance, int width, int column, int y) {
        int distance = columnDistance[y * width + column];
        int above = (y - distance) * width + column;
        return above >= 0 && columnDistance[above] == 0 ? above : (y + distance) * width + column;
    }

    private static char next(int distance) {
        return distance == NONE ? NONE : (char) (distance + 1);
    }
}
