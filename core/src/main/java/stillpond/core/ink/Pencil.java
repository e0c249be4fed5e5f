package stillpond.core.ink;

/** Coloured under-drawing that is to be dropped: pencils of the pale blue or red that printers' cameras did not see. */
public enum Pencil {
    NONE,
    BLUE,
    RED;

    /**
     * The lightness that a pixel would have without this pencil, 0 to 255. A pencil reflects light of its own colour nearly as paper does,
     * so that channel alone hardly sees it; what is left is lifted by half of how far the pixel leans to the pencil's colour. Ink is dark in every
     * channel and leans nowhere.
     */
    int lightnessWithout(int red, int green, int blue) {
        return switch (this) {
            case NONE -> throw new IllegalStateException("There is no pencil to drop.");
            case BLUE -> lifted(blue, Math.min(red, green));
            case RED -> lifted(red, Math.min(green, blue));
        };
    }

    private static int lifted(int own, int lowestOther) {
        return Math.min(255, own + Math.max(0, own - lowestOther) / 2);
    }
}
