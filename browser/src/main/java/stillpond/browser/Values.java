package stillpond.browser;

import org.teavm.jso.JSExport;
import stillpond.core.colour.ValueSteps;

/** Reference pictures with fewer colours. Pixels are 0xAARRGGBB. */
public final class Values {

    private Values() {}

    /** Flattened to a few values. @param count 2 to 8 */
    @JSExport
    public static int[] flattened(int[] pixels, int count) {
        return ValueSteps.flattened(pixels, count);
    }

    @JSExport
    public static int[] grey(int[] pixels) {
        return ValueSteps.grey(pixels);
    }
}
