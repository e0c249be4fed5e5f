package stillpond.core.render;

import java.util.stream.IntStream;
import stillpond.core.ink.Picture;

/** Pictures made smaller by a whole factor. */
public final class Shrunk {

    private Shrunk() {}

    /** So small that no side has more than {@code longSidePx} pixels; each is the mean of a square of pixels, by their opacity. A smaller picture stays as it is. */
    public static Picture to(Picture picture, int longSidePx) {
        int factor = factor(picture.widthPx(), picture.heightPx(), longSidePx);
        if (factor == 1) {
            return picture;
        }
        int width = (picture.widthPx() + factor - 1) / factor;
        int height = (picture.heightPx() + factor - 1) / factor;
        int[] argb = new int[width * height];
        IntStream.range(0, height).parallel().forEach(y -> {
            for (int x = 0; x < width; x++) {
                argb[y * width + x] = mean(picture, x * factor, y * factor, factor);
            }
        });
        return new Picture(width, height, argb);
    }

    /** By how much a page is shrunk. */
    public static int factor(int widthPx, int heightPx, int longSidePx) {
        return (Math.max(widthPx, heightPx) + longSidePx - 1) / longSidePx;
    }

    private static int mean(Picture picture, int left, int top, int side) {
        long alpha = 0;
        long red = 0;
        long green = 0;
        long blue = 0;
        int right = Math.min(picture.widthPx(), left + side);
        int bottom = Math.min(picture.heightPx(), top + side);
        for (int y = top; y < bottom; y++) {
            for (int x = left; x < right; x++) {
                int each = picture.argbAt(x, y);
                int opacity = each >>> 24;
                alpha += opacity;
                red += (long) (each >> 16 & 0xff) * opacity;
                green += (long) (each >> 8 & 0xff) * opacity;
                blue += (long) (each & 0xff) * opacity;
            }
        }
        if (alpha == 0) {
            return 0;
        }
        int pixels = (right - left) * (bottom - top);
        return (int) ((alpha + pixels / 2) / pixels) << 24
                | (int) ((red + alpha / 2) / alpha) << 16
                | (int) ((green + alpha / 2) / alpha) << 8
                | (int) ((blue + alpha / 2) / alpha);
    }
}
