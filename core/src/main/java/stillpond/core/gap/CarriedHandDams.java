package stillpond.core.gap;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import stillpond.core.ink.InkPlane;
import stillpond.core.ink.Placing;

/** Draws the dams that somebody drew by hand, and the joins, again on another analysis of the same page. */
public final class CarriedHandDams {

    private CarriedHandDams() {}

    public static boolean isNeeded(Openings old) {
        return old.openings().stream().anyMatch(CarriedHandDams::isByHand);
    }

    /**
     * @param fresh no longer to be used afterwards: cells are split in place
     * @param placing where the fresh pixels lie among the old ones
     * @return the fresh openings, and behind them those by hand; a line that parts nothing any more is left out
     */
    public static Openings redraw(Openings old, Openings fresh, InkPlane ink, Placing placing) {
        Map<List<Point>, Boolean> joinsByLine = new LinkedHashMap<>();
        old.openings().stream()
                .filter(CarriedHandDams::isByHand)
                .forEach(opening -> joinsByLine.put(opening.line(), opening.strength() == 0));
        Openings now = fresh;
        for (Map.Entry<List<Point>, Boolean> drawn : joinsByLine.entrySet()) {
            List<Point> line =
                    drawn.getKey().stream().map(point -> here(point, placing)).toList();
            if (drawn.getValue()) {
                now = HandDam.joined(now, ink, line);
            } else if (HandDam.draw(now, ink, line) instanceof HandDam.Parted parted) {
                now = parted.openings();
            }
        }
        return now;
    }

    private static boolean isByHand(Opening opening) {
        return opening.kind() == Opening.Kind.HAND;
    }

    private static Point here(Point there, Placing placing) {
        return new Point(
                (there.x() - placing.dxPx()) / placing.xScale(), (there.y() - placing.dyPx()) / placing.yScale());
    }
}
