package stillpond.core.blockin;

import java.util.Arrays;

/**
 * Small patches of like colour, all about as large, that follow the edges of a picture: SLIC (R. Achanta and others, "SLIC superpixels compared to state-of-the-art superpixel methods", IEEE TPAMI 34, 2012), in OKLab, with its last step that
 * gives stray pixels to a neighbour.
 */
final class Superpixels {

    private static final int ROUNDS = 10;
    /** How much nearness counts beside likeness of colour; lightness goes from 0 to 100, as in the paper. */
    private static final double COMPACTNESS = 9;

    private static final double FULL = 100;

    private final int width;
    private final int height;
    private final double[][] lab;
    private final double grid;
    private double[][] centres;
    private final int[] owner;

    private Superpixels(int width, int height, double[][] lab, int count) {
        this.width = width;
        this.height = height;
        this.lab = lab;
        this.grid = Math.max(2, Math.sqrt(width * (double) height / count));
        this.owner = new int[width * height];
    }

    /**
     * @param lab lightness, a and b of each pixel in OKLab, row by row
     * @param count about how many there are to be
     * @return the patch of each pixel, from 0, each connected
     */
    static int[] of(int width, int height, double[][] lab, int count) {
        Superpixels pixels = new Superpixels(width, height, lab, count);
        pixels.begin();
        for (int round = 0; round < ROUNDS; round++) {
            pixels.assign();
            pixels.move();
        }
        return pixels.connected();
    }

    private void begin() {
        int columns = (int) Math.max(1, Math.round(width / grid));
        int rows = (int) Math.max(1, Math.round(height / grid));
        centres = new double[columns * rows][];
        for (int row = 0; row < rows; row++) {
            for (int column = 0; column < columns; column++) {
                int x = (int) ((column + 0.5) * width / columns);
                int y = (int) ((row + 0.5) * height / rows);
                int at = calmest(x, y);
                centres[row * columns + column] =
                        new double[] {lab[at][0], lab[at][1], lab[at][2], at % width, at / width};
            }
        }
    }

    /** Of the nine pixels around a place that with the least change of colour, so that no patch begins on an edge. */
    private int calmest(int x, int y) {
        int best = y * width + x;
        double least = Double.POSITIVE_INFINITY;
        for (int dy = -1; dy <= 1; dy++) {
            for (int dx = -1; dx <= 1; dx++) {
                int px = Math.max(1, Math.min(width - 2, x + dx));
                int py = Math.max(1, Math.min(height - 2, y + dy));
                if (px < 1 || py < 1 || px >= width - 1 || py >= height - 1) {
                    return best;
                }
                int at = py * width + px;
                double change = colourSquare(lab[at - 1], lab[at + 1]) + colourSquare(lab[at - width], lab[at + width]);
                if (change < least) {
                    least = change;
                    best = at;
                }
            }
        }
        return best;
    }

    private static double colourSquare(double[] one, double[] other) {
        double l = one[0] - other[0];
        double a = one[1] - other[1];
        double b = one[2] - other[2];
        return (l * l + a * a + b * b) * FULL * FULL;
    }

    private void assign() {
        double[] nearest = new double[owner.length];
        Arrays.fill(nearest, Double.POSITIVE_INFINITY);
        double spatial = COMPACTNESS * COMPACTNESS / (grid * grid);
        for (int i = 0; i < centres.length; i++) {
            double[] centre = centres[i];
            int left = (int) Math.max(0, centre[3] - grid);
            int right = (int) Math.min(width - 1.0, centre[3] + grid);
            int top = (int) Math.max(0, centre[4] - grid);
            int bottom = (int) Math.min(height - 1.0, centre[4] + grid);
            for (int y = top; y <= bottom; y++) {
                for (int x = left; x <= right; x++) {
                    int at = y * width + x;
                    double away = (x - centre[3]) * (x - centre[3]) + (y - centre[4]) * (y - centre[4]);
                    double distance = colourSquare(lab[at], centre) + away * spatial;
                    if (distance < nearest[at]) {
                        nearest[at] = distance;
                        owner[at] = i;
                    }
                }
            }
        }
    }

    private void move() {
        double[][] sums = new double[centres.length][6];
        for (int at = 0; at < owner.length; at++) {
            double[] sum = sums[owner[at]];
            sum[0] += lab[at][0];
            sum[1] += lab[at][1];
            sum[2] += lab[at][2];
            sum[3] += at % width;
            sum[4] += at / width;
            sum[5]++;
        }
        for (int i = 0; i < centres.length; i++) {
            if (sums[i][5] > 0) {
                for (int k = 0; k < 5; k++) {
                    centres[i][k] = sums[i][k] / sums[i][5];
                }
            }
        }
    }

    /** Each connected piece is a patch, but for those smaller than a quarter of one, which go to the piece before them. */
    private int[] connected() {
        int[] patch = new int[owner.length];
        Arrays.fill(patch, -1);
        int[] queue = new int[owner.length];
        int count = 0;
        for (int start = 0; start < owner.length; start++) {
            if (patch[start] >= 0) {
                continue;
            }
            int beside = start % width > 0 ? patch[start - 1] : start >= width ? patch[start - width] : -1;
            int size = flood(start, count, patch, queue);
            if (size < grid * grid / 4 && beside >= 0) {
                for (int i = 0; i < size; i++) {
                    patch[queue[i]] = beside;
                }
            } else {
                count++;
            }
        }
        return patch;
    }

    private int flood(int start, int number, int[] patch, int[] queue) {
        int size = 0;
        queue[size++] = start;
        patch[start] = number;
        for (int i = 0; i < size; i++) {
            int at = queue[i];
            int x = at % width;
            int[] sides = {x > 0 ? at - 1 : -1, x < width - 1 ? at + 1 : -1, at - width, at + width};
            for (int side : sides) {
                if (side >= 0 && side < owner.length && patch[side] < 0 && owner[side] == owner[start]) {
                    patch[side] = number;
                    queue[size++] = side;
                }
            }
        }
        return size;
    }
}
