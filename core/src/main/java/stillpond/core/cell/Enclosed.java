package stillpond.core.cell;

import java.util.ArrayDeque;
import java.util.BitSet;
import java.util.Collection;
import java.util.Deque;
import java.util.List;
import java.util.stream.IntStream;

/** What lies inside an outline made of cells: all that cannot reach the edge of the sheet, over ink or not, without passing one of them. */
public final class Enclosed {

    private Enclosed() {}

    /**
     * The cells inside, in rising order, without those of the outline.
     *
     * @throws IndexOutOfBoundsException if the outline names a cell that is not on the map
     */
    public static List<Integer> by(CellGraph graph, Collection<Integer> outline) {
        int count = graph.count();
        BitSet reached = new BitSet(count);
        outline.forEach(cell -> reached.set(graph.cells().get(cell).number()));
        Deque<Integer> front = new ArrayDeque<>();
        for (int cell = 0; cell < count; cell++) {
            if (!reached.get(cell) && graph.reachesEdge(cell)) {
                reached.set(cell);
                front.add(cell);
            }
        }
        while (!front.isEmpty()) {
            for (int next : graph.neighbours(front.poll())) {
                if (!reached.get(next)) {
                    reached.set(next);
                    front.add(next);
                }
            }
        }
        return IntStream.range(0, count)
                .filter(cell -> !reached.get(cell))
                .boxed()
                .toList();
    }
}
