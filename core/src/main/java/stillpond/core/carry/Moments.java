package stillpond.core.carry;

/** Moments of a region up to the third, gathered in two passes (M.-K. Hu, "Visual Pattern Recognition by Moment Invariants", IRE Trans. Information Theory 8, 1962). */
final class Moments {

    /** A pixel is a square, not a point. */
    private static final double OF_A_PIXEL = 1 / 12.0;

    private double count;
    private double sumX;
    private double sumY;
    private double sumXx;
    private double sumXy;
    private double sumYy;
    private double third30;
    private double third21;
    private double third12;
    private double third03;

    void add(double x, double y) {
        count++;
        sumX += x;
        sumY += y;
        sumXx += x * x;
        sumXy += x * y;
        sumYy += y * y;
    }

    /** Once all places have been added. */
    void addThird(double x, double y) {
        double dx = x - x();
        double dy = y - y();
        third30 += dx * dx * dx;
        third21 += dx * dx * dy;
        third12 += dx * dy * dy;
        third03 += dy * dy * dy;
    }

    double count() {
        return count;
    }

    double x() {
        return sumX / count;
    }

    double y() {
        return sumY / count;
    }

    private double xx() {
        return count == 0 ? OF_A_PIXEL : sumXx / count - x() * x() + OF_A_PIXEL;
    }

    private double yy() {
        return count == 0 ? OF_A_PIXEL : sumYy / count - y() * y() + OF_A_PIXEL;
    }

    private double xy() {
        return count == 0 ? 0 : sumXy / count - x() * y();
    }

    private double spread() {
        return Math.hypot(xx() - yy(), 2 * xy());
    }

    double elongation() {
        double longer = xx() + yy() + spread();
        double shorter = Math.max(OF_A_PIXEL, xx() + yy() - spread());
        return Math.sqrt(longer / shorter);
    }

    double angle() {
        return Math.atan2(2 * xy(), xx() - yy()) / 2;
    }

    double fullness() {
        return Math.max(1, count) / (4 * Math.PI * Math.sqrt(Math.max(1e-6, xx() * yy() - xy() * xy())));
    }

    /** Hu's fourth invariant, its root: the third moments that stay when a shape is turned. */
    double skewness() {
        if (count < 4) {
            return 0;
        }
        double size = Math.pow(count, 2.5);
        double a = (third30 + third12) / size;
        double b = (third21 + third03) / size;
        return 10 * Math.hypot(a, b);
    }
}
