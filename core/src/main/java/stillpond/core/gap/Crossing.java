package stillpond.core.gap;

import java.util.List;
import java.util.OptionalDouble;

/** Walks lines over a search page. */
final class Crossing {

    private static final double STEP = 0.5;

    private Crossing() {}

    /**
     * How much paper a line crosses, if it leaves ink once, stays on paper, and then stays in ink: only then does it close a gap. A line that ends at the
     * edge of the page may end on paper.
     */
    static OptionalDouble paperPx(SearchPage page, List<Point> line) {
        double paper = 0;
        boolean wasOnPaper = false;
        boolean isBack = false;
        for (int i = 1; i < line.size(); i++) {
            Point from = line.get(i - 1);
            double length = from.distanceTo(line.get(i));
            Point step = line.get(i).minus(from).unit().times(STEP);
            int steps = (int) Math.round(length / STEP);
            for (int s = 0; s < steps; s++) {
                boolean onPaper = !page.isInk(from.plus(step.times(s + 0.5)));
                if (onPaper && isBack) {
                    return OptionalDouble.empty();
                }
                isBack |= wasOnPaper && !onPaper;
                wasOnPaper |= onPaper;
                paper += onPaper ? STEP : 0;
            }
        }
        return wasOnPaper ? OptionalDouble.of(paper) : OptionalDouble.empty();
    }

    /** From a place in ink deeper into it along a direction, as far as a stroke is wide at the most. */
    static Point deeper(SearchPage page, Point hit, Point direction) {
        Point at = hit;
        double most = 0.5 * page.strokePx();
        for (double step = 0; step <= most; step += STEP) {
            Point next = hit.plus(direction.times(step));
            if (!page.isInk(next)) {
                break;
            }
            at = next;
        }
        return at;
    }
}
