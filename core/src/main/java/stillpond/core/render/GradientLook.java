package stillpond.core.render;

import java.util.List;
import stillpond.core.colour.Mixing;
import stillpond.core.colour.Srgb;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Span;

/** See {@link Fill.Gradient}. */
final class GradientLook implements Look {

    /** So many steps from end to end that none is seen: 8 bits a channel have no more between black and white. */
    private static final int STEPS = 256;

    private final Fill.Gradient gradient;
    private final int[] argb = new int[STEPS];

    /** A stop that still has its swatch. @param along 0 to 1 */
    record Shown(double along, Srgb colour) {}

    /** @param stops at least one, in their order */
    GradientLook(Fill.Gradient gradient, List<Shown> stops) {
        this.gradient = gradient;
        int alpha = Math.round(255 * gradient.opacity().percent() / 100f) << 24;
        for (int step = 0; step < STEPS; step++) {
            argb[step] = alpha | colourAt(stops, step / (STEPS - 1.0)).opaqueArgb() & 0xffffff;
        }
    }

    private static Srgb colourAt(List<Shown> stops, double along) {
        Shown before = stops.get(0);
        for (Shown after : stops) {
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

    @Override
    public int argbAt(double x, double y, double pixelPx) {
        Span span = gradient.span();
        double dx = span.x2() - span.x1();
        double dy = span.y2() - span.y1();
        double along = gradient.course() == Fill.Course.LINEAR
                ? ((x - span.x1()) * dx + (y - span.y1()) * dy) / (dx * dx + dy * dy)
                : Math.hypot(x - span.x1(), y - span.y1()) / span.lengthPx();
        return argb[(int) Math.round(Math.max(0, Math.min(1, along)) * (STEPS - 1))];
    }
}
