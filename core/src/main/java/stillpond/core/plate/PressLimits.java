package stillpond.core.plate;

import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * What a press takes.
 *
 * @param mostInkPercent at one place, all inks together
 * @param leastPerInch pixels of a plate to an inch, as {@code mostPerInch}
 * @param spots the inks of their own that it is loaded with
 */
public record PressLimits(int mostInkPercent, int leastPerInch, int mostPerInch, Set<String> spots) {

    public PressLimits {
        spots = Set.copyOf(spots);
    }

    /** Why it does not print plates; empty if it does. */
    public Optional<String> refusal(Plates plates, List<String> spotInks, int perInch) {
        List<String> missing =
                spotInks.stream().filter(ink -> !spots.contains(ink)).toList();
        if (!missing.isEmpty()) {
            return Optional.of("It is not loaded with " + String.join(", ", missing) + ".");
        }
        if (perInch < leastPerInch || perInch > mostPerInch) {
            return Optional.of("The plates have " + perInch + " pixels to an inch; it takes " + leastPerInch + " to "
                    + mostPerInch + ".");
        }
        if (plates.mostInkPercent() > mostInkPercent) {
            return Optional.of(
                    "There is up to " + plates.mostInkPercent() + " % of ink at one place, more than the "
                            + mostInkPercent
                            + " % that dry on its paper. Let black ink lie in the place of what is under it, or print lighter colours.");
        }
        return Optional.empty();
    }
}
