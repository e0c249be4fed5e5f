package stillpond.bench.flats;

import java.awt.image.BufferedImage;
import java.util.List;

/**
 * A drawing with known flats.
 *
 * @param line 8-bit grey
 * @param truth by pixel: 0 do not care, 1 outside, 2 and up a region each
 */
public record Case(String name, BufferedImage line, int[] truth, List<TruthRegion> regions) {

    /** The label of what is no region: ink, slivers, fringes. */
    public static final int DO_NOT_CARE = 0;

    public int width() {
        return line.getWidth();
    }

    public int height() {
        return line.getHeight();
    }

    /**
     * @param area in pixels; a hint only, count the labels
     * @param support the share of its border that ink backs
     * @param x the deepest point, and r its depth, in pixels
     */
    public record TruthRegion(int id, int area, double support, int x, int y, double r) {}
}
