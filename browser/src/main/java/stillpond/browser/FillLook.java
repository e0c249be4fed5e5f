package stillpond.browser;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.teavm.jso.JSExport;
import stillpond.core.colour.Srgb;
import stillpond.core.fill.Fill;
import stillpond.core.render.FillColours;

/** The colours that a fill shows, as 0xAARRGGBB. */
public final class FillLook {

    private final FillColours colours;

    private FillLook(FillColours colours) {
        this.colours = colours;
    }

    /** @param swatches those that are on a card, and what each shows */
    @JSExport
    public static FillLook of(String text, String[] swatches, String[] hexes) {
        Map<UUID, Srgb> shown = new HashMap<>();
        for (int i = 0; i < swatches.length; i++) {
            shown.put(UUID.fromString(swatches[i]), Srgb.ofHex(hexes[i]));
        }
        return new FillLook(FillColours.of(Fill.ofText(text), swatch -> Optional.ofNullable(shown.get(swatch))));
    }

    /** Along a gradient from end to end, those of a pattern one after the other, or just one. */
    @JSExport
    public int[] argb() {
        return colours.argb().clone();
    }

    @JSExport
    public int mean() {
        return colours.mean();
    }

    /** What shows at a place of the sheet; a pattern is one even colour. */
    @JSExport
    public int at(double x, double y) {
        return colours.argbAt(x, y);
    }
}
