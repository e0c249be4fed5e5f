package stillpond.core.shadow;

/** Smooth noise out of whole numbers, the same on every machine. */
final class Specks {

    /** What is below this much of the noise shows nothing, what is above so much more shows wholly. */
    private static final double FROM = 0.5;

    private static final double TO = 0.62;
    private static final int OCTAVES = 3;

    private final double sizePx;
    private final int seed;

    Specks(double sizePx, int seed) {
        this.sizePx = Math.max(1, sizePx);
        this.seed = seed;
    }

    /** How much of a pixel is covered, 0 to 255: the mean of some octaves of noise. */
    int at(int x, int y) {
        double sum = 0;
        for (int octave = 0; octave < OCTAVES; octave++) {
            double size = sizePx / (1 << octave);
            sum += noise(x / size, y / size, octave);
        }
        double share = Math.max(0, Math.min(1, (sum / OCTAVES - FROM) / (TO - FROM)));
        return (int) (Mask.WHOLE * share + 0.5);
    }

    /** Values at whole places, mixed smoothly between them. */
    private double noise(double x, double y, int octave) {
        int column = (int) Math.floor(x);
        int row = (int) Math.floor(y);
        double across = smooth(x - column);
        double down = smooth(y - row);
        double above = mix(value(column, row, octave), value(column + 1, row, octave), across);
        double below = mix(value(column, row + 1, octave), value(column + 1, row + 1, octave), across);
        return mix(above, below, down);
    }

    /** 0 to 1, from the finalizer of MurmurHash3 (A. Appleby). */
    private double value(int column, int row, int octave) {
        int hash = column * 0x27d4eb2d ^ row * 0x165667b1 ^ (seed * OCTAVES + octave) * 0x9e3779b1;
        hash = (hash ^ hash >>> 16) * 0x85ebca6b;
        hash = (hash ^ hash >>> 13) * 0xc2b2ae35;
        return (hash >>> 16) / 65535.0;
    }

    private static double smooth(double share) {
        return share * share * (3 - 2 * share);
    }

    private static double mix(double from, double to, double share) {
        return from + share * (to - from);
    }
}
