package stillpond.core.ink;

import java.util.OptionalInt;
import stillpond.core.refusal.Refusal;

/**
 * How the ink of a sheet is told from its paper, where the user has a say.
 *
 * @param threshold the density from which on a pixel is ink, 1 to 255; empty: found from the picture
 * @param speckPx spots of ink of fewer pixels than this are dirt, 0 to {@link #MAX_SPECK_PX}; empty: {@link #SCAN_SPECK_PX} on paper that has a tone,
 *     none on pure white
 * @param pencil under-drawing to drop
 */
public record InkSettings(OptionalInt threshold, OptionalInt speckPx, Pencil pencil) {

    public static final InkSettings AUTOMATIC = new InkSettings(OptionalInt.empty(), OptionalInt.empty(), Pencil.NONE);

    /** Larger spots are somebody's dots. */
    public static final int MAX_SPECK_PX = 2000;

    /** At 300 dpi a grain of dust of a third of a millimetre. */
    static final int SCAN_SPECK_PX = 12;

    public InkSettings {
        threshold.ifPresent(value -> require("threshold", value, 1, 255));
        speckPx.ifPresent(value -> require("speck size", value, 0, MAX_SPECK_PX));
    }

    private static void require(String what, int value, int least, int most) {
        if (value < least || value > most) {
            throw new Refusal("A " + what + " is " + least + " to " + most + ", not " + value + ".");
        }
    }
}
