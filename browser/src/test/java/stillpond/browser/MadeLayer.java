package stillpond.browser;

import java.util.Random;

/** A layer of cells on a grid, as a page hands it over, made from chance. */
record MadeLayer(int columns, int rows, Object[] cells, Object[] openings) {

    private static final int SIDE_PX = 20;
    private static final double STROKE_PX = 3;

    static MadeLayer of(Random random) {
        int columns = 2 + random.nextInt(4);
        int rows = 2 + random.nextInt(4);
        int count = columns * rows;
        int[] cells = new int[7 * count];
        double[] depths = new double[count];
        for (int cell = 0; cell < count; cell++) {
            int x = SIDE_PX * (cell % columns);
            int y = SIDE_PX * (cell / columns);
            int[] numbers = {
                1 + random.nextInt(400), x, y, SIDE_PX, SIDE_PX, x + random.nextInt(20), y + random.nextInt(20)
            };
            System.arraycopy(numbers, 0, cells, 7 * cell, numbers.length);
            depths[cell] = Math.sqrt(random.nextInt(400));
        }
        int across = rows * (columns - 1);
        int between = across + columns * (rows - 1);
        int[] borders = new int[3 * between];
        int[] meeting = new int[2 * between];
        double[] sizes = new double[2 * between];
        int[] points = new int[between];
        double[] lines = new double[6 * between];
        for (int i = 0; i < between; i++) {
            int first = i < across ? i / (columns - 1) * columns + i % (columns - 1) : i - across;
            int second = i < across ? first + 1 : first + columns;
            System.arraycopy(new int[] {first, second, 1 + random.nextInt(SIDE_PX)}, 0, borders, 3 * i, 3);
            System.arraycopy(new int[] {first, second}, 0, meeting, 2 * i, 2);
            sizes[2 * i] = 1 + random.nextInt(200) / 10.0;
            sizes[2 * i + 1] = random.nextInt(1_000_001) / 1e6;
            points[i] = 3;
            for (int at = 6 * i; at < 6 * (i + 1); at++) {
                lines[at] = random.nextInt(2000) / 10.0;
            }
        }
        return new MadeLayer(
                columns, rows, new Object[] {SIDE_PX * columns, SIDE_PX * rows, cells, depths, borders}, new Object[] {
                    STROKE_PX, meeting, sizes, points, lines
                });
    }

    int count() {
        return columns * rows;
    }

    int openingCount() {
        return ((int[]) openings[3]).length;
    }

    Layer layer() {
        return new Layer((int) cells[0], (int) cells[1], (int[]) cells[2], (double[]) cells[3], (int[]) cells[4]);
    }
}
