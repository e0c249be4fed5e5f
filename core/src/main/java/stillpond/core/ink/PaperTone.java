package stillpond.core.ink;

import java.util.Arrays;
import java.util.stream.IntStream;

/**
 * Takes the tone of the paper out of a scan, with its slow changes from place to place, and the grain that is left.
 *
 * <p>The page is looked at in square blocks. In each, a quarter of the pixels are lighter than its <em>tone</em>: as long as less than three
 * quarters of a block are ink, that is paper. Blocks far darker than most (all ink) take the tone of the page; tones are evened out by a 3 x 3 median and
 * interpolated between the middles of blocks. A drawing on pure white has no tone and stays as it is, to the last pixel.
 */
final class PaperTone {

    /** Shading by a lamp or a fold changes over centimetres; a block is about a fiftieth of the page. */
    private static final int BLOCKS_ALONG = 48;

    private static final int MIN_BLOCK_PX = 24;

    /** Below this most of the page is white for all that the eye can tell. */
    private static final int MIN_TONE = 3;

    /** Darker than this no paper is: then the page is mostly ink. */
    private static final int MAX_TONE = 150;

    /** A block that much darker than the page is no paper. */
    private static final int MAX_ABOVE_PAGE = 70;

    /** What is left of paper grain after its tone is gone lies under this; pencil lies well over it. */
    private static final int GRAIN = 28;

    private final int width;
    private final int height;
    private final byte[] density;
    private final int blockPx;
    private final int columns;
    private final int rows;

    private PaperTone(int width, int height, byte[] density) {
        this.width = width;
        this.height = height;
        this.density = density;
        this.blockPx = Math.max(MIN_BLOCK_PX, Math.max(width, height) / BLOCKS_ALONG);
        this.columns = (width + blockPx - 1) / blockPx;
        this.rows = (height + blockPx - 1) / blockPx;
    }

    /** The densities without the paper's; the very same array if the paper has no tone. */
    static byte[] takeOut(int width, int height, byte[] density) {
        PaperTone paper = new PaperTone(width, height, density);
        int[] tones = paper.blockTones();
        int page = median(tones.clone());
        return page < MIN_TONE || page > MAX_TONE ? density : paper.without(paper.evened(tones, page));
    }

    private int[] blockTones() {
        return IntStream.range(0, rows * columns)
                .parallel()
                .map(block -> toneOf(block % columns, block / columns))
                .toArray();
    }

    private int toneOf(int column, int row) {
        int[] histogram = new int[256];
        int pixels = 0;
        for (int y = row * blockPx; y < Math.min(height, (row + 1) * blockPx); y++) {
            for (int x = column * blockPx; x < Math.min(width, (column + 1) * blockPx); x++) {
                histogram[density[y * width + x] & 0xff]++;
                pixels++;
            }
        }
        int tone = 0;
        for (int below = histogram[0]; below * 4 < pixels; below += histogram[tone]) {
            tone++;
        }
        return tone;
    }

    private int[] evened(int[] tones, int page) {
        int[] paperOnly = Arrays.stream(tones)
                .map(tone -> tone > page + MAX_ABOVE_PAGE ? page : tone)
                .toArray();
        int[] evened = new int[tones.length];
        for (int block = 0; block < tones.length; block++) {
            evened[block] = medianAround(paperOnly, block % columns, block / columns);
        }
        return evened;
    }

    private int medianAround(int[] tones, int column, int row) {
        int[] around = new int[9];
        int count = 0;
        for (int y = Math.max(0, row - 1); y <= Math.min(rows - 1, row + 1); y++) {
            for (int x = Math.max(0, column - 1); x <= Math.min(columns - 1, column + 1); x++) {
                around[count++] = tones[y * columns + x];
            }
        }
        return median(Arrays.copyOf(around, count));
    }

    private byte[] without(int[] tones) {
        byte[] clean = new byte[density.length];
        IntStream.range(0, height).parallel().forEach(y -> {
            double v = place(y, rows);
            int row = Math.min(rows - 1, (int) v);
            int rowBelow = Math.min(rows - 1, row + 1);
            for (int x = 0; x < width; x++) {
                double u = place(x, columns);
                int column = Math.min(columns - 1, (int) u);
                int columnBeside = Math.min(columns - 1, column + 1);
                double above = mix(tones[row * columns + column], tones[row * columns + columnBeside], u - column);
                double below =
                        mix(tones[rowBelow * columns + column], tones[rowBelow * columns + columnBeside], u - column);
                clean[y * width + x] = (byte) over(density[y * width + x] & 0xff, mix(above, below, v - row));
            }
        });
        return clean;
    }

    /** A pixel's place in units of blocks, counted from the middle of the first. */
    private double place(int pixel, int blocks) {
        return Math.max(0, Math.min(blocks - 1, (pixel + 0.5) / blockPx - 0.5));
    }

    /** Stretches what lies over tone and grain to the whole range. */
    private static int over(int density, double tone) {
        double floor = tone + GRAIN;
        return density <= floor ? 0 : (int) Math.round((density - floor) * 255 / (255 - floor));
    }

    private static double mix(double a, double b, double part) {
        return a + (b - a) * part;
    }

    private static int median(int[] values) {
        Arrays.sort(values);
        return values[values.length / 2];
    }
}
