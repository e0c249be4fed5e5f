package stillpond.core.cut;

import java.util.List;
import stillpond.core.refusal.Refusal;

/** How a sheet lies on the cutter: an affine map from where places are meant to be to where they are. */
public record Laid(double xx, double xy, double x, double yx, double yy, double y) {

    /** Exactly where it is meant to lie. */
    public static final Laid STRAIGHT = new Laid(1, 0, 0, 0, 1, 0);

    /** Marks nearer to a straight line than this, in mm², say nothing about the other direction. */
    private static final double LEAST_AREA = 1;

    /**
     * From three marks (Cramer's rule).
     *
     * @param meant where they are on the drawing
     * @param found where the cutter found them, in the same order
     */
    public static Laid of(List<Spot> meant, List<Spot> found) {
        Spot a = meant.get(0);
        Spot b = meant.get(1);
        Spot c = meant.get(2);
        double area = (b.xMm() - a.xMm()) * (c.yMm() - a.yMm()) - (c.xMm() - a.xMm()) * (b.yMm() - a.yMm());
        if (Math.abs(area) < LEAST_AREA) {
            throw new Refusal("The marks lie on one line, so the cutter cannot tell how the sheet lies.");
        }
        double[] xs =
                solved(a, b, c, area, found.stream().mapToDouble(Spot::xMm).toArray());
        double[] ys =
                solved(a, b, c, area, found.stream().mapToDouble(Spot::yMm).toArray());
        return new Laid(xs[0], xs[1], xs[2], ys[0], ys[1], ys[2]);
    }

    private static double[] solved(Spot a, Spot b, Spot c, double area, double[] to) {
        double alongX = ((to[1] - to[0]) * (c.yMm() - a.yMm()) - (to[2] - to[0]) * (b.yMm() - a.yMm())) / area;
        double alongY = ((b.xMm() - a.xMm()) * (to[2] - to[0]) - (c.xMm() - a.xMm()) * (to[1] - to[0])) / area;
        return new double[] {alongX, alongY, to[0] - alongX * a.xMm() - alongY * a.yMm()};
    }

    public Spot of(Spot meant) {
        return new Spot(xx * meant.xMm() + xy * meant.yMm() + x, yx * meant.xMm() + yy * meant.yMm() + y);
    }

    /** The way back. */
    public Laid inverse() {
        double area = xx * yy - xy * yx;
        return new Laid(
                yy / area, -xy / area, (xy * y - yy * x) / area, -yx / area, xx / area, (yx * x - xx * y) / area);
    }
}
