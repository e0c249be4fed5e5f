package stillpond.core.cell;

import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import stillpond.core.cell.ColumnDistance.Sites;

/** Collects area, box and deepest point of every cell. Strips of rows are measured apart and then put together. */
final class CellMeasures {

    private static final int ROWS_A_STRIP = 512;

    private final int width;
    private final int height;
    private final int strips;
    private final long[] deepestSquared;
    private final int[] deepestIndex;

    CellMeasures(int width, int height, int cells) {
        this.width = width;
        this.height = height;
        this.strips = (height + ROWS_A_STRIP - 1) / ROWS_A_STRIP;
        this.deepestSquared = new long[cells];
        this.deepestIndex = new int[cells];
    }

    /** @param numbers the plane before it is spread under the ink: pixels without a cell are walls */
    void findDeepestPoints(int[] numbers) {
        char[] columnDistance = ColumnDistance.of(width, height, numbers, Sites.WALLS);
        IntStream.range(0, strips).parallel().forEach(strip -> {
            long[] squared = new long[deepestSquared.length];
            int[] index = new int[deepestSquared.length];
            RowEnvelope envelope = new RowEnvelope(width + 2);
            int yStart = strip * ROWS_A_STRIP;
            int yEnd = Math.min(height, yStart + ROWS_A_STRIP);
            // The middle row first: what it finds spares most of the others.
            int middle = (yStart + yEnd) / 2;
            deepestOfRow(middle, numbers, columnDistance, envelope, squared, index);
            for (int y = yStart; y < yEnd; y++) {
                if (y != middle) {
                    deepestOfRow(y, numbers, columnDistance, envelope, squared, index);
                }
            }
            keepDeeper(squared, index);
        });
    }

    private void deepestOfRow(
            int y, int[] numbers, char[] columnDistance, RowEnvelope envelope, long[] squared, int[] index) {
        int row = y * width;
        int x = 0;
        while (x < width) {
            if (numbers[row + x] < 0) {
                x++;
                continue;
            }
            int start = x;
            int cell = numbers[row + x];
            int most = 0;
            while (x < width && numbers[row + x] >= 0) {
                most = Math.max(most, columnDistance[row + x]);
                x++;
            }
            // No place of the run is further from a wall than its column says, or half the run.
            long bound = Math.min(most, (x - start + 1) / 2);
            if (bound * bound >= Math.max(squared[cell], deepestSquared[cell])) {
                deepestOfRun(row, start, x, columnDistance, envelope, squared, index, cell);
            }
        }
    }

    private void deepestOfRun(
            int row,
            int start,
            int end,
            char[] columnDistance,
            RowEnvelope envelope,
            long[] squared,
            int[] index,
            int cell) {
        envelope.begin();
        envelope.add(start - 1, 0, start - 1, width + 1);
        for (int x = start; x < end; x++) {
            envelope.add(x, columnDistance[row + x], start - 1, width + 1);
        }
        envelope.add(end, 0, start - 1, width + 1);
        for (int at = end - 1; at >= start; at--) {
            envelope.nearest(at);
            long distance = envelope.squaredAt(at);
            if (distance > squared[cell] || distance == squared[cell] && row + at < index[cell]) {
                squared[cell] = distance;
                index[cell] = row + at;
            }
        }
    }

    private synchronized void keepDeeper(long[] squared, int[] index) {
        for (int cell = 0; cell < squared.length; cell++) {
            boolean deeper = squared[cell] > deepestSquared[cell];
            boolean sameButEarlier = squared[cell] == deepestSquared[cell] && index[cell] < deepestIndex[cell];
            if (deeper || sameButEarlier) {
                deepestSquared[cell] = squared[cell];
                deepestIndex[cell] = index[cell];
            }
        }
    }

    /** Where a cell's deepest point lies. */
    int deepestOf(int cell) {
        return deepestIndex[cell];
    }

    double depthOf(int cell) {
        return Math.sqrt(deepestSquared[cell]);
    }

    /** @param plane the finished plane, every pixel with a cell */
    List<Cell> measure(CellPlane plane) {
        Extent[] extents = new Extent[strips];
        IntStream.range(0, strips).parallel().forEach(strip -> {
            Extent extent = new Extent(deepestIndex.length);
            for (int y = strip * ROWS_A_STRIP; y < Math.min(height, (strip + 1) * ROWS_A_STRIP); y++) {
                extent.addRow(plane, y);
            }
            extents[strip] = extent;
        });
        Extent whole = extents[0];
        for (int strip = 1; strip < strips; strip++) {
            whole.add(extents[strip]);
        }
        return IntStream.range(0, deepestIndex.length)
                .mapToObj(number -> cell(number, whole))
                .toList();
    }

    private Cell cell(int number, Extent extent) {
        int at = deepestIndex[number];
        return new Cell(number, extent.area[number], extent.box(number), at % width, at / width, depthOf(number));
    }

    /** Area and box of every cell within some rows. */
    private static final class Extent {

        private final int[] area;
        private final int[] xStart;
        private final int[] yStart;
        private final int[] xLast;
        private final int[] yLast;

        Extent(int cells) {
            area = new int[cells];
            xStart = filled(cells, Integer.MAX_VALUE);
            yStart = filled(cells, Integer.MAX_VALUE);
            xLast = filled(cells, -1);
            yLast = filled(cells, -1);
        }

        void addRow(CellPlane plane, int y) {
            int[] numbers = plane.numbers();
            int row = y * plane.widthPx();
            int runStart = 0;
            for (int x = 1; x <= plane.widthPx(); x++) {
                if (x == plane.widthPx() || numbers[row + x] != numbers[row + runStart]) {
                    addRun(numbers[row + runStart], y, runStart, x);
                    runStart = x;
                }
            }
        }

        private void addRun(int cell, int y, int start, int endExclusive) {
            area[cell] += endExclusive - start;
            xStart[cell] = Math.min(xStart[cell], start);
            xLast[cell] = Math.max(xLast[cell], endExclusive - 1);
            yStart[cell] = Math.min(yStart[cell], y);
            yLast[cell] = Math.max(yLast[cell], y);
        }

        void add(Extent other) {
            for (int cell = 0; cell < area.length; cell++) {
                area[cell] += other.area[cell];
                xStart[cell] = Math.min(xStart[cell], other.xStart[cell]);
                xLast[cell] = Math.max(xLast[cell], other.xLast[cell]);
                yStart[cell] = Math.min(yStart[cell], other.yStart[cell]);
                yLast[cell] = Math.max(yLast[cell], other.yLast[cell]);
            }
        }

        Box box(int cell) {
            return new Box(xStart[cell], yStart[cell], xLast[cell] + 1, yLast[cell] + 1);
        }

        private static int[] filled(int length, int value) {
            int[] array = new int[length];
            Arrays.fill(array, value);
            return array;
        }
    }
}
