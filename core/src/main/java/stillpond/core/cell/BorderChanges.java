package stillpond.core.cell;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;

/** How the lengths of borders change where numbers of a plane were changed: only edges there are counted. */
final class BorderChanges {

    private final CellPlane plane;
    private final PairCounts gained = new PairCounts();
    private final PairCounts lost = new PairCounts();

    BorderChanges(CellPlane plane) {
        this.plane = plane;
    }

    /**
     * Counts all edges in the box and on its sides, as they are and as they were: those that stayed take each other away.
     *
     * @param former what stood where numbers have just been changed
     */
    void add(PlanePatch former) {
        Box box = former.box();
        int page = box.yStart() * plane.widthPx() + box.xStart();
        countWithin(plane.numbers(), page, plane.widthPx(), box, gained);
        countWithin(former.numbers(), 0, box.widthPx(), box, lost);
        for (int y = box.yStart(); y < box.yEndExclusive(); y++) {
            countSide(former, box.xStart(), y, box.xStart() - 1, y);
            countSide(former, box.xEndExclusive() - 1, y, box.xEndExclusive(), y);
        }
        for (int x = box.xStart(); x < box.xEndExclusive(); x++) {
            countSide(former, x, box.yStart(), x, box.yStart() - 1);
            countSide(former, x, box.yEndExclusive() - 1, x, box.yEndExclusive());
        }
    }

    private static void countWithin(int[] numbers, int start, int stride, Box box, PairCounts counts) {
        for (int y = 0; y < box.heightPx(); y++) {
            int row = start + y * stride;
            countBetween(numbers, row, row + 1, box.widthPx() - 1, counts);
            if (y > 0) {
                countBetween(numbers, row, row - stride, box.widthPx(), counts);
            }
        }
    }

    /** Counts the places where two stretches of a length differ, at the speed at which arrays are compared. */
    private static void countBetween(int[] numbers, int first, int second, int length, PairCounts counts) {
        for (int i = 0; i < length; i++) {
            int equal = Arrays.mismatch(numbers, first + i, first + length, numbers, second + i, second + length);
            if (equal < 0) {
                return;
            }
            i += equal;
            count(counts, numbers[first + i], numbers[second + i]);
        }
    }

    private void countSide(PlanePatch former, int x, int y, int outsideX, int outsideY) {
        if (outsideX >= 0 && outsideY >= 0 && outsideX < plane.widthPx() && outsideY < plane.heightPx()) {
            int outside = plane.numberAt(outsideX, outsideY);
            count(gained, plane.numberAt(x, y), outside);
            count(lost, former.numberAt(x, y), outside);
        }
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
