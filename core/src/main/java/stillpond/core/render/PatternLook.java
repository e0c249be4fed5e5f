package stillpond.core.render;

import java.util.Arrays;
import java.util.function.IntUnaryOperator;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Repeat;
import stillpond.core.fill.Span;

/** See {@link Fill.Pattern}. */
final class PatternLook implements Look {

    private final Fill.Pattern pattern;
    private final Motif motif;
    private final int[] colours;
    private final boolean isHard;

    /** @param colours as of {@link FillColours#argb} */
    PatternLook(Fill.Pattern pattern, Motif motif, int[] colours) {
        this(pattern, motif, colours, false);
    }

    private PatternLook(Fill.Pattern pattern, Motif motif, int[] colours, boolean isHard) {
        this.pattern = pattern;
        this.motif = motif;
        this.colours = colours;
        this.isHard = isHard;
    }

    @Override
    public Look mapped(IntUnaryOperator others) {
        return new PatternLook(
                pattern, motif, Arrays.stream(colours).map(others).toArray(), isHard);
    }

    @Override
    public Look hardEdged() {
        return new PatternLook(pattern, motif, colours, true);
    }

    @Override
    public int argbAt(double x, double y, double pixelPx) {
        Span span = pattern.span();
        Repeat repeat = pattern.repeat();
        double side = span.lengthPx();
        double cos = (span.x2() - span.x1()) / side;
        double sin = (span.y2() - span.y1()) / side;
        double across = ((x - span.x1()) * cos + (y - span.y1()) * sin) / side;
        double down = ((y - span.y1()) * cos - (x - span.x1()) * sin) / side * 100 / repeat.heightPercent();
        int level = (int) Math.round(Math.log(Motif.SIDE * pixelPx / side) / Math.log(2));
        return blend(motif.at(repeat.mirrored() ? -across : across, repeat.flipped() ? -down : down, level));
    }

    private int blend(int shares) {
        if (isHard) {
            return colours[Motif.strongest(shares)];
        }
        int[] parts = Motif.parts(shares);
        double sum = parts[0] + parts[1] + parts[2] + parts[3];
        double red = 0;
        double green = 0;
        double blue = 0;
        for (int ink = 0; ink < parts.length; ink++) {
            red += parts[ink] / sum * (colours[ink] >> 16 & 0xff);
            green += parts[ink] / sum * (colours[ink] >> 8 & 0xff);
            blue += parts[ink] / sum * (colours[ink] & 0xff);
        }
        return colours[0] & 0xff000000
                | (int) Math.round(red) << 16
                | (int) Math.round(green) << 8
                | (int) Math.round(blue);
    }
}
