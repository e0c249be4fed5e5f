package stillpond.core.format;

import java.util.Locale;
import stillpond.core.refusal.Refusal;

/**
 * How large a picture may be; checked against what the file declares, before anything is decoded.
 *
 * @param maxBytes size of the file
 * @param maxPixels width times height
 * @param maxSidePx the longer side
 * @param vectorLongSidePx how long the longer side of a vector drawing is made
 */
public record ImageLimits(long maxBytes, long maxPixels, int maxSidePx, int vectorLongSidePx) {

    /** Room for A3 at 1200 dpi, and for a 2 m strip at 300 dpi. */
    public static final ImageLimits DEFAULT = new ImageLimits(200L << 20, 300_000_000L, 32_000, 3000);

    public ImageLimits {
        if (vectorLongSidePx < 1 || vectorLongSidePx > maxSidePx) {
            throw new Refusal(
                    "A vector drawing is drawn 1 to " + maxSidePx + " pixels long, not " + vectorLongSidePx + ".");
        }
    }

    public ImageLimits withVectorLongSide(int longSidePx) {
        return new ImageLimits(maxBytes, maxPixels, maxSidePx, longSidePx);
    }

    void requireBytes(long bytes) {
        if (bytes == 0) {
            throw new UnreadableFile("The file is empty.");
        }
        if (bytes > maxBytes) {
            throw new UnreadableFile(String.format(
                    Locale.ROOT, "The file has %.1f MB; up to %d MB can be read.", bytes / 1048576.0, maxBytes >> 20));
        }
    }

    /** A page with nothing on it at all has about so many pixels to a byte in the tightest of formats; line art has a hundredth. */
    private static final long MOST_PIXELS_TO_A_BYTE = 2000;

    /** Smaller ones cost little, whatever they claim. */
    private static final long SMALL_PX = 25_000_000;

    /** Refuses a few bytes that claim to be a very large picture: taking it in would take the server long, and show nothing. */
    void requireContent(long widthPx, long heightPx, long bytes) {
        long pixels = widthPx * heightPx;
        if (pixels > SMALL_PX && pixels / MOST_PIXELS_TO_A_BYTE > bytes) {
            throw new UnreadableFile(String.format(
                    Locale.ROOT,
                    "The picture says it is %d x %d pixels, but has only %.0f kB: there is nothing drawn on it.",
                    widthPx,
                    heightPx,
                    bytes / 1024.0));
        }
    }

    void requireSize(long widthPx, long heightPx) {
        if (widthPx > maxSidePx || heightPx > maxSidePx || widthPx * heightPx > maxPixels) {
            throw new UnreadableFile(String.format(
                    Locale.ROOT,
                    "The picture says it is %d x %d pixels; up to %d pixels a side and %d megapixels in all can be read.",
                    widthPx,
                    heightPx,
                    maxSidePx,
                    maxPixels / 1_000_000));
        }
    }
}
