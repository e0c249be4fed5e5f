package stillpond.app.sheet;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Optional;
import stillpond.core.format.PngWriter;
import stillpond.core.format.Resolution;
import stillpond.core.ink.Picture;
import stillpond.core.refusal.Refusal;

/**
 * A page that nothing is drawn on yet.
 *
 * @param pixelsPerInch 36 to 2400
 */
public record BlankPage(int widthPx, int heightPx, int pixelsPerInch) {

    private static final int LEAST_PX = 64;
    /** Larger pages would cost every change on them more than anybody wants to wait. */
    private static final long MOST_PIXELS = 40_000_000;

    private static final int LEAST_DENSE = 36;
    private static final int MOST_DENSE = 2400;
    private static final double METRES_PER_INCH = 0.0254;

    public BlankPage {
        if (widthPx < LEAST_PX || heightPx < LEAST_PX) {
            throw new Refusal("A page is 64 pixels wide and high at the least; this would be " + widthPx + " x "
                    + heightPx + ".");
        }
        if ((long) widthPx * heightPx > MOST_PIXELS) {
            throw new Refusal("A page to block in has up to 40 megapixels; " + widthPx + " x " + heightPx
                    + " is more. Choose fewer pixels an inch; it can be exported larger.");
        }
        if (pixelsPerInch < LEAST_DENSE || pixelsPerInch > MOST_DENSE) {
            throw new Refusal("A page has 36 to 2,400 pixels an inch, not " + pixelsPerInch + ".");
        }
    }

    /** A clear picture of one pixel that says how densely the pixels of the page lie. */
    byte[] file() {
        int perMetre = (int) Math.round(pixelsPerInch / METRES_PER_INCH);
        try (ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            PngWriter.write(new Picture(1, 1, new int[1]), Optional.of(new Resolution(perMetre, perMetre)), out);
            return out.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
