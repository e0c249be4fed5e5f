package stillpond.core.ink;

import stillpond.core.refusal.Refusal;

/**
 * How much ink lies on each pixel, and from which density on a pixel is ink.
 *
 * <p>Owns its array; whoever is handed {@link #density()} reads it and does not write.
 */
public final class InkPlane {

    private final int widthPx;
    private final int heightPx;
    private final byte[] density;
    private final int threshold;

    /**
     * @param density unsigned, 0 (paper) to 255 (full ink), row by row
     * @param threshold 1 to 255: a pixel of this density or more is ink
     */
    public InkPlane(int widthPx, int heightPx, byte[] density, int threshold) {
        PlaneSize.require(widthPx, heightPx, density.length);
        if (threshold < 1 || threshold > 255) {
            throw new Refusal("An ink threshold is 1 to 255, not " + threshold + ".");
        }
        this.widthPx = widthPx;
        this.heightPx = heightPx;
        this.density = density;
        this.threshold = threshold;
    }

    public int widthPx() {
        return widthPx;
    }

    public int heightPx() {
        return heightPx;
    }

    /** Densities as unsigned bytes, row by row; the array itself, not a copy. */
    public byte[] density() {
        return density;
    }

    public int threshold() {
        return threshold;
    }

    /** Whether the pixel at {@code y * widthPx + x} is ink. */
    public boolean isInk(int index) {
        return (density[index] & 0xff) >= threshold;
    }

    /** How many pixels are ink. */
    public int inkPixels() {
        int count = 0;
        for (byte each : density) {
            if ((each & 0xff) >= threshold) {
                count++;
            }
        }
        return count;
    }
}
