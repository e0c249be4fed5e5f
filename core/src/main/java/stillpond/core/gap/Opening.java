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

    /** Half way along its line. */
    public Point middle() {
        double left = 0;
        for (int i = 1; i < line.size(); i++) {
            left += line.get(i - 1).distanceTo(line.get(i)) / 2;
        }
        for (int i = 1; i < line.size(); i++) {
            Point from = line.get(i - 1);
            double length = from.distanceTo(line.get(i));
            if (left <= length && length > 0) {
                return from.plus(line.get(i).minus(from).times(left / length));
            }
            left -= length;
        }
        return line.get(0);
    }

    /** The same closure between other cells, the lower first. */
    Opening between(int otherFirst, int otherSecond) {
        return new Opening(otherFirst, otherSecond, kind, line, widthPx, widthStrokes, strength);
    }
}
