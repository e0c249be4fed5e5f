package stillpond.core.fill;

/**
 * What can wear a fill on a layer: a cell, by its number from 0 on, or a stroke of the ink, by the numbers from -1 down. So one change, one log and one table hold what both wear.
 */
public final class Places {

    private Places() {}

    /** @param stroke its number in its map, from 0 */
    public static int ofStroke(int stroke) {
        return -1 - stroke;
    }

    public static boolean isStroke(int place) {
        return place < 0;
    }

    /** The number of a stroke in its map. */
    public static int stroke(int place) {
        return -1 - place;
    }
}
