package stillpond.core.shadow;

/** Lengths by square roots alone, which are the same to the last digit everywhere; {@link Math#hypot} need not be, and what is fitted to a line by hand follows from comparing lengths. */
final class Length {

    private Length() {}

    static double of(double dx, double dy) {
        return Math.sqrt(dx * dx + dy * dy);
    }
}
