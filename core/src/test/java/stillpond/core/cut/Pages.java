package stillpond.core.cut;

import java.util.function.IntBinaryOperator;
import stillpond.core.cell.CellPlane;

/** Pages for tests. */
final class Pages {

    private Pages() {}

    static CellPlane of(int side, IntBinaryOperator groupAt) {
        int[] numbers = new int[side * side];
        for (int i = 0; i < numbers.length; i++) {
            numbers[i] = groupAt.applyAsInt(i % side, i / side);
        }
        return new CellPlane(side, side, numbers);
    }

    static boolean isIn(int x, int y, int from, int to) {
        return x >= from && x < to && y >= from && y < to;
    }
}
