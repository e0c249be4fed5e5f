package stillpond.core.ink;

import stillpond.core.refusal.Refusal;

/** The one rule that every plane of pixels keeps: a positive size, and an entry for each pixel. */
public final class PlaneSize {

    private PlaneSize() {}

    /** @throws Refusal naming the offending numbers */
    public static void require(int widthPx, int heightPx, int entries) {
        if (widthPx < 1 || heightPx < 1) {
            throw new Refusal("A plane is at least 1 x 1 pixels, not " + widthPx + " x " + heightPx + ".");
        }
        if ((long) widthPx * heightPx != entries) {
            throw new Refusal("A plane of " + widthPx + " x " + heightPx + " pixels has not " + entries + " entries.");
        }
    }
}
