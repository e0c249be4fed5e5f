package stillpond.core.colour;

import java.util.Collection;
import java.util.Comparator;

/** Brings a colour to the nearest one that some rule allows. */
public final class Snap {

    /** Distance between the channel values of the 216 colours that early browsers had in common. */
    private static final int WEB_STEP = 51;

    private Snap() {}

    public static Srgb webSafe(Srgb colour) {
        return new Srgb(webSafe(colour.red()), webSafe(colour.green()), webSafe(colour.blue()));
    }

    public static Srgb printable(Srgb colour, PrintCondition condition) {
        return condition.printable(colour);
    }

    /** The candidate of least CIEDE2000 difference; the colour itself if there are none. */
    public static Srgb nearest(Srgb colour, Collection<Srgb> candidates) {
        return candidates.stream()
                .min(Comparator.comparingDouble(each -> Ciede2000.between(colour, each)))
                .orElse(colour);
    }

    private static int webSafe(int channel) {
        return (channel + WEB_STEP / 2) / WEB_STEP * WEB_STEP;
    }
}
