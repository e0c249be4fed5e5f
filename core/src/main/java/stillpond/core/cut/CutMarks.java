package stillpond.core.cut;

import java.util.List;

/** Marks that are printed around a page, by which a cutter finds how the print lies: three rings, one at each corner but the upper right, so that it is told which way is up. */
public final class CutMarks {

    /** How far the stuff goes on around the page, be it for marks, or for a blade that comes to a piece at the side of the page. */
    public static final double BORDER_MM = 12;

    public static final double RADIUS_MM = 3;
    public static final double LINE_MM = 0.6;

    private CutMarks() {}

    /** Their middles: lower left, lower right, upper left; x right and y up from the lower left of the page with its border. */
    public static List<Spot> around(double widthMm, double heightMm) {
        double near = BORDER_MM / 2;
        return List.of(
                new Spot(near, near),
                new Spot(widthMm + 2 * BORDER_MM - near, near),
                new Spot(near, heightMm + 2 * BORDER_MM - near));
    }
}
