package stillpond.core.cell;

import java.util.stream.IntStream;
import stillpond.core.ink.InkPlane;

/**
 * The horizontal runs of paper, row by row: run {@code i} of row {@code y} covers columns {@code start[i]} to {@code end[i] - 1}, for
 * {@code i} from {@code rowFirst[y]} to {@code rowFirst[y + 1] - 1}.
 */
record PaperRuns(int[] rowFirst, int[] start, int[] end) {

    static PaperRuns of(InkPlane ink) {
        int width = ink.widthPx();
        int height = ink.heightPx();
        int[] rowFirst = new int[height + 1];
        IntStream.range(0, height).parallel().forEach(y -> rowFirst[y + 1] = countRow(ink, y * width, width));
        for (int y = 0; y < height; y++) {
            rowFirst[y + 1] += rowFirst[y];
        }
        PaperRuns runs = new PaperRuns(rowFirst, new int[rowFirst[height]], new int[rowFirst[height]]);
        IntStream.range(0, height).parallel().forEach(y -> runs.collectRow(ink, y, width));
        return runs;
    }

    int count() {
        return start.length;
    }

    int rows() {
        return rowFirst.length - 1;
    }

    int length(int run) {
        return end[run] - start[run];
    }

    private static int countRow(InkPlane ink, int offset, int width) {
        int count = 0;
        boolean before = true;
        for (int x = 0; x < width; x++) {
            boolean inked = ink.isInk(offset + x);
            if (before && !inked) {
                count++;
            }
            before = inked;
        }
        return count;
    }

    private void collectRow(InkPlane ink, int y, int width) {
        int run = rowFirst[y];
        boolean before = true;
        for (int x = 0; x < width; x++) {
            boolean inked = ink.isInk(y * width + x);
            if (before && !inked) {
                start[run] = x;
            } else if (!before && inked) {
                end[run++] = x;
            }
            before = inked;
        }
        if (!before) {
            end[run] = width;
        }
    }
}
