package stillpond.core.shape;

import java.util.Arrays;
import java.util.List;

/**
 * What a border along the sides of pixels stands for: a line through the middles of the sides, evened out, which has no steps where it slants; but through the corner itself where two
 * long sides meet.
 */
final class BorderLine {

    /** Sides that are straight on for so long, before and behind, make a corner of their own and not one of a slanting line. */
    private static final int LONG_SIDES = 4;

    private static final int ROUNDS = 3;
    /** No place of a line is evened out by more than this. */
    private static final double MOST_EVENED_PX = 0.4;

    private final double[] x;
    private final double[] y;
    private final boolean[] isFixed;
    private final boolean isClosed;
    private int size;

    private BorderLine(int most, boolean isClosed) {
        this.x = new double[most];
        this.y = new double[most];
        this.isFixed = new boolean[most];
        this.isClosed = isClosed;
    }

    static BorderLine of(PlanarMap.Edge edge) {
        int[] line = edge.line();
        int sides = edge.count() - 1;
        BorderLine border = new BorderLine(2 * sides + 2, edge.isRing());
        int[] before = straightBefore(line, sides);
        int[] behind = straightBehind(line, sides);
        if (!edge.isRing()) {
            border.add(line[0], line[1], true);
        }
        for (int i = 0; i < sides; i++) {
            border.add((line[2 * i] + line[2 * i + 2]) / 2.0, (line[2 * i + 1] + line[2 * i + 3]) / 2.0, false);
            boolean turns = i + 1 < sides && heading(line, i) != heading(line, i + 1);
            if (turns && before[i] >= LONG_SIDES && behind[i + 1] >= LONG_SIDES) {
                border.add(line[2 * i + 2], line[2 * i + 3], true);
            }
        }
        if (edge.isRing()) {
            border.add(border.x[0], border.y[0], false);
        } else {
            border.add(edge.endX(), edge.endY(), true);
        }
        return border;
    }

    private void add(double atX, double atY, boolean fixed) {
        x[size] = atX;
        y[size] = atY;
        isFixed[size++] = fixed;
    }

    private static int heading(int[] line, int side) {
        return 3 * (line[2 * side + 2] - line[2 * side]) + line[2 * side + 3] - line[2 * side + 1];
    }

    /** How many sides run straight on up to each, itself among them. */
    private static int[] straightBefore(int[] line, int sides) {
        int[] count = new int[sides];
        for (int i = 0; i < sides; i++) {
            count[i] = i > 0 && heading(line, i) == heading(line, i - 1) ? count[i - 1] + 1 : 1;
        }
        return count;
    }

    private static int[] straightBehind(int[] line, int sides) {
        int[] count = new int[sides];
        for (int i = sides - 1; i >= 0; i--) {
            count[i] = i + 1 < sides && heading(line, i) == heading(line, i + 1) ? count[i + 1] + 1 : 1;
        }
        return count;
    }

    /** @param tolerancePx how far curves may be from it */
    List<Cubic> fitted(double tolerancePx) {
        return CurveFit.straightest(evened(x), evened(y), tolerancePx);
    }

    /** A quarter of each neighbour and half of itself, again and again: what is left of the steps is lost, and hardly more. */
    private double[] evened(double[] line) {
        int last = size - 1;
        double[] evened = Arrays.copyOf(line, size);
        for (int round = 0; round < ROUNDS; round++) {
            double[] before = evened.clone();
            for (int i = 0; i < last; i++) {
                if (isFixed[i]) {
                    continue;
                }
                double other = (before[i == 0 ? last - 1 : i - 1] + before[i + 1]) / 2;
                double moved = (before[i] + other) / 2 - line[i];
                evened[i] = line[i] + Math.max(-MOST_EVENED_PX, Math.min(MOST_EVENED_PX, moved));
            }
            if (isClosed) {
                evened[last] = evened[0];
            }
        }
        return evened;
    }
}
