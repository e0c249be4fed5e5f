package stillpond.core.colour;

import java.util.List;
import java.util.OptionalInt;

/** Brings a colour to the nearest one that some rule allows. */
public final class Snap {

    /** Distance between the channel values of the 216 colours that early browsers had in common. */
    private static final int WEB_STEP = 51;

    private Snap() {}

    public static Srgb webSafe(Srgb colour) {
        return new Srgb(webSafe(colour.red()), webSafe(colour.green()), webSafe(colour.blue()));
    }

    /** The place of the candidate of least CIEDE2000 difference, the first of several; empty if there are none. */
    public static OptionalInt nearest(Srgb colour, List<Srgb> candidates) {
        int nearest = -1;
        double least = Double.POSITIVE_INFINITY;
        for (int i = 0; i < candidates.size(); i++) {
            double difference = Ciede2000.between(colour, candidates.get(i));
            if (difference < least) {
                nearest = i;
                least = difference;
            }
        }
        return nearest < 0 ? OptionalInt.empty() : OptionalInt.of(nearest);
    }

    private static int webSafe(int channel) {
        return (channel + WEB_STEP / 2) / WEB_STEP * WEB_STEP;
    }
}
