package stillpond.core.handon;

import java.util.Set;
import java.util.stream.IntStream;
import stillpond.core.ink.Picture;
import stillpond.core.refusal.Refusal;

/** Pictures in which some colours are hatched, for eyes that do not tell colours apart as well as for those that do. */
public final class Hatched {

    /** From one line to the next, in widths of a line. */
    private static final int STEP = 6;

    private static final int BLACK = 0xff000000;
    private static final int WHITE = 0xffffffff;
    private static final int RGB = 0xffffff;

    private Hatched() {}

    /**
     * Black lines beside white ones over all that has one of some colours.
     *
     * @param flats of the same size, which tell where these are
     * @param colours as 0xRRGGBB
     * @param linePx how wide a line is, 1 or more
     */
    public static Picture over(Picture picture, Picture flats, Set<Integer> colours, int linePx) {
        if (flats.widthPx() != picture.widthPx() || flats.heightPx() != picture.heightPx()) {
            throw new Refusal("A picture and its flats are of one size.");
        }
        int width = picture.widthPx();
        int[] argb = picture.argb().clone();
        IntStream.range(0, picture.heightPx()).parallel().forEach(y -> {
            for (int x = 0, i = y * width; x < width; x++, i++) {
                int along = (x + y) % (STEP * linePx);
                boolean isLine = along < 2 * linePx;
                if (isLine && flats.argb()[i] >>> 24 == 255 && colours.contains(flats.argb()[i] & RGB)) {
                    argb[i] = along < linePx ? BLACK : WHITE;
                }
            }
        });
        return new Picture(width, picture.heightPx(), argb);
    }
}
