package stillpond.core.fill;

/**
 * What can wear a fill on a layer, as one number: a cell, from 0 on; a stroke of the ink, from -1 down; the width of a stroke, from {@code -2^29} down; a shadow or a rim, from {@code -2^30} down. So one change, one log and one table hold what all of them wear.
 */
public final class Places {

    private static final int FIRST_WIDTH = -(1 << 29);
    private static final int FIRST_SHADOW = -(1 << 30);

    private Places() {}

    public static boolean isCell(int place) {
        return place >= 0;
    }

    /** @param stroke its number in its map, from 0 */
    public static int ofStroke(int stroke) {
        return -1 - stroke;
    }

    public static boolean isStroke(int place) {
        return place < 0 && place > FIRST_WIDTH;
    }

    /** The number of a stroke in its map. */
    public static int stroke(int place) {
        return -1 - place;
    }

    /** Where it is said how much wider a stroke is shown than it was drawn. @param stroke its number in its map */
    public static int ofWidth(int stroke) {
        return FIRST_WIDTH - stroke;
    }

    public static boolean isWidth(int place) {
        return place <= FIRST_WIDTH && place > FIRST_SHADOW;
    }

    /** The number of the stroke whose width it is. */
    public static int strokeOfWidth(int place) {
        return FIRST_WIDTH - place;
    }

    /** @param shadow its number on its layer, from 0 */
    public static int ofShadow(int shadow) {
        return FIRST_SHADOW - shadow;
    }

    public static boolean isShadow(int place) {
        return place <= FIRST_SHADOW;
    }

    /** The number of a shadow on its layer. */
    public static int shadow(int place) {
        return FIRST_SHADOW - place;
    }
}
