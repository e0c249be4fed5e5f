package stillpond.core.cut;

import java.util.List;

/**
 * One way of the blade, from where it goes down to where it comes up.
 *
 * @param start where the axis of the blade is when it goes down
 * @param lengthMm of what is cut: without the lead-in
 */
public record Cut(Kind kind, Spot start, List<Move> moves, double lengthMm) {

    public Cut {
        moves = List.copyOf(moves);
    }

    /** What a cut is for. */
    public enum Kind {
        /** Around a hole in a piece. */
        HOLE,
        /** Around a piece. */
        PIECE,
        /** Through the waste, so that it comes off in parts. */
        WEED
    }

    /** A step of the axis of the blade. */
    public sealed interface Move {

        Spot to();

        /** Straight on. */
        record Line(Spot to) implements Move {}

        /** Around the tip of the blade, which stays where it is while it turns. */
        record Turn(Spot to, Spot around, boolean isClockwise) implements Move {}
    }
}
