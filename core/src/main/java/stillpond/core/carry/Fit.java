package stillpond.core.carry;

/** The similarity that brings weighted points nearest to others, by least squares (B. K. P. Horn, "Closed-form solution of absolute orientation", JOSA A 4, 1987, in the plane). */
final class Fit {

    private final boolean isMirrored;
    private double weight;
    private double fromX;
    private double fromY;
    private double toX;
    private double toY;
    private double square;
    private double dot;
    private double cross;

    Fit(boolean isMirrored) {
        this.isMirrored = isMirrored;
    }

    void add(double x, double y, double atX, double atY, double w) {
        double sided = isMirrored ? -x : x;
        weight += w;
        fromX += w * sided;
        fromY += w * y;
        toX += w * atX;
        toY += w * atY;
        square += w * (sided * sided + y * y);
        dot += w * (sided * atX + y * atY);
        cross += w * (sided * atY - y * atX);
    }

    Pose pose() {
        double spread = square - (fromX * fromX + fromY * fromY) / weight;
        double a = (dot - (fromX * toX + fromY * toY) / weight) / spread;
        double b = (cross - (fromX * toY - fromY * toX) / weight) / spread;
        return new Pose(
                a, b, (toX - a * fromX + b * fromY) / weight, (toY - b * fromX - a * fromY) / weight, isMirrored);
    }
}
