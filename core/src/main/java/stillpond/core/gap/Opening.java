package stillpond.core.gap;

import java.util.List;

/**
 * A place where two cells meet with no ink between.
 *
 * @param first the lower cell number
 * @param second the higher cell number
 * @param kind what suggested the closure
 * @param line the closure, in pixels of the page
 * @param widthPx how much paper it crosses, in pixels of the page
 * @param widthStrokes the same in stroke widths
 * @param strength how surely it should be dammed, 0 to 1: its level in the merge tree
 */
public record Opening(
        int first, int second, Kind kind, List<Point> line, double widthPx, double widthStrokes, double strength) {

    /** What suggests a closure. */
    public enum Kind {
        /** Two ends that face each other. */
        ENDS,
        /** Two ends that one curve carries on. */
        CURVE,
        /** Two ends side by side, as at the open base of a figure that is cut off. */
        BASE,
        /** An end that stops short of a stroke ahead of it. */
        AHEAD,
        /** An end beside a stroke. */
        BESIDE,
        /** Two bulging strokes that come near, or a neck: no ends at all. */
        NECK,
        /** An end that stops short of the edge of the page. */
        FRAME,
        /** Drawn by hand. */
        HAND
    }

    public Opening {
        line = List.copyOf(line);
    }

    /** The point of its line that lies in the middle of the others. */
    Point middle() {
        return line.size() == 2 ? line.get(0).middleTo(line.get(1)) : line.get(line.size() / 2);
    }

    /** The same closure between other cells, the lower first. */
    Opening between(int otherFirst, int otherSecond) {
        return new Opening(otherFirst, otherSecond, kind, line, widthPx, widthStrokes, strength);
    }
}
