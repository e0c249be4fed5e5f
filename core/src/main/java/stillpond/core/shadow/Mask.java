package stillpond.core.shadow;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import stillpond.core.cell.Box;
import stillpond.core.gap.Point;

/** How much of each pixel of a box is covered, 0 to 255. */
final class Mask {

    static final int WHOLE = 255;

    /** Each row of pixels is looked at along so many lines. */
    private static final int LINES = 4;

    final Box box;
    final byte[] covered;

    Mask(Box box) {
        this.box = box;
        this.covered = new byte[Math.max(0, box.widthPx()) * Math.max(0, box.heightPx())];
    }

    int at(int x, int y) {
        return covered[(y - box.yStart()) * box.widthPx() + x - box.xStart()] & 0xff;
    }

    /** What a closed polygon runs around, however often (the non-zero rule of SVG 2, 13.4.2); each pixel by the area of it that is inside, along four lines. */
    static Mask inside(List<Point> polygon, Box box) {
        Mask mask = new Mask(box);
        int width = box.widthPx();
        int lines = box.heightPx() * LINES;
        List<List<Edge>> begins = new ArrayList<>();
        for (int i = 0; i < lines; i++) {
            begins.add(null);
        }
        for (int i = 0; i < polygon.size(); i++) {
            Edge.of(polygon.get(i), polygon.get((i + 1) % polygon.size()), box, lines)
                    .ifPresent(edge -> {
                        if (begins.get(edge.first) == null) {
                            begins.set(edge.first, new ArrayList<>());
                        }
                        begins.get(edge.first).add(edge);
                    });
        }
        List<Edge> active = new ArrayList<>();
        int[] row = new int[width + 1];
        for (int line = 0; line < lines; line++) {
            int now = line;
            active.removeIf(edge -> edge.end <= now);
            if (begins.get(line) != null) {
                active.addAll(begins.get(line));
            }
            active.forEach(edge -> edge.goTo(now));
            active.sort((a, b) -> Double.compare(a.x, b.x));
            int winding = 0;
            for (int i = 0; i + 1 < active.size(); i++) {
                winding += active.get(i).down;
                if (winding != 0) {
                    cover(row, active.get(i).x, active.get(i + 1).x, width);
                }
            }
            if (line % LINES == LINES - 1) {
                mask.takeRow(line / LINES, row);
            }
        }
        return mask;
    }

    private void takeRow(int y, int[] row) {
        int width = box.widthPx();
        for (int x = 0; x < width; x++) {
            covered[y * width + x] = (byte) Math.min(WHOLE, row[x] / LINES);
            row[x] = 0;
        }
    }

    private static void cover(int[] row, double from, double to, int width) {
        double start = Math.max(0, from);
        double end = Math.min(width, to);
        int first = (int) start;
        int last = (int) end;
        if (start >= end) {
            return;
        }
        if (first == last) {
            row[first] += (int) Math.round(WHOLE * (end - start));
            return;
        }
        row[first] += (int) Math.round(WHOLE * (first + 1 - start));
        for (int x = first + 1; x < last; x++) {
            row[x] += WHOLE;
        }
        row[last] += (int) Math.round(WHOLE * (end - last));
    }

    private static final class Edge {
        private final double slope;
        private final double x0;
        private final double y0;
        private final int first;
        private final int end;
        private final int down;
        private double x;

        private Edge(Point top, Point bottom, int first, int end, int down) {
            this.slope = (bottom.x() - top.x()) / (bottom.y() - top.y());
            this.x0 = top.x();
            this.y0 = top.y();
            this.first = first;
            this.end = end;
            this.down = down;
        }

        /** Empty if it crosses none of the lines. */
        static Optional<Edge> of(Point from, Point to, Box box, int lines) {
            boolean isDown = to.y() > from.y();
            Point top = moved(isDown ? from : to, box);
            Point bottom = moved(isDown ? to : from, box);
            int first = (int) Math.max(0, Math.ceil(top.y() * LINES - 0.5));
            int end = (int) Math.min(lines, Math.ceil(bottom.y() * LINES - 0.5));
            return first >= end ? Optional.empty() : Optional.of(new Edge(top, bottom, first, end, isDown ? 1 : -1));
        }

        private static Point moved(Point point, Box box) {
            return new Point(point.x() - box.xStart(), point.y() - box.yStart());
        }

