package stillpond.core.cut;

import java.util.Arrays;
import stillpond.core.ink.Picture;
import stillpond.core.shape.Length;

/** A page on white with a border around it, in which the marks are printed that a cutter looks for. */
public final class MarkedPrint {

    private static final int WHITE = 0xffffffff;
    private static final int BLACK = 0xff000000;

    private MarkedPrint() {}

    /** @param mmPerPx how large a pixel of the page is printed */
    public static Picture of(Picture page, double mmPerPx) {
        int border = (int) Math.round(CutMarks.BORDER_MM / mmPerPx);
        int width = page.widthPx() + 2 * border;
        int height = page.heightPx() + 2 * border;
        int[] argb = new int[width * height];
        Arrays.fill(argb, WHITE);
        for (int y = 0; y < page.heightPx(); y++) {
            System.arraycopy(page.argb(), y * page.widthPx(), argb, (y + border) * width + border, page.widthPx());
        }
        for (Spot mark : CutMarks.around(page.widthPx() * mmPerPx, page.heightPx() * mmPerPx)) {
            ring(argb, width, mark.xMm() / mmPerPx, height - mark.yMm() / mmPerPx, mmPerPx);
        }
        return new Picture(width, height, argb);
    }

    private static void ring(int[] argb, int width, double x, double y, double mmPerPx) {
        double outer = CutMarks.RADIUS_MM / mmPerPx;
        double inner = outer - Math.max(1, CutMarks.LINE_MM / mmPerPx);
        int height = argb.length / width;
        for (int row = Math.max(0, (int) (y - outer)); row < Math.min(height, y + outer + 1); row++) {
            for (int column = Math.max(0, (int) (x - outer)); column < Math.min(width, x + outer + 1); column++) {
                double distance = Length.of(column + 0.5 - x, row + 0.5 - y);
                if (distance <= outer && distance >= inner) {
                    argb[row * width + column] = BLACK;
                }
            }
        }
    }
}
