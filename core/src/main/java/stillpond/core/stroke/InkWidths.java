package stillpond.core.stroke;

import java.util.function.IntUnaryOperator;

/**
 * Shows ink wider or narrower than it was drawn, stroke by stroke: grey dilation and erosion (J. Serra, "Image Analysis and Mathematical Morphology", 1982) by a disc whose edge fades over
 * a pixel, so that parts of a pixel count. Nothing of it is stored.
 */
public final class InkWidths {

    private static final int FULL = 255;

    private final int width;
    private final int height;
    private final byte[] drawn;
    private final IntUnaryOperator strokes;
    private final double[] radii;
    private final byte[] shown;

    private InkWidths(int width, int height, byte[] drawn, IntUnaryOperator strokes, double[] radii) {
        this.width = width;
        this.height = height;
        this.drawn = drawn;
        this.strokes = strokes;
        this.radii = radii;
        this.shown = drawn.clone();
    }

    /**
     * The density of ink as it is shown.
     *
     * @param width of the picture in pixels
     * @param drawn density by pixel, row by row; not changed
     * @param strokes the stroke of each pixel; below 0: none
     * @param radii by how many pixels each stroke grows on each side; below 0: it shrinks
     */
    public static byte[] shown(int width, int height, byte[] drawn, IntUnaryOperator strokes, double[] radii) {
        InkWidths widths = new InkWidths(width, height, drawn, strokes, radii);
        boolean isAnyNarrower = false;
        boolean isAnyWider = false;
        for (double radius : radii) {
            isAnyNarrower |= radius < 0;
            isAnyWider |= radius > 0;
        }
        if (isAnyNarrower) {
            widths.spread(-1);
        }
        if (isAnyWider) {
            widths.spread(1);
        }
        return widths.shown;
    }

    /** How much a stroke grows on each side. @param tenths of the width of a stroke that it gets wider @param strokePx how wide strokes are */
    public static double radius(int tenths, double strokePx) {
        return tenths / 10.0 * strokePx / 2;
    }

    /** Spreads ink (1) or paper (-1) from wherever there is more of it than beside. */
    private void spread(int sign) {
        double furthest = 0;
        for (double radius : radii) {
            furthest = Math.max(furthest, sign * radius);
        }
        for (int y = 0, i = 0; y < height; y++) {
            for (int x = 0; x < width; x++, i++) {
                int own = much(i, sign);
                if (own > 0 && isEdge(x, y, i, own, sign)) {
                    double radius = sign > 0 ? radiusOf(i) : furthest;
                    if (radius > 0) {
                        spreadFrom(x, y, own, radius, sign);
                    }
                }
            }
        }
    }

    private double radiusOf(int pixel) {
        int stroke = strokes.applyAsInt(pixel);
        return stroke < 0 ? 0 : radii[stroke];
    }

    /** How much ink is at a pixel, or how much of it is missing. */
    private int much(int pixel, int sign) {
        int density = drawn[pixel] & 0xff;
        return sign > 0 ? density : FULL - density;
    }

    private boolean isEdge(int x, int y, int i, int own, int sign) {
        return x > 0 && much(i - 1, sign) < own
                || x < width - 1 && much(i + 1, sign) < own
                || y > 0 && much(i - width, sign) < own
                || y < height - 1 && much(i + width, sign) < own;
    }

    private void spreadFrom(int x, int y, int own, double radius, int sign) {
        int reach = (int) Math.ceil(radius);
        for (int row = Math.max(0, y - reach); row <= Math.min(height - 1, y + reach); row++) {
            for (int column = Math.max(0, x - reach); column <= Math.min(width - 1, x + reach); column++) {
                int i = row * width + column;
                double limit = sign > 0 ? radius : -radiusOf(i);
                double away = Math.sqrt((row - y) * (row - y) + (column - x) * (column - x));
                double share = Math.min(1, limit + 1 - away);
                if (share > 0 && limit > 0 && away > 0) {
                    int spread = (int) (own * share + 0.5);
                    int now = shown[i] & 0xff;
                    shown[i] = (byte) (sign > 0 ? Math.max(now, spread) : Math.min(now, FULL - spread));
                }
            }
        }
    }
}
