package stillpond.app.page;

import java.util.Locale;

/**
 * The part of a small picture that shows a region, with something around it.
 *
 * @param viewBox as SVG writes it
 * @param ring where the ring is that points to the region, and how large, as SVG writes it
 */
public record Crop(String viewBox, String ring) {

    private static final double SMALLEST = 56;
    private static final double AROUND = 1.3;
    /** Width to height. */
    private static final double SHAPE = 4 / 3.0;

    /** All in pixels of the small picture. @param x of the place that is pointed to, as {@code y} @param left of the box around the region */
    public static Crop of(double x, double y, double left, double top, double width, double height) {
        double high = Math.max(SMALLEST, AROUND * Math.max(width / SHAPE, height));
        double wide = high * SHAPE;
        return new Crop(
                String.format(
                        Locale.ROOT,
                        "%.1f %.1f %.1f %.1f",
                        left + width / 2 - wide / 2,
                        top + height / 2 - high / 2,
                        wide,
                        high),
                String.format(Locale.ROOT, "translate(%.0f %.0f) scale(%.1f)", x, y, high / 9));
    }
}
