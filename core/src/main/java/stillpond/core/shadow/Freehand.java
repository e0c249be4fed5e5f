package stillpond.core.shadow;

import java.util.ArrayList;
import java.util.List;
import stillpond.core.gap.Point;
import stillpond.core.refusal.Refusal;
import stillpond.core.shape.CurveFit;
import stillpond.core.shape.Length;

/** Makes a smooth outline of a line drawn by hand. */
public final class Freehand {

    /** A line of more points than this is refused. */
    public static final int MOST_POINTS = 100_000;

    private static final int MOST_FITTED = 4000;

    private Freehand() {}

    /**
     * @param line as it was drawn; it is closed from its end to its start
     * @param tolerancePx how far the outline may be from it
     * @throws Refusal if it has too few points that lie apart, or too many
     */
    public static Outline outline(List<Point> line, double tolerancePx) {
        if (line.size() > MOST_POINTS) {
            throw new Refusal("The line has " + line.size() + " points; up to 100,000 can be followed.");
        }
        List<Point> apart = apart(line, Math.max(0.5, tolerancePx));
        if (apart.size() < 3) {
            throw new Refusal("This is too short for a shape. Draw around what is to be in shadow.");
        }
        int step = (apart.size() + MOST_FITTED - 1) / MOST_FITTED;
        int count = (apart.size() + step - 1) / step;
        double[] x = new double[count + 1];
        double[] y = new double[count + 1];
        for (int i = 0; i < count; i++) {
            x[i] = apart.get(i * step).x();
            y[i] = apart.get(i * step).y();
        }
        x[count] = x[0];
        y[count] = y[0];
        return Outline.of(CurveFit.closed(x, y, tolerancePx));
    }

    private static List<Point> apart(List<Point> line, double leastPx) {
        List<Point> apart = new ArrayList<>();
        for (Point point : line) {
            Point last = apart.isEmpty() ? null : apart.get(apart.size() - 1);
            if (last == null || Length.of(point.x() - last.x(), point.y() - last.y()) >= leastPx) {
                apart.add(point);
            }
        }
        while (apart.size() > 1
                && Length.of(
                                apart.get(0).x() - apart.get(apart.size() - 1).x(),
                                apart.get(0).y() - apart.get(apart.size() - 1).y())
                        < leastPx) {
            apart.remove(apart.size() - 1);
        }
        return apart;
    }
}
