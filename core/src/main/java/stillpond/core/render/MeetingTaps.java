package stillpond.core.render;

/**
 * Where the colour of ink is looked up so that two colours that meet run into each other: the mean of these places is taken. They lie on a sunflower's spiral, which covers a disc evenly
 * (Vogel, "A better way to construct the sunflower head", 1979); the disc is as wide as a stroke. The desk's shader takes the same.
 */
public final class MeetingTaps {

    private static final int COUNT = 16;
    private static final double GOLDEN_ANGLE = Math.PI * (3 - Math.sqrt(5));

    private MeetingTaps() {}

    /** Steps across and down from a pixel, in pixels, rounded. @param strokePx how wide a stroke is */
    static int[][] around(double strokePx) {
        double[] unit = inUnitDisc();
        int[][] taps = new int[COUNT][];
        for (int i = 0; i < COUNT; i++) {
            taps[i] = new int[] {
                (int) Math.round(unit[2 * i] * strokePx / 2), (int) Math.round(unit[2 * i + 1] * strokePx / 2)
            };
        }
        return taps;
    }

    /** The same in a disc of radius 1: across, then down, one after the other. */
    public static double[] inUnitDisc() {
        double[] places = new double[2 * COUNT];
        for (int i = 0; i < COUNT; i++) {
            double radius = Math.sqrt((i + 0.5) / COUNT);
            places[2 * i] = radius * Math.cos(i * GOLDEN_ANGLE);
            places[2 * i + 1] = radius * Math.sin(i * GOLDEN_ANGLE);
        }
        return places;
    }
}
