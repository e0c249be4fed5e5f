package stillpond.core.blockin;

import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import stillpond.core.cell.Box;
import stillpond.core.gap.Point;

/** Polygons, row by row of pixels. A pixel is inside if its middle is; a middle on a border belongs to what lies to the right of it, so two polygons that share a border never share a pixel, nor leave one. */
final class Rows {

    private Rows() {}

    /** Where a side crosses a level; the same from both its ends. */
    static double crossing(Point a, Point b, double y) {
        Point top = a.y() < b.y() ? a : b;
        Point bottom = a.y() < b.y() ? b : a;
        return top.x() + (bottom.x() - top.x()) * ((y - top.y()) / (bottom.y() - top.y()));
    }

    /**
     * Paints what an odd number of polygons runs around.
     *
     * @param numbers of the pixels of the box, row by row
     */
    static void paint(List<List<Point>> polygons, int number, Box box, int[] numbers) {
        int width = box.widthPx();
        if (polygons.size() == 1) {
            Crossed.by(polygons.get(0), box)
                    .forEachRun((y, from, to) -> Arrays.fill(numbers, y * width + from, y * width + to, number));
            return;
        }
        BitSet inside = new BitSet(width * box.heightPx());
        for (List<Point> polygon : polygons) {
            Crossed.by(polygon, box).forEachRun((y, from, to) -> inside.flip(y * width + from, y * width + to));
        }
        for (int i = inside.nextSetBit(0); i >= 0; i = inside.nextSetBit(i + 1)) {
            numbers[i] = number;
        }
    }

    /** Told of pixels side by side in a row of a box. */
    private interface RunSink {
        void run(int y, int from, int toExclusive);
    }

    /** Where the sides of a polygon cross the middles of the rows of a box. */
    private static final class Crossed {
        private final Box box;
        private final int[] start;
        private final double[] at;
        private final byte[] down;

        private Crossed(Box box, int[] start) {
            this.box = box;
            this.start = start;
            this.at = new double[start[start.length - 1]];
            this.down = new byte[at.length];
        }

        static Crossed by(List<Point> polygon, Box box) {
            int rows = box.heightPx();
            int[] start = new int[rows + 1];
            Point a = polygon.get(polygon.size() - 1);
            for (Point b : polygon) {
                for (int row = first(Math.min(a.y(), b.y()), box); row < end(Math.max(a.y(), b.y()), box); row++) {
                    start[row + 1]++;
                }
                a = b;
            }
            for (int row = 0; row < rows; row++) {
                start[row + 1] += start[row];
            }
            Crossed crossed = new Crossed(box, start);
            int[] next = start.clone();
            a = polygon.get(polygon.size() - 1);
            for (Point b : polygon) {
                for (int row = first(Math.min(a.y(), b.y()), box); row < end(Math.max(a.y(), b.y()), box); row++) {
                    crossed.add(row, next[row]++, crossing(a, b, box.yStart() + row + 0.5), b.y() > a.y());
                }
                a = b;
            }
            return crossed;
        }

        private static int first(double top, Box box) {
            return (int) Math.max(0, Math.ceil(top - 0.5 - box.yStart()));
        }

        private static int end(double bottom, Box box) {
            return (int) Math.min(box.heightPx(), Math.ceil(bottom - 0.5 - box.yStart()));
        }

        /** Keeps the crossings of a row in order. */
        private void add(int row, int place, double x, boolean isDown) {
            int i = place;
            while (i > start[row] && at[i - 1] > x) {
                at[i] = at[i - 1];
                down[i] = down[i - 1];
                i--;
            }
            at[i] = x;
            down[i] = (byte) (isDown ? 1 : -1);
        }

        /** What it runs around, however often. */
        void forEachRun(RunSink sink) {
            for (int row = 0; row + 1 < start.length; row++) {
                int winding = 0;
                int from = 0;
                for (int i = start[row]; i < start[row + 1]; i++) {
                    int x = (int) Math.ceil(at[i] - 0.5) - box.xStart();
                    if (winding == 0) {
                        from = Math.max(0, x);
                    }
                    winding += down[i];
                    int to = Math.min(box.widthPx(), x);
                    if (winding == 0 && from < to) {
                        sink.run(row, from, to);
                    }
                }
            }
        }
    }

    /** The smallest box around polygons, and some pixels more. */
    static Box around(List<List<Point>> polygons, double more) {
        double left = Double.POSITIVE_INFINITY;
        double top = Double.POSITIVE_INFINITY;
        double right = Double.NEGATIVE_INFINITY;
        double bottom = Double.NEGATIVE_INFINITY;
        for (List<Point> polygon : polygons) {
            for (Point point : polygon) {
                left = Math.min(left, point.x());
                top = Math.min(top, point.y());
                right = Math.max(right, point.x());
                bottom = Math.max(bottom, point.y());
            }
        }
        return new Box((int) Math.floor(left - more), (int) Math.floor(top - more), (int) Math.ceil(right + more), (int)
                Math.ceil(bottom + more));
    }
}