        void goTo(int line) {
            x = x0 + slope * ((line + 0.5) / LINES - y0);
        }
    }

    /** This and whatever is nearer to it than a distance, measured from middle to middle of pixels: covered wholly or not at all. */
    Mask widened(double px) {
        int width = box.widthPx();
        int height = box.heightPx();
        int reach = (int) Math.floor(px);
        int[] half = new int[reach + 1];
        for (int dy = 0; dy <= reach; dy++) {
            half[dy] = (int) Math.floor(Math.sqrt(px * px - dy * dy));
        }
        int[][] runs = runs();
        int[] steps = new int[width + 1];
        Mask widened = new Mask(box);
        for (int y = 0; y < height; y++) {
            for (int near = Math.max(0, y - reach); near <= Math.min(height - 1, y + reach); near++) {
                int more = half[Math.abs(near - y)];
                for (int i = 0; i < runs[near].length; i += 2) {
                    steps[Math.max(0, runs[near][i] - more)]++;
                    steps[Math.min(width, runs[near][i + 1] + more)]--;
                }
            }
            int covers = 0;
            for (int x = 0; x < width; x++) {
                covers += steps[x];
                widened.covered[y * width + x] = covers > 0 ? (byte) WHOLE : 0;
                steps[x] = 0;
            }
            steps[width] = 0;
        }
        return widened;
    }

    /** What is covered, row by row: where each stretch begins, and where it has ended. */
    private int[][] runs() {
        int width = box.widthPx();
        int[][] runs = new int[box.heightPx()][];
        int[] row = new int[width + 2];
        for (int y = 0; y < runs.length; y++) {
            int count = 0;
            for (int x = 0; x < width; x++) {
                boolean isCovered = covered[y * width + x] != 0;
                boolean wasCovered = x > 0 && covered[y * width + x - 1] != 0;
                if (isCovered != wasCovered) {
                    row[count++] = x;
                }
            }
            if (count % 2 != 0) {
                row[count++] = width;
            }
            runs[y] = Arrays.copyOf(row, count);
        }
        return runs;
    }

    /** With an edge that fades out over some pixels: three means over boxes, which come near to a Gaussian blur, laid out as W3C Filter Effects Level 1 says for feGaussianBlur. */
    void soften(double edgePx) {
        if (edgePx > 0) {
            int size = (int) Math.max(2, Math.round(edgePx / 3));
            blur(size, size / 2);
            blur(size, (size - 1) / 2);
            blur(edgePx < 4 ? 1 : size | 1, size / 2);
        }
    }

    private void blur(int size, int before) {
        if (size > 1) {
            blur(size, before, 1, box.widthPx(), box.widthPx(), box.heightPx());
            blur(size, before, box.widthPx(), box.heightPx(), 1, box.widthPx());
        }
    }

    /** @param before how many of the pixels lie before the one that gets their mean @param step from one pixel to the next along a line @param length of a line @param across from line to line */
    private void blur(int size, int before, int step, int length, int across, int lines) {
        int behind = size - 1 - before;
        byte[] line = new byte[length];
        for (int start = 0, n = 0; n < lines; n++, start += across) {
            for (int i = 0; i < length; i++) {
                line[i] = covered[start + i * step];
            }
            int sum = 0;
            for (int i = -before; i <= behind; i++) {
                sum += line[Math.max(0, Math.min(length - 1, i))] & 0xff;
            }
            for (int i = 0; i < length; i++) {
                covered[start + i * step] = (byte) ((sum + size / 2) / size);
                int leaves = Math.max(0, i - before);
                int comes = Math.min(length - 1, i + behind + 1);
                sum += (line[comes] & 0xff) - (line[leaves] & 0xff);
            }
        }
    }

    /** Each pixel twice as much, as far as it goes. */
    void doubled() {
        for (int i = 0; i < covered.length; i++) {
            covered[i] = (byte) Math.min(WHOLE, 2 * (covered[i] & 0xff));
        }
    }

    /** What is covered by this or by another one, over a part of the same box. */
    void add(Mask other) {
        int width = box.widthPx();
        for (int y = other.box.yStart(); y < other.box.yEndExclusive(); y++) {
            for (int x = other.box.xStart(); x < other.box.xEndExclusive(); x++) {
                int i = (y - box.yStart()) * width + x - box.xStart();
                covered[i] = (byte) Math.max(covered[i] & 0xff, other.at(x, y));
            }
        }
    }
}
