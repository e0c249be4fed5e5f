package stillpond.core.colour;

/**
 * CIE L*a*b* in polar form.
 *
 * @param lightness 0 to 100
 * @param chroma 0 (grey) upwards
 * @param hue degrees, 0 to 360
 */
public record Lch(double lightness, double chroma, double hue, White white) {

    public Lab lab() {
        double angle = Math.toRadians(hue);
        return new Lab(lightness, chroma * Math.cos(angle), chroma * Math.sin(angle), white);
    }
}
