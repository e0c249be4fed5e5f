package stillpond.core.cell;

import java.util.ArrayDeque;
import java.util.Arrays;
import java.util.Deque;
import stillpond.core.ink.InkPlane;

/** The rules of the package page, done the slow and obvious way: the oracle for the fast one. */
final class NaiveCells {

    final int width;
    final int height;
    final int[] paper;
    int cells;

    NaiveCells(InkPlane ink) {
        width = ink.widthPx();
        height = ink.heightPx();
        paper = new int[width * height];
        Arrays.fill(paper, -1);
        boolean[] seen = new boolean[paper.length];
        for (int i = 0; i < paper.length; i++) {
            if (!ink.isInk(i) && !seen[i]) {
                int[] component = flood(ink, i, seen);
                if (component.length >= CellMap.MIN_PAPER_PX) {
                    for (int pixel : component) {
                        paper[pixel] = cells;
                    }
                    cells++;
                }
            }
        }
    }

    private int[] flood(InkPlane ink, int from, boolean[] seen) {
        Deque<Integer> open = new ArrayDeque<>();
        Deque<Integer> found = new ArrayDeque<>();
        open.add(from);
        seen[from] = true;
        while (!open.isEmpty()) {
            int at = open.remove();
            found.add(at);
            int[] beside = {
                at % width > 0 ? at - 1 : -1,
                at % width < width - 1 ? at + 1 : -1,
                at - width,
                at + width < paper.length ? at + width : -1
            };
            for (int next : beside) {
                if (next >= 0 && !seen[next] && !ink.isInk(next)) {
                    seen[next] = true;
                    open.add(next);
                }
            }
        }
        return found.stream().mapToInt(Integer::intValue).toArray();
    }

    /** Squared distance from a pixel to the nearest paper of one cell. */
    long squaredToCell(int pixel, int cell) {
        long best = Long.MAX_VALUE;
        for (int i = 0; i < paper.length; i++) {
            if (paper[i] == cell) {
                best = Math.min(best, squared(i % width, i / width, pixel));
            }
        }
        return best;
    }

    long squaredToAnyCell(int pixel) {
        long best = Long.MAX_VALUE;
        for (int i = 0; i < paper.length; i++) {
            if (paper[i] >= 0) {
                best = Math.min(best, squared(i % width, i / width, pixel));
            }
        }
        return best;
    }

    /** Squared distance from a pixel to ink or to the outside of the sheet. */
    long squaredToWall(int pixel) {
        int x = pixel % width;
        int y = pixel / width;
        int edge = Math.min(Math.min(x + 1, width - x), Math.min(y + 1, height - y));
        long best = (long) edge * edge;
        for (int i = 0; i < paper.length; i++) {
            if (paper[i] < 0) {
                best = Math.min(best, squared(i % width, i / width, pixel));
            }
        }
        return best;
    }

    private long squared(int x, int y, int pixel) {
        long dx = x - pixel % width;
        long dy = y - pixel / width;
        return dx * dx + dy * dy;
    }
}
