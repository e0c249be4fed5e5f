package stillpond.core.carry;

/**
 * What is known of one region of a drawing, in pixels of the drawing's grid.
 *
 * @param area of all its pixels
 * @param x of a point that stands for it: its centre of mass, or its deepest place where that lies outside
 * @param y of that point
 * @param elongation how much longer than wide it is: the ratio of its axes of inertia, 1 and up
 * @param angle of its longer axis, in radians from the x axis towards the y axis, -π/2 to π/2
 * @param fullness its area as a share of that of the ellipse with its axes of inertia, at most about 1
 * @param skewness how lopsided it is: the length of its third moments, made free of scale
 */
record Shape(
        int region,
        double area,
        double x,
        double y,
        double elongation,
        double angle,
        double fullness,
        double skewness) {

    /** Differences that are about as likely as each other in two drawings of one thing. */
    private static final double ELONGATION_UNIT = 0.35;

    private static final double FULLNESS_UNIT = 0.12;
    private static final double SKEWNESS_UNIT = 0.12;

    /** How unlike two shapes are, whatever their size, turn and side: 0 if they are the same, about 1 for redrawings of one thing, more for others. */
    double unlike(Shape other) {
        double longer = (Math.log(elongation) - Math.log(other.elongation)) / ELONGATION_UNIT;
        double fuller = (fullness - other.fullness) / FULLNESS_UNIT;
        double skewer = (skewness - other.skewness) / SKEWNESS_UNIT;
        return Math.sqrt((longer * longer + fuller * fuller + skewer * skewer) / 3);
    }

    double size() {
        return Math.sqrt(area);
    }
}
