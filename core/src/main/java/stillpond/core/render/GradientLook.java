package stillpond.core.render;

import stillpond.core.fill.Fill;
import stillpond.core.palette.SwatchColours;

/** See {@link Fill.Gradient}. */
final class GradientLook implements Look {

    private final FillColours colours;

    GradientLook(Fill.Gradient gradient, SwatchColours colours) {
        this.colours = FillColours.of(gradient, colours);
    }

    @Override
    public int argbAt(double x, double y, double pixelPx) {
        return colours.argbAt(x, y);
    }
}
