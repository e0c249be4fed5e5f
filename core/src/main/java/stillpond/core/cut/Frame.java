package stillpond.core.cut;

import java.util.List;

/** A rectangle along the sides of the page. */
public record Frame(double leftMm, double topMm, double rightMm, double bottomMm) {

    static final Frame NONE = new Frame(
            Double.POSITIVE_INFINITY, Double.POSITIVE_INFINITY, Double.NEGATIVE_INFINITY, Double.NEGATIVE_INFINITY);

    Frame with(Spot spot) {
        return new Frame(
                Math.min(leftMm, spot.xMm()),
                Math.min(topMm, spot.yMm()),
                Math.max(rightMm, spot.xMm()),
                Math.max(bottomMm, spot.yMm()));
    }

    Frame with(Frame other) {
        return new Frame(
                Math.min(leftMm, other.leftMm),
                Math.min(topMm, other.topMm),
                Math.max(rightMm, other.rightMm),
                Math.max(bottomMm, other.bottomMm));
    }

    Frame grown(double byMm) {
        return new Frame(leftMm - byMm, topMm - byMm, rightMm + byMm, bottomMm + byMm);
    }

    /** What of it lies in another. */
    Frame within(Frame other) {
        return new Frame(
                Math.max(leftMm, other.leftMm),
                Math.max(topMm, other.topMm),
                Math.min(rightMm, other.rightMm),
                Math.min(bottomMm, other.bottomMm));
    }

    boolean meets(Frame other) {
        return leftMm <= other.rightMm && other.leftMm <= rightMm && topMm <= other.bottomMm && other.topMm <= bottomMm;
    }

    Outline outline() {
        return new Outline(
                List.of(
                        new Spot(leftMm, topMm),
                        new Spot(rightMm, topMm),
                        new Spot(rightMm, bottomMm),
                        new Spot(leftMm, bottomMm)),
                false);
    }
}
