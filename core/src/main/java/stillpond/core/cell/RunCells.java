package stillpond.core.cell;

import java.util.Arrays;
import java.util.stream.IntStream;

/**
 * The cell of every run of paper, or {@link #NO_CELL} for paper too small to be one.
 *
 * <p>Runs of neighbouring rows that overlap are joined in a union-find whose root is the lowest run, so numbers follow reading
 * order (after L. He, Y. Chao, K. Suzuki, "A run-based two-scan labeling algorithm", IEEE Trans. Image Processing 17,
 * 2008; with plain path halving instead of their three tables).
 */
final class RunCells {

    static final int NO_CELL = -1;

    private final PaperRuns runs;
    private final int[] cellOfRun;
    private final int cellCount;

    private RunCells(PaperRuns runs, int[] cellOfRun, int cellCount) {
        this.runs = runs;
        this.cellOfRun = cellOfRun;
        this.cellCount = cellCount;
    }

    static RunCells of(PaperRuns runs) {
        int[] parent = join(runs);
        int[] areas = areas(runs, parent);
        // A page of nothing but pinholes would have no cell at all; then the pinholes are what there is to fill.
        boolean pinholesOnly = Arrays.stream(areas).allMatch(area -> area < CellMap.MIN_PAPER_PX);
        int smallest = pinholesOnly ? 1 : CellMap.MIN_PAPER_PX;
        int[] cellOfRun = new int[runs.count()];
        int cells = 0;
        for (int run = 0; run < cellOfRun.length; run++) {
            int root = parent[run];
            if (root != run) {
                cellOfRun[run] = cellOfRun[root];
            } else {
                cellOfRun[run] = areas[run] >= smallest ? cells++ : NO_CELL;
            }
        }
        return new RunCells(runs, cellOfRun, cells);
    }

    int cellCount() {
        return cellCount;
    }

    /** The plane of cell numbers; pixels of ink and of pinholes are {@link #NO_CELL}. */
    int[] paint(int width, int height) {
        int[] numbers = new int[width * height];
        Arrays.fill(numbers, NO_CELL);
        IntStream.range(0, height).parallel().forEach(y -> {
            for (int run = runs.rowFirst()[y]; run < runs.rowFirst()[y + 1]; run++) {
                int from = y * width + runs.start()[run];
                Arrays.fill(numbers, from, from + runs.length(run), cellOfRun[run]);
            }
        });
        return numbers;
    }

    /** For every run the lowest run that it is connected with. */
    private static int[] join(PaperRuns runs) {
        int[] parent = IntStream.range(0, runs.count()).toArray();
        int[] rowFirst = runs.rowFirst();
        for (int y = 1; y < runs.rows(); y++) {
            int above = rowFirst[y - 1];
            int here = rowFirst[y];
            while (above < rowFirst[y] && here < rowFirst[y + 1]) {
                if (runs.start()[above] < runs.end()[here] && runs.start()[here] < runs.end()[above]) {
                    union(parent, above, here);
                }
                if (runs.end()[above] < runs.end()[here]) {
                    above++;
                } else {
                    here++;
                }
            }
        }
        for (int run = 0; run < parent.length; run++) {
            parent[run] = parent[parent[run]];
        }
        return parent;
    }

    private static void union(int[] parent, int a, int b) {
        int rootA = find(parent, a);
        int rootB = find(parent, b);
        parent[Math.max(rootA, rootB)] = Math.min(rootA, rootB);
    }

    private static int find(int[] parent, int run) {
        int at = run;
        while (parent[at] != at) {
            parent[at] = parent[parent[at]];
            at = parent[at];
        }
        return at;
    }

    private static int[] areas(PaperRuns runs, int[] root) {
        int[] areas = new int[runs.count()];
        for (int run = 0; run < areas.length; run++) {
            areas[root[run]] += runs.length(run);
        }
        return areas;
    }
}
