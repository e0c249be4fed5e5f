package stillpond.core.cell;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** How the lengths of borders change where numbers of a plane were changed: only edges of changed pixels are counted. */
final class BorderChanges {

    private final CellPlane plane;
    private final PairCounts gained = new PairCounts();
    private final PairCounts lost = new PairCounts();

    BorderChanges(CellPlane plane) {
        this.plane = plane;
    }

    /** @param former what stood where numbers have just been changed */
    void add(PlanePatch former) {
        Box box = former.box();
        int xEnd = Math.min(plane.widthPx(), box.xEndExclusive() + 1);
        int yEnd = Math.min(plane.heightPx(), box.yEndExclusive() + 1);
        for (int y = Math.max(0, box.yStart() - 1); y < yEnd; y++) {
            for (int x = Math.max(0, box.xStart() - 1); x < xEnd; x++) {
                if (x + 1 < xEnd) {
                    addEdge(former, x, y, x + 1, y);
                }
                if (y + 1 < yEnd) {
                    addEdge(former, x, y, x, y + 1);
                }
            }
        }
    }

    private void addEdge(PlanePatch former, int x, int y, int besideX, int besideY) {
        int now = plane.numberAt(x, y);
        int nowBeside = plane.numberAt(besideX, besideY);
        int then = numberThen(former, x, y, now);
        int thenBeside = numberThen(former, besideX, besideY, nowBeside);
        if (now != then || nowBeside != thenBeside) {
            count(gained, now, nowBeside);
            count(lost, then, thenBeside);
        }
    }

    private static int numberThen(PlanePatch former, int x, int y, int now) {
        Box box = former.box();
        boolean inside = x >= box.xStart() && y >= box.yStart() && x < box.xEndExclusive() && y < box.yEndExclusive();
        return inside ? former.numbers()[(y - box.yStart()) * box.widthPx() + x - box.xStart()] : now;
    }

    private static void count(PairCounts counts, int a, int b) {
        if (a != b) {
            counts.add(Math.min(a, b), Math.max(a, b), 1);
        }
    }

    /** In order of first, then second cell. */
    List<Border> appliedTo(List<Border> before) {
        PairCounts all = new PairCounts();
        before.forEach(border -> all.add(border.first(), border.second(), border.lengthPx()));
        gained.forEach(all::add);
        lost.forEach((first, second, length) -> all.add(first, second, -length));
        List<Border> borders = new ArrayList<>(all.size());
        all.forEach((first, second, length) -> {
            if (length > 0) {
                borders.add(new Border(first, second, (int) length));
            }
        });
        borders.sort(Comparator.comparingInt(Border::first).thenComparingInt(Border::second));
        return borders;
    }
}
