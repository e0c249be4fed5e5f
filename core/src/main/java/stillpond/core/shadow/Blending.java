package stillpond.core.shadow;

import java.util.Optional;
import stillpond.core.colour.BlendMode;
import stillpond.core.colour.Gamut;
import stillpond.core.colour.Oklch;
import stillpond.core.colour.Srgb;

/**
 * What a shadow makes of a colour that it lies on. A swatch acts by its mode and is composited over what lies under it, as W3C Compositing and Blending Level 1, sections 5.1 and 10,
 * say; a rim that lies under its base is composited the other way round (destination-over, section 9.1.6). Colours are 0xAARRGGBB, not premultiplied.
 */
public final class Blending {

    private static final Srgb BLACK = new Srgb(0, 0, 0);

    private Blending() {}

    /**
     * @param backdrop what lies under the shadow, or over a rim under its base
     * @param worn the colour of the swatch that the shadow wears; empty: none
     * @param level how much of the shadow is there, as {@link Pieces} says
     */
    public static int over(int backdrop, Shadow shadow, Optional<Srgb> worn, int level) {
        boolean isUnder = level > Pieces.LEVELS;
        double alpha = shadow.strength() / 100.0 * (isUnder ? level - Pieces.LEVELS : level) / Pieces.LEVELS;
        if (worn.isEmpty() && shadow.isOfSurface()) {
            return thinner(backdrop, alpha);
        }
        if (worn.isEmpty() && !shadow.isRim()) {
            return darker(backdrop, shadow.darker() / 100.0, alpha);
        }
        Srgb source = worn.orElse(BLACK);
        BlendMode mode = shadow.isRim() ? BlendMode.NORMAL : shadow.mode();
        return isUnder
                ? composite(0xff000000 | backdrop, backdrop >>> 24, source.opaqueArgb(), alpha * 255)
                : composite(blended(mode, backdrop, source), alpha * 255, backdrop, backdrop >>> 24);
    }

    /** The source as it acts on the backdrop, weighed by how opaque that is (section 10: Cr = (1 - ab) x Cs + ab x B(Cb, Cs)). */
    private static int blended(BlendMode mode, int backdrop, Srgb source) {
        int under = backdrop >>> 24;
        Srgb acted = under == 0 ? source : mode.blend(Srgb.ofPacked(backdrop & 0xffffff), source);
        return mixed(source.opaqueArgb(), acted.opaqueArgb(), under / 255.0);
    }

    private static int darker(int backdrop, double amount, double alpha) {
        int opacity = backdrop >>> 24;
        if (opacity == 0) {
            return backdrop;
        }
        Oklch shifted = Oklch.of(Srgb.ofPacked(backdrop & 0xffffff)).shifted(-amount, 0, 0);
        int wanted = Gamut.show(shifted).colour().opaqueArgb();
        return opacity << 24 | mixed(backdrop, wanted, alpha) & 0xffffff;
    }

    /** Destination-out of the standard, section 9.1.8: ao = ab x (1 - as). */
    private static int thinner(int backdrop, double alpha) {
        return (int) Math.round((backdrop >>> 24) * (1 - alpha)) << 24 | backdrop & 0xffffff;
    }

    /** Source over backdrop. @param over the opacity of the first, 0 to 255 @param under that of the second */
    private static int composite(int source, double over, int backdrop, double under) {
        double as = over / 255;
        double ab = under / 255;
        double alpha = as + ab * (1 - as);
        if (alpha == 0) {
            return 0;
        }
        return (int) Math.round(alpha * 255) << 24 | mixed(backdrop, source, as / alpha) & 0xffffff;
    }

    private static int mixed(int from, int to, double share) {
        return 0xff000000
                | channel(from >> 16 & 0xff, to >> 16 & 0xff, share) << 16
                | channel(from >> 8 & 0xff, to >> 8 & 0xff, share) << 8
                | channel(from & 0xff, to & 0xff, share);
    }

    private static int channel(int from, int to, double share) {
        return (int) Math.round(from + share * (to - from));
    }
}
