package stillpond.core.cell;

import java.util.ArrayDeque;
import java.util.ArrayList;
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
    public static List<Integer> by(CellMap map, Collection<Integer> outline) {
        int count = map.cells().size();
        BitSet reached = new BitSet(count);
        outline.forEach(cell -> reached.set(map.cells().get(cell).number()));
        Deque<Integer> front = new ArrayDeque<>();
        for (Cell cell : map.cells()) {
            if (!reached.get(cell.number()) && cell.box().reachesEdgeOf(map.plane())) {
                reached.set(cell.number());
                front.add(cell.number());
            }
        }
        List<List<Integer>> beside = new ArrayList<>();
        for (int cell = 0; cell < count; cell++) {
            beside.add(new ArrayList<>());
        }
        map.borders().forEach(border -> {
            beside.get(border.first()).add(border.second());
            beside.get(border.second()).add(border.first());
        });
        while (!front.isEmpty()) {
            for (int next : beside.get(front.poll())) {
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
