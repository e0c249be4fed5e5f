package stillpond.core.render;

import java.util.function.IntUnaryOperator;
import stillpond.core.fill.Fill;
import stillpond.core.palette.SwatchColours;

/** See {@link Fill.Gradient}. */
final class GradientLook implements Look {

    private final FillColours colours;

    GradientLook(Fill.Gradient gradient, SwatchColours colours) {
        this(FillColours.of(gradient, colours));
    }

    private GradientLook(FillColours colours) {
        this.colours = colours;
    }

    @Override
    public int argbAt(double x, double y, double pixelPx) {
        return colours.argbAt(x, y);
    }

    @Override
    public Look mapped(IntUnaryOperator others) {
        return new GradientLook(colours.mapped(others));
    }
}
