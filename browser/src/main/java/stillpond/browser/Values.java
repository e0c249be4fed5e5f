package stillpond.browser;

import org.teavm.jso.JSExport;
import stillpond.core.colour.PictureColours;
import stillpond.core.colour.Srgb;
import stillpond.core.colour.ValueSteps;

/** Pictures with fewer colours, and means of them. Pixels are 0xAARRGGBB. */
public final class Values {

    private Values() {}

    /** Flattened to a few values. @param count 2 to 8 */
    @JSExport
    public static int[] flattened(int[] pixels, int count) {
        return ValueSteps.flattened(pixels, count);
    }

    /** The mean of a disc in linear light as a hex code; nothing where no opaque pixel lies. @param across how many pixels a row has @param column of the middle, as {@code line} */
    @JSExport
    public static String mean(int[] pixels, int across, int column, int line, int discPx) {
        return PictureColours.mean(pixels, across, column, line, discPx)
                .map(Srgb::hex)
                .orElse("");
    }

    @JSExport
    public static int[] grey(int[] pixels) {
        return ValueSteps.grey(pixels);
    }
}
