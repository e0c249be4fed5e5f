package stillpond.core.gap;

import java.util.Comparator;

/** A stretch of a closure that parts two pieces, the lower number first. */
record Part(int first, int second, int closure, int pixels, Meeting meeting) {

    /** How the two pieces meet. */
    enum Meeting {
        /** On both sides of a wall pixel. */
        AT_A_WALL,
        /** Across walls that lie side by side, or a pinhole between them. */
        ACROSS_A_PINHOLE
    }

    static final Comparator<Part> ORDER =
            Comparator.comparingInt(Part::first).thenComparingInt(Part::second).thenComparingInt(Part::closure);
}
