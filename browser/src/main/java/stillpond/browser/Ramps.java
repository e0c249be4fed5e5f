package stillpond.browser;

import java.util.List;
import java.util.UUID;
import org.teavm.jso.JSExport;
import stillpond.core.colour.Mixing;
import stillpond.core.colour.Srgb;
import stillpond.core.palette.Paint;
import stillpond.core.palette.Tie;

/** Swatches in even steps between two others. */
public final class Ramps {

    private Ramps() {}

    /** The steps between two swatches, without those. @param count of all steps, 2 or more */
    @JSExport
    public static TiedSwatch[] between(String from, String fromHex, String to, String toHex, int count) {
        List<Srgb> ramp = Mixing.ramp(List.of(Srgb.ofHex(fromHex), Srgb.ofHex(toHex)), count);
        TiedSwatch[] steps = new TiedSwatch[count - 2];
        for (int i = 0; i < steps.length; i++) {
            double share = (i + 1.0) / (count - 1);
            Paint paint = new Paint.Tied(UUID.fromString(from), new Tie.Mix(UUID.fromString(to), share));
            steps[i] = new TiedSwatch(ramp.get(i + 1).hex(), paint.text());
        }
        return steps;
    }
}
