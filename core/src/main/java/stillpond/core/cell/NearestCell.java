package stillpond.core.cell;

import java.util.stream.IntStream;
import stillpond.core.cell.ColumnDistance.Sites;

/** Gives every pixel without a cell the cell of the nearest pixel that has one. */
final class NearestCell {

    private final int width;
    private final int[] numbers;
    private final char[] columnDistance;

    private NearestCell(int width, int height, int[] numbers) {
        this.width = width;
        this.numbers = numbers;
        this.columnDistance = ColumnDistance.of(width, height, numbers, Sites.CELLS);
    }

    /** Fills in the numbers below 0; at least one pixel must have a cell. */
    static void spreadUnderInk(int width, int height, int[] numbers) {
        NearestCell nearest = new NearestCell(width, height, numbers);
        ThreadLocal<RowEnvelope> envelopes = ThreadLocal.withInitial(() -> new RowEnvelope(width));
        IntStream.range(0, height).parallel().forEach(y -> nearest.spreadRow(y, envelopes.get()));
    }

    private void spreadRow(int y, RowEnvelope envelope) {
        int row = y * width;
        int x = 0;
        while (x < width) {
            if (columnDistance[row + x] == 0) {
                x++;
                continue;
            }
            int inkStart = x;
            while (x < width && columnDistance[row + x] != 0) {
                x++;
            }
            spreadStretch(y, Math.max(0, inkStart - 1), Math.min(width, x + 1), envelope);
        }
    }

    private void spreadStretch(int y, int xStart, int xEnd, RowEnvelope envelope) {
        int row = y * width;
        envelope.begin();
        for (int x = xStart; x < xEnd; x++) {
            if (columnDistance[row + x] != ColumnDistance.NONE) {
                envelope.add(x, columnDistance[row + x], xStart, xEnd);
            }
        }
        for (int x = xEnd - 1; x >= xStart; x--) {
            int column = envelope.nearest(x);
            if (columnDistance[row + x] != 0) {
                numbers[row + x] = numbers[ColumnDistance.siteIndex(columnDistance, width, column, y)];
            }
        }
    }
}
