package stillpond.core.format;

import java.util.List;
import stillpond.core.shape.Cubic;

/** Closed lines as the data of an SVG path (SVG 1.1, section 8.3), in pixels to a hundredth: a curve that two shapes share has the same numbers in both. */
final class SvgPath {

    private static final double STRAIGHT_PX = 0.02;

    private SvgPath() {}

    static void append(StringBuilder out, List<List<Cubic>> lines) {
        for (List<Cubic> line : lines) {
            out.append('M');
            point(out, line.get(0).x0(), line.get(0).y0());
            for (Cubic curve : line) {
                if (curve.isStraight(STRAIGHT_PX)) {
                    out.append('L');
                } else {
                    out.append('C');
                    point(out, curve.x1(), curve.y1());
                    out.append(' ');
                    point(out, curve.x2(), curve.y2());
                    out.append(' ');
                }
                point(out, curve.x3(), curve.y3());
            }
            out.append('Z');
        }
    }

    private static void point(StringBuilder out, double x, double y) {
        number(out, x);
        out.append(' ');
        number(out, y);
    }

    /** Without what a general formatter would cost for a million of them. */
    static void number(StringBuilder out, double value) {
        long hundredths = Math.round(100 * value);
        if (hundredths < 0) {
            out.append('-');
            hundredths = -hundredths;
        }
        out.append(hundredths / 100);
        int rest = (int) (hundredths % 100);
        if (rest > 0) {
            out.append('.').append(rest / 10);
            if (rest % 10 > 0) {
                out.append(rest % 10);
            }
        }
    }
}
