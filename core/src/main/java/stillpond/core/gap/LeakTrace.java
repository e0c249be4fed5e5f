package stillpond.core.gap;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.PriorityQueue;

/**
 * The way on which a fill would run from one cell to another: of all ways through openings that are not dammed the one whose narrowest opening is widest, and of
 * those one with few openings (a widest path by Dijkstra's algorithm, as M. Pollack, "The maximum capacity through a network", Operations Research
 * 8, 1960).
 */
public final class LeakTrace {

    private static final int NONE = -1;

    private final List<Opening> openings;
    private final List<List<Integer>> openingsOfCell = new ArrayList<>();

    private LeakTrace(List<Opening> openings, int cells, Dams dams) {
        this.openings = openings;
        for (int cell = 0; cell < cells; cell++) {
            openingsOfCell.add(new ArrayList<>());
        }
        for (int i = 0; i < openings.size(); i++) {
            Opening opening = openings.get(i);
            if (!dams.isShut(i, opening)) {
                openingsOfCell.get(opening.first()).add(i);
                openingsOfCell.get(opening.second()).add(i);
            }
        }
    }

    /**
     * The openings passed, by index, in the order of the way.
     *
     * @param cells how many the layer has
     * @return empty if no way leads there, or if the two are one cell
     */
    public static List<Integer> between(OpeningList openings, int cells, Dams dams, int from, int to) {
        return new LeakTrace(openings.all(), cells, dams).widest(from, to);
    }

    private record Reached(int cell, double width, int steps) {
        static final Comparator<Reached> WIDEST_FIRST = Comparator.comparingDouble((Reached reached) -> -reached.width)
                .thenComparingInt(Reached::steps)
                .thenComparingInt(Reached::cell);
    }

    private List<Integer> widest(int from, int to) {
        int[] through = new int[openingsOfCell.size()];
        Arrays.fill(through, NONE);
        boolean[] done = new boolean[openingsOfCell.size()];
        double[] width = new double[openingsOfCell.size()];
        PriorityQueue<Reached> queue = new PriorityQueue<>(Reached.WIDEST_FIRST);
        queue.add(new Reached(from, Double.POSITIVE_INFINITY, 0));
        while (!queue.isEmpty() && !done[to]) {
            Reached here = queue.poll();
            if (done[here.cell()]) {
                continue;
            }
            done[here.cell()] = true;
            for (int opening : openingsOfCell.get(here.cell())) {
                Opening crossed = openings.get(opening);
                int next = crossed.first() == here.cell() ? crossed.second() : crossed.first();
                double narrowest = Math.min(here.width(), crossed.widthPx());
                if (!done[next] && narrowest > width[next]) {
                    width[next] = narrowest;
                    through[next] = opening;
                    queue.add(new Reached(next, narrowest, here.steps() + 1));
                }
            }
        }
        return done[to] ? way(through, from, to) : List.of();
    }

    private List<Integer> way(int[] through, int from, int to) {
        List<Integer> way = new ArrayList<>();
        for (int at = to; at != from; ) {
            way.add(through[at]);
            Opening crossed = openings.get(through[at]);
            at = crossed.first() == at ? crossed.second() : crossed.first();
        }
        Collections.reverse(way);
        return way;
    }
}
