package stillpond.core.handon;

import java.util.Optional;
import stillpond.core.cell.Box;
import stillpond.core.ink.Picture;

/** Parts of pictures. */
public final class Cropped {

    private Cropped() {}

    /** What lies in a box, which lies within the picture. */
    public static Picture of(Picture picture, Box box) {
        int[] argb = new int[box.widthPx() * box.heightPx()];
        for (int y = 0; y < box.heightPx(); y++) {
            System.arraycopy(
                    picture.argb(),
                    (box.yStart() + y) * picture.widthPx() + box.xStart(),
                    argb,
                    y * box.widthPx(),
                    box.widthPx());
        }
        return new Picture(box.widthPx(), box.heightPx(), argb);
    }

    /** The smallest box around all that is not clear; empty if all is. */
    public static Optional<Box> laid(Picture picture) {
        int left = picture.widthPx();
        int right = -1;
        int top = -1;
        int bottom = -1;
        int[] argb = picture.argb();
        for (int y = 0, i = 0; y < picture.heightPx(); y++) {
            for (int x = 0; x < picture.widthPx(); x++, i++) {
                if (argb[i] >>> 24 != 0) {
                    left = Math.min(left, x);
                    right = Math.max(right, x);
                    top = top < 0 ? y : top;
                    bottom = y;
                }
            }
        }
        return right < 0 ? Optional.empty() : Optional.of(new Box(left, top, right + 1, bottom + 1));
    }
}
