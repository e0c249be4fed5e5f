package stillpond.core.shadow;

import java.util.List;
import stillpond.core.cell.Box;
import stillpond.core.gap.Point;

/** Boxes of pixels that shadows lie in. */
final class Boxes {

    static final Box EMPTY = new Box(0, 0, 0, 0);

    private Boxes() {}

    static Box grown(Box box, double by) {
        int more = (int) Math.ceil(by);
        return new Box(
                box.xStart() - more, box.yStart() - more, box.xEndExclusive() + more, box.yEndExclusive() + more);
    }

    static Box around(List<Point> points) {
        double left = Double.POSITIVE_INFINITY;
        double top = Double.POSITIVE_INFINITY;
        double right = Double.NEGATIVE_INFINITY;
        double bottom = Double.NEGATIVE_INFINITY;
        for (Point point : points) {
            left = Math.min(left, point.x());
            top = Math.min(top, point.y());
            right = Math.max(right, point.x());
            bottom = Math.max(bottom, point.y());
        }
        return new Box((int) Math.floor(left), (int) Math.floor(top), (int) Math.ceil(right), (int) Math.ceil(bottom));
    }

    /** The pixels that a box touches on a picture of another size. */
    static Box scaled(Box box, double factor) {
        return new Box(
                (int) Math.floor(box.xStart() * factor) - 1,
                (int) Math.floor(box.yStart() * factor) - 1,
                (int) Math.ceil(box.xEndExclusive() * factor) + 1,
                (int) Math.ceil(box.yEndExclusive() * factor) + 1);
    }
}
