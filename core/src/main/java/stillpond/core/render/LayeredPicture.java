package stillpond.core.render;

import java.util.Arrays;
import java.util.function.IntBinaryOperator;
import java.util.stream.IntStream;
import stillpond.core.ink.Picture;

/** A page onto which layers are laid one after the other, the one at the back first. What of them lies beside the page is cut off. */
public final class LayeredPicture {

    private static final int WHITE = 0xffffffff;
    private static final int OPAQUE = 255;

    private final int widthPx;
    private final int heightPx;
    private final int[] argb;

    private LayeredPicture(int widthPx, int heightPx, int background) {
        this.widthPx = widthPx;
        this.heightPx = heightPx;
        this.argb = new int[widthPx * heightPx];
        if (background != 0) {
            Arrays.fill(argb, background);
        }
    }

    public static LayeredPicture onPaper(int widthPx, int heightPx) {
        return new LayeredPicture(widthPx, heightPx, WHITE);
    }

    public static LayeredPicture onClear(int widthPx, int heightPx) {
        return new LayeredPicture(widthPx, heightPx, 0);
    }

    /**
     * Lays a layer over what is there.
     *
     * @param opacityPercent 0 to 100
     * @param xPx where its left edge lies on the page, as {@code yPx} its upper one
     */
    public void lay(Picture layer, int opacityPercent, int xPx, int yPx) {
        with(layer, xPx, yPx, (over, there) -> Over.of(Over.faint(over, opacityPercent), there));
    }

    /** Takes away what lies under a layer, as far as that is opaque (destination-out of Porter and Duff). The parameters are those of {@link #lay}. */
    public void erase(Picture layer, int opacityPercent, int xPx, int yPx) {
        with(layer, xPx, yPx, (over, there) -> {
            int left = OPAQUE - (Over.faint(over, opacityPercent) >>> 24);
            return ((there >>> 24) * left + OPAQUE / 2) / OPAQUE << 24 | there & 0xffffff;
        });
    }

    /** @param act what becomes of a pixel of the layer and of what is there */
    private void with(Picture layer, int xPx, int yPx, IntBinaryOperator act) {
        int from = Math.max(0, xPx);
        int to = Math.min(widthPx, xPx + layer.widthPx());
        IntStream.range(Math.max(0, yPx), Math.max(0, Math.min(heightPx, yPx + layer.heightPx())))
                .parallel()
                .forEach(y -> {
                    int there = (y - yPx) * layer.widthPx() - xPx;
                    for (int x = from, i = y * widthPx + from; x < to; x++, i++) {
                        argb[i] = act.applyAsInt(layer.argb()[there + x], argb[i]);
                    }
                });
    }

    /** The page as it is now; laying more on it changes this picture too. */
    public Picture picture() {
        return new Picture(widthPx, heightPx, argb);
    }
}
