package stillpond.core.ink;

import stillpond.core.refusal.Refusal;

/**
 * Decoded pixels: sRGB with straight (not premultiplied) alpha, packed 0xAARRGGBB, row by row from the top left.
 *
 * <p>Owns its array; whoever is handed {@link #argb()} reads it and does not write.
 */
public final class Picture {

    private final int widthPx;
    private final int heightPx;
    private final int[] argb;

    /** @throws Refusal if the size is not positive or the array has not one entry a pixel */
    public Picture(int widthPx, int heightPx, int[] argb) {
        PlaneSize.require(widthPx, heightPx, argb.length);
        this.widthPx = widthPx;
        this.heightPx = heightPx;
        this.argb = argb;
    }

    public int widthPx() {
        return widthPx;
    }

    public int heightPx() {
        return heightPx;
    }

    /** All pixels, row by row; the array itself, not a copy. */
    public int[] argb() {
        return argb;
    }

    public int argbAt(int x, int y) {
        return argb[y * widthPx + x];
    }
}
