package stillpond.core.colour;

/**
 * OKLab in polar form.
 *
 * @param lightness 0 to 1
 * @param chroma 0 (grey) to about 0.37
 * @param hue degrees, 0 to 360
 */
public record Oklch(double lightness, double chroma, double hue) {

    public static Oklch of(Srgb colour) {
        return Oklab.of(colour).oklch();
    }

    public Oklab oklab() {
        double angle = Math.toRadians(hue);
        return new Oklab(lightness, chroma * Math.cos(angle), chroma * Math.sin(angle));
    }

    /** With each part moved; lightness and chroma stay within what is possible. */
    public Oklch shifted(double byLightness, double byChroma, double byHue) {
        return new Oklch(
                Math.min(1, Math.max(0, lightness + byLightness)),
                Math.max(0, chroma + byChroma),
                Hue.within(hue + byHue));
    }
}
