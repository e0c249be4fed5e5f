package stillpond.core.cell;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.IntPredicate;

/**
 * Floods the paper of a cell from both sides of a wall at once, the smallest flood first, until all but one have nowhere to go: a large cell is then parted at the cost of
 * the smaller part. Works in rows, run by run.
 */
final class PartFlood {

    private final int width;
    private final int height;
    private final IntPredicate isPaper;

    /** The flood that reached each run first, by the run's first pixel. */
    private final Map<Integer, Flood> floods = new HashMap<>();

    private PartFlood(CellPlane plane, IntPredicate isPaper) {
        this.width = plane.widthPx();
        this.height = plane.heightPx();
        this.isPaper = isPaper;
    }

    /** A run of paper in one row. */
    record Run(int start, int endExclusive) {
        int length() {
            return endExclusive - start;
        }
    }

    /**
     * A part of the cell.
     *
     * @param runs all of it, in no order that means anything
     */
    record Part(List<Run> runs, int areaPx) {}

    /**
     * All parts but the largest.
     *
     * @param isPaper of the cell, and not wall; asked with the index of a pixel
     * @param seeds pixels beside the wall, on every side of it; those that are no paper do no harm
     */
    static List<Part> allButTheLargest(CellPlane plane, IntPredicate isPaper, List<Integer> seeds) {
        return new PartFlood(plane, isPaper).flood(seeds);
    }

    /** Floods that have met go on as one. */
    private static final class Flood {
        private final List<Run> runs = new ArrayList<>();
        private final Deque<Run> front = new ArrayDeque<>();
        private Flood into;
        private int area;

        Flood root() {
            Flood at = this;
            while (at.into != null) {
                at = at.into;
            }
            return at;
        }

        void add(Run run) {
            runs.add(run);
            front.add(run);
            area += run.length();
        }

        void take(Flood other) {
            runs.addAll(other.runs);
            front.addAll(other.front);
            area += other.area;
            other.into = this;
        }
    }

    private List<Part> flood(List<Integer> seeds) {
        List<Flood> started = new ArrayList<>();
        for (int seed : seeds) {
            if (isPaper.test(seed)) {
                Run run = runAt(seed);
                if (!floods.containsKey(run.start())) {
                    Flood flood = new Flood();
                    flood.add(run);
                    floods.put(run.start(), flood);
                    started.add(flood);
                }
            }
        }
        List<Flood> all = started;
        while (true) {
            all = all.stream().filter(flood -> flood.into == null).toList();
            Flood largest = all.stream()
                    .max(Comparator.comparingInt(flood -> flood.area))
                    .orElse(null);
            Flood next = all.stream()
                    .filter(flood -> flood != largest && !flood.front.isEmpty())
                    .min(Comparator.comparingInt(flood -> flood.area))
                    .orElse(null);
            if (next == null) {
                return all.stream()
                        .filter(flood -> flood != largest)
                        .map(flood -> new Part(flood.runs, flood.area))
                        .toList();
            }
            advance(next, largest.area);
        }
    }

    /** Until it is done, has met another, or is no longer smaller than the largest. */
    private void advance(Flood flood, int untilArea) {
        while (!flood.front.isEmpty() && flood.area <= untilArea) {
            Run run = flood.front.poll();
            int row = run.start() / width;
            boolean met = row > 0 && spread(flood, run, -width);
            met |= row < height - 1 && spread(flood, run, width);
            if (met) {
                return;
            }
        }
    }

    /** Takes in the runs beside one in the row above or below; tells whether it met another flood. */
    private boolean spread(Flood flood, Run run, int toRow) {
        boolean met = false;
        for (int i = run.start() + toRow; i < run.endExclusive() + toRow; i++) {
            if (isPaper.test(i)) {
                Run beside = runAt(i);
                Flood other = floods.putIfAbsent(beside.start(), flood);
                if (other == null) {
                    flood.add(beside);
                } else if (other.root() != flood) {
                    flood.take(other.root());
                    met = true;
                }
                i = beside.endExclusive() - 1;
            }
        }
        return met;
    }

    private Run runAt(int pixel) {
        int rowStart = pixel / width * width;
        int start = pixel;
        while (start > rowStart && isPaper.test(start - 1)) {
            start--;
        }
        int end = pixel + 1;
        while (end < rowStart + width && isPaper.test(end)) {
            end++;
        }
        return new Run(start, end);
    }
}
