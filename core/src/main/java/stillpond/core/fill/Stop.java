package stillpond.core.fill;

import java.util.UUID;
import stillpond.core.refusal.Refusal;

/** A colour of a gradient. @param percent of the span, 0 to 100 */
public record Stop(int percent, UUID swatch) {

    public Stop {
        if (percent < 0 || percent > 100) {
            throw new Refusal("A stop stands at 0 to 100 % of its gradient, not " + percent + ".");
        }
    }
}
