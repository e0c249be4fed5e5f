package stillpond.core.shape;

/** Lengths by square roots alone, which are the same to the last digit everywhere; {@link Math#hypot} need not be, and what is fitted to a line by hand follows from comparing lengths. */
public final class Length {

    private Length() {}

    public static double of(double dx, double dy) {
        return Math.sqrt(dx * dx + dy * dy);
    }
}
