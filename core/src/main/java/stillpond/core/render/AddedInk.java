package stillpond.core.render;

import java.util.List;
import stillpond.core.gap.Opening;
import stillpond.core.gap.Point;
import stillpond.core.ink.InkPlane;

/** Strokes that close gaps in ink where somebody has asked for it, laid over the ink that was drawn. */
public final class AddedInk {

    private AddedInk() {}

    /**
     * The ink with the strokes in it, as a new plane; the very same plane if there are none.
     *
     * @param strokePx how wide the strokes are drawn
     */
    public static InkPlane over(InkPlane ink, List<Opening> inked, double strokePx) {
        if (inked.isEmpty()) {
            return ink;
        }
        InkPlane drawn =
                new InkPlane(ink.widthPx(), ink.heightPx(), ink.density().clone(), ink.threshold());
        for (Opening opening : inked) {
            List<Point> line = opening.line();
            for (int i = 1; i < line.size(); i++) {
                stroke(drawn, line.get(i - 1), line.get(i), strokePx / 2);
            }
        }
        return drawn;
    }

    private static void stroke(InkPlane ink, Point from, Point to, double radius) {
        int steps = Math.max(1, (int) Math.ceil(2 * Math.hypot(to.x() - from.x(), to.y() - from.y())));
        for (int i = 0; i <= steps; i++) {
            double part = i / (double) steps;
            dab(ink, from.x() + part * (to.x() - from.x()), from.y() + part * (to.y() - from.y()), radius);
        }
    }

    private static void dab(InkPlane ink, double x, double y, double radius) {
        for (int row = Math.max(0, (int) (y - radius - 1));
                row <= Math.min(ink.heightPx() - 1, y + radius + 1);
                row++) {
            for (int column = Math.max(0, (int) (x - radius - 1));
                    column <= Math.min(ink.widthPx() - 1, x + radius + 1);
                    column++) {
                double covered = radius + 0.5 - Math.hypot(column + 0.5 - x, row + 0.5 - y);
                int density = (int) Math.round(255 * Math.max(0, Math.min(1, covered)));
                int i = row * ink.widthPx() + column;
                ink.density()[i] = (byte) Math.max(ink.density()[i] & 0xff, density);
            }
        }
    }
}
