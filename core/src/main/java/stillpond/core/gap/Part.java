package stillpond.core.gap;

import java.util.Comparator;

/** A stretch of a closure that parts two pieces, the lower number first. */
record Part(int first, int second, int closure, int pixels) {

    static final Comparator<Part> ORDER =
            Comparator.comparingInt(Part::first).thenComparingInt(Part::second).thenComparingInt(Part::closure);
}
