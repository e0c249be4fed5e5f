package stillpond.core.cell;

import java.util.ArrayList;
import java.util.List;
import java.util.TreeMap;

/**
 * Cells after some of their pixels were given to others: what is known of each is told anew where it has changed. A cell may have no pixel at all; then it lies nowhere, in a box without size.
 *
 * @param graph the cells as they are now
 * @param changed their numbers, in order: those that gained or lost pixels, and those that are new
 */
public record Repainted(CellGraph graph, List<Integer> changed) {

    private static final Box NOWHERE = new Box(0, 0, 0, 0);

    public Repainted {
        changed = List.copyOf(changed);
    }

    /**
     * @param before the cells as they were
     * @param now their plane as it is
     * @param former what stood where numbers may have changed; boxes that neither meet nor touch
     * @param count how many cells there are now, no fewer than before
     */
    public static Repainted of(CellGraph before, CellPlane now, List<PlanePatch> former, int count) {
        TreeMap<Integer, Shift> shifts = new TreeMap<>();
        BorderChanges borders = new BorderChanges(now);
        for (PlanePatch patch : former) {
            borders.add(patch);
            shift(now, patch, shifts);
        }
        List<Cell> cells = new ArrayList<>(before.cells());
        for (int number = cells.size(); number < count; number++) {
            cells.add(new Cell(number, 0, NOWHERE, 0, 0, 0));
            shifts.computeIfAbsent(number, any -> new Shift());
        }
        shifts.forEach((number, shift) -> cells.set(number, shift.applied(cells.get(number), now)));
        return new Repainted(
                new CellGraph(now.widthPx(), now.heightPx(), cells, borders.appliedTo(before.borders())),
                List.copyOf(shifts.keySet()));
    }

    /** A plane that is all one cell, number 0. */
    public static CellGraph ground(int widthPx, int heightPx) {
        Box page = new Box(0, 0, widthPx, heightPx);
        Cell ground =
                new Cell(0, widthPx * heightPx, page, widthPx / 2, heightPx / 2, Math.min(widthPx, heightPx) / 2.0);
        return new CellGraph(widthPx, heightPx, List.of(ground), List.of());
    }

    private static void shift(CellPlane now, PlanePatch patch, TreeMap<Integer, Shift> shifts) {
        Box box = patch.box();
        for (int y = box.yStart(); y < box.yEndExclusive(); y++) {
            int x = box.xStart();
            while (x < box.xEndExclusive()) {
                int was = patch.numberAt(x, y);
                int is = now.numberAt(x, y);
                int end = x + 1;
                while (end < box.xEndExclusive() && patch.numberAt(end, y) == was && now.numberAt(end, y) == is) {
                    end++;
                }
                if (was != is) {
                    shifts.computeIfAbsent(was, any -> new Shift()).lost(end - x, new Box(x, y, end, y + 1));
                    shifts.computeIfAbsent(is, any -> new Shift()).gained(end - x, new Box(x, y, end, y + 1));
                }
                x = end;
            }
        }
    }

    /** What one cell gained and lost. */
    private static final class Shift {
        private int byPx;
        private Box gained;
        private Box lost;

        void gained(int px, Box box) {
            byPx += px;
            gained = gained == null ? box : gained.with(box);
        }

        void lost(int px, Box box) {
            byPx -= px;
            lost = lost == null ? box : lost.with(box);
        }

        Cell applied(Cell before, CellPlane now) {
            int area = before.areaPx() + byPx;
            if (area == 0) {
                return new Cell(before.number(), 0, NOWHERE, 0, 0, 0);
            }
            Box box = before.areaPx() == 0
                    ? gained
                    : gained == null ? before.box() : before.box().with(gained);
            if (lost != null && reachesSide(lost, box)) {
                box = box.shrunkTo(now, before.number());
            }
            RoomyPlace deepest = RoomyPlace.of(before.number(), now, box);
            return new Cell(before.number(), area, box, deepest.x(), deepest.y(), deepest.depthPx());
        }

        private static boolean reachesSide(Box inner, Box outer) {
            return inner.xStart() <= outer.xStart()
                    || inner.yStart() <= outer.yStart()
                    || inner.xEndExclusive() >= outer.xEndExclusive()
                    || inner.yEndExclusive() >= outer.yEndExclusive();
        }
    }
}
