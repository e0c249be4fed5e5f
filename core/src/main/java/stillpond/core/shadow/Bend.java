package stillpond.core.shadow;

/** How an outline runs through one of its knots. */
public sealed interface Bend {

    /** On without a corner, as the knots beside it suggest. */
    Bend SMOOTH = new Smooth();

    /** With a corner. */
    Bend STRAIGHT = new Straight();

    /** See {@link Bend#SMOOTH}. */
    record Smooth() implements Bend {}

    /** See {@link Bend#STRAIGHT}. */
    record Straight() implements Bend {}

    /** As was drawn: the control points of the curves before and behind, from the knot. */
    record Drawn(double inX, double inY, double outX, double outY) implements Bend {}
}
