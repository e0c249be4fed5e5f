package stillpond.core.gap;

import java.util.List;

/**
 * A line that may close a gap, from ink to ink.
 *
 * @param line on the search page; begins and ends in ink, or at the edge of the page
 * @param lengthPx how much of it lies on paper, on the search page
 * @param ends how many stroke ends it starts from: 0 to 2
 * @param alignment how well it carries on those strokes, -1 to 1; 0 without ends
 * @param incidence how squarely it meets ink that it does not carry on, 0 to 1
 * @param fromMark whether a stroke it starts from is an isolated mark
 * @param promise how good it looks by itself, before it is known what it parts; the higher the better
 */
record Closure(
        Opening.Kind kind,
        List<Point> line,
        double lengthPx,
        int ends,
        double alignment,
        double incidence,
        boolean fromMark,
        double promise) {

    Point start() {
        return line.get(0);
    }

    Point end() {
        return line.get(line.size() - 1);
    }
}
