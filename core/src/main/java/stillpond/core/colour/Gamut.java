package stillpond.core.colour;

/** Brings colours that sRGB cannot show into it by taking chroma away, at the same OKLCH lightness and hue (the principle of W3C CSS Color 4, section 13.2, without its clipping step). */
public final class Gamut {

    private static final int HALVINGS = 30;

    private Gamut() {}

    /**
     * A colour as it can be shown.
     *
     * @param wasOutside whether chroma had to be taken away
     */
    public record Shown(Srgb colour, boolean wasOutside) {}

    public static Shown show(Oklch wanted) {
        if (wanted.lightness() >= 1) {
            return new Shown(new Srgb(255, 255, 255), wanted.chroma() > 0);
        }
        if (wanted.lightness() <= 0) {
            return new Shown(new Srgb(0, 0, 0), wanted.chroma() > 0);
        }
        LinearRgb rgb = wanted.oklab().linear();
        if (rgb.isInGamut()) {
            return new Shown(rgb.clipped(), false);
        }
        double inside = 0;
        double outside = wanted.chroma();
        for (int i = 0; i < HALVINGS; i++) {
            double chroma = (inside + outside) / 2;
            if (with(wanted, chroma).isInGamut()) {
                inside = chroma;
            } else {
                outside = chroma;
            }
        }
        return new Shown(with(wanted, inside).clipped(), true);
    }

    public static Shown show(Oklab wanted) {
        return show(wanted.oklch());
    }

    private static LinearRgb with(Oklch colour, double chroma) {
        return new Oklch(colour.lightness(), chroma, colour.hue()).oklab().linear();
    }
}
