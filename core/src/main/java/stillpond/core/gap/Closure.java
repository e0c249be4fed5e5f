package stillpond.core.gap;

import java.util.List;

/**
 * A line that may close a gap, from ink to ink.
 *
 * @param line on the search page; begins and ends in ink, or at the edge of the page
 * @param lengthPx how much of it lies on paper, on the search page
 * @param ends the stroke ends that it starts from: none to two
 * @param alignment how well it carries on those strokes, -1 to 1; 0 without ends
 * @param incidence how squarely it meets ink that it does not carry on, 0 to 1
 * @param promise how good it looks by itself, before it is known what it parts; the higher the better
 */
record Closure(
        Opening.Kind kind,
        List<Point> line,
        double lengthPx,
        List<StrokeEnd> ends,
        double alignment,
        double incidence,
        double promise) {

    Closure {
        ends = List.copyOf(ends);
    }

    Point start() {
        return line.get(0);
    }

    Point end() {
        return line.get(line.size() - 1);
    }

    /** Whether a stroke it starts from is an isolated mark. */
    boolean isFromMark() {
        return ends.stream().anyMatch(StrokeEnd::isolated);
    }

    /** How bluntly the strokes stop that it starts from: the mean of their tapers; 1 without ends. */
    double taper() {
        return ends.stream().mapToDouble(StrokeEnd::taper).average().orElse(1);
    }

    /** How wide they are where they stop, on the search page: the mean; 0 without ends. */
    double widthPx() {
        return ends.stream().mapToDouble(end -> 2 * end.radiusPx()).average().orElse(0);
    }

    /** How long the shorter of its strokes is up to its next crossing, on the search page; 0 without ends. */
    double branchPx() {
        return ends.stream().mapToDouble(StrokeEnd::branchPx).min().orElse(0);
    }
}
