package stillpond.core.render;

import java.util.stream.IntStream;
import stillpond.core.blockin.Reference;
import stillpond.core.colour.ValueSteps;
import stillpond.core.gap.Point;
import stillpond.core.ink.Picture;

/** A reference picture over a painted sheet, as the desk shows it, for those who ask for it in a file. */
public final class ReferenceOver {

    private ReferenceOver() {}

    /**
     * @param reference the picture that is laid, in its own size; it is seen even where the desk hides it, because it was asked for
     * @return as large as the sheet
     */
    public static Picture painted(Picture sheet, Picture reference, Reference laid) {
        Picture source = inLook(notMuchLarger(reference, laid.scale()), laid);
        double factor = (double) reference.widthPx() / source.widthPx();
        double factorDown = (double) reference.heightPx() / source.heightPx();
        int width = sheet.widthPx();
        int[] argb = new int[sheet.argb().length];
        IntStream.range(0, sheet.heightPx()).parallel().forEach(y -> {
            for (int x = 0; x < width; x++) {
                Point at = laid.onPicture(new Point(x + 0.5, y + 0.5), reference.widthPx(), reference.heightPx());
                int seen = at(source, at.x() / factor, at.y() / factorDown);
                argb[y * width + x] = Over.of(Over.faint(seen, laid.strengthPercent()), sheet.argbAt(x, y));
            }
        });
        return new Picture(width, sheet.heightPx(), argb);
    }

    /** A picture that is shown much smaller is made smaller first, so that no pixel of it is passed over. */
    private static Picture notMuchLarger(Picture picture, double scale) {
        int factor = (int) Math.max(1, Math.floor(1 / scale));
        int longSide = Math.max(picture.widthPx(), picture.heightPx());
        return Shrunk.to(picture, (longSide + factor - 1) / factor);
    }

    private static Picture inLook(Picture picture, Reference laid) {
        return switch (laid.look()) {
            case COLOURS -> picture;
            case GREYS -> new Picture(picture.widthPx(), picture.heightPx(), ValueSteps.grey(picture.argb()));
            case VALUES ->
                new Picture(picture.widthPx(), picture.heightPx(), ValueSteps.flattened(picture.argb(), laid.values()));
        };
    }

    /** Between the four pixels around a place, by how near they are and how opaque; clear beside the picture. */
    private static int at(Picture picture, double x, double y) {
        if (!(x >= 0 && y >= 0 && x < picture.widthPx() && y < picture.heightPx())) {
            return 0;
        }
        int left = (int) Math.floor(x - 0.5);
        int top = (int) Math.floor(y - 0.5);
        double alpha = 0;
        double red = 0;
        double green = 0;
        double blue = 0;
        for (int tap = 0; tap < 4; tap++) {
            int px = left + (tap & 1);
            int py = top + (tap >> 1);
            double near = (1 - Math.abs(x - 0.5 - px)) * (1 - Math.abs(y - 0.5 - py));
            int pixel = picture.argbAt(within(px, picture.widthPx()), within(py, picture.heightPx()));
            double weight = near * (pixel >>> 24);
            alpha += weight;
            red += weight * (pixel >> 16 & 0xff);
            green += weight * (pixel >> 8 & 0xff);
            blue += weight * (pixel & 0xff);
        }
        return alpha <= 0
                ? 0
                : (int) Math.round(alpha) << 24
                        | (int) Math.round(red / alpha) << 16
                        | (int) Math.round(green / alpha) << 8
                        | (int) Math.round(blue / alpha);
    }

    private static int within(int place, int length) {
        return Math.max(0, Math.min(length - 1, place));
    }
}
