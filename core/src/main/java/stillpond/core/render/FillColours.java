package stillpond.core.render;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.IntUnaryOperator;
import stillpond.core.colour.Mixing;
import stillpond.core.colour.Srgb;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Opacity;
import stillpond.core.palette.SwatchColours;

/** The colours that a fill shows, as 0xAARRGGBB, not premultiplied: along a gradient from end to end, those of a pattern one after the other, or just one. */
public final class FillColours {

    /** What a cell without a fill shows: nothing. */
    static final int CLEAR = 0;

    /** So many steps from end to end that none is seen: 8 bits a channel have no more between black and white. */
    static final int STEPS = 256;

    private static final int MOST_INKS = 4;
    private static final Srgb WHITE = new Srgb(255, 255, 255);

    private final Fill fill;
    private final int[] argb;

    private FillColours(Fill fill, int[] argb) {
        this.fill = fill;
        this.argb = argb;
    }

    /** A swatch that no card has takes no part; where all are gone, nothing shows. */
    public static FillColours of(Fill fill, SwatchColours colours) {
        if (fill instanceof Fill.Gradient gradient) {
            return new FillColours(fill, along(gradient, colours));
        }
        if (fill instanceof Fill.Pattern pattern) {
            return new FillColours(fill, inks(pattern, colours));
        }
        if (fill instanceof Fill.Tone tone) {
            int tint = colours.colourOf(tone.swatch())
                    .map(colour ->
                            Mixing.mix(WHITE, colour, tone.percent() / 100.0).opaqueArgb())
                    .orElse(CLEAR);
            return new FillColours(fill, new int[] {tint});
        }
        int even = fill instanceof Fill.Flat flat
                ? colours.colourOf(flat.swatch())
                        .map(colour -> withOpacity(colour, flat.opacity()))
                        .orElse(CLEAR)
                : CLEAR;
        return new FillColours(fill, new int[] {even});
    }

    FillColours mapped(IntUnaryOperator colours) {
        return new FillColours(fill, Arrays.stream(argb).map(colours).toArray());
    }

    /** Not to be changed. */
    public int[] argb() {
        return argb;
    }

    /** All of them taken together: the mean of each channel. */
    public int mean() {
        int mean = 0;
        for (int shift = 0; shift < Integer.SIZE; shift += Byte.SIZE) {
            long sum = 0;
            for (int colour : argb) {
                sum += colour >>> shift & 0xff;
            }
            mean |= (int) Math.round((double) sum / argb.length) << shift;
        }
        return mean;
    }

    /** What shows at a place of the sheet; a pattern, whose motif is not known here, is one even colour. */
    public int argbAt(double x, double y) {
        return fill instanceof Fill.Gradient gradient
                ? argb[(int) Math.round(gradient.along(x, y) * (STEPS - 1))]
                : mean();
    }

    private record Stop(double along, Srgb colour) {}

    private static int[] along(Fill.Gradient gradient, SwatchColours colours) {
        List<Stop> stops = new ArrayList<>();
        gradient.stops()
                .forEach(stop -> colours.colourOf(stop.swatch())
                        .ifPresent(colour -> stops.add(new Stop(stop.percent() / 100.0, colour))));
        int[] argb = new int[STEPS];
        for (int step = 0; step < STEPS && !stops.isEmpty(); step++) {
            argb[step] = withOpacity(colourAt(stops, step / (STEPS - 1.0)), gradient.opacity());
        }
        return argb;
    }

    private static Srgb colourAt(List<Stop> stops, double along) {
        Stop before = stops.get(0);
        for (Stop after : stops) {
            if (after.along() >= along) {
                double leg = after.along() - before.along();
                return leg <= 0
                        ? after.colour()
                        : Mixing.mix(before.colour(), after.colour(), (along - before.along()) / leg);
            }
            before = after;
        }
        return before.colour();
    }

    /** As many as a motif can have, the last one standing for those that are missing. */
    private static int[] inks(Fill.Pattern pattern, SwatchColours colours) {
        int[] argb = new int[MOST_INKS];
        int count = 0;
        for (int i = 0; i < pattern.inks().size(); i++) {
            Srgb colour = colours.colourOf(pattern.inks().get(i)).orElse(null);
            if (colour != null) {
                argb[count++] = withOpacity(colour, pattern.opacity());
            }
        }
        if (count > 0) {
            Arrays.fill(argb, count, MOST_INKS, argb[count - 1]);
        }
        return argb;
    }

    private static int withOpacity(Srgb colour, Opacity opacity) {
        return Math.round(255 * opacity.percent() / 100f) << 24 | colour.packed();
    }
}
