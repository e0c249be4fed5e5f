package stillpond.core.cut;

import stillpond.core.shape.Length;

/** A place on the page. */
public record Spot(double xMm, double yMm) {

    public double distance(Spot other) {
        return Length.of(other.xMm - xMm, other.yMm - yMm);
    }

    /** Further along a heading, or back if the length is negative. */
    Spot along(Heading heading, double lengthMm) {
        return new Spot(xMm + heading.x() * lengthMm, yMm + heading.y() * lengthMm);
    }
}
