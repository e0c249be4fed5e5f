package stillpond.core.render;

import java.util.function.IntUnaryOperator;
import java.util.stream.IntStream;
import stillpond.core.cell.CellPlane;
import stillpond.core.ink.InkPlane;
import stillpond.core.ink.Picture;

/** Paints one layer. */
public final class SheetPainter {

    private static final int WHITE = 0xffffffff;

    private SheetPainter() {}

    /** The flats alone: every pixel has exactly its cell's colour, or is transparent; nothing is antialiased and no ink shows. */
    public static Picture flats(CellPlane cells, CellColours colours) {
        int[] numbers = cells.numbers();
        return paint(cells, i -> colours.argbOf(numbers[i]));
    }

    /** The sheet as it looks: black ink over flats over white paper, blended in gamma-encoded sRGB as the ink was drawn. */
    public static Picture composed(CellPlane cells, InkPlane ink, CellColours colours) {
        if (ink.widthPx() != cells.widthPx() || ink.heightPx() != cells.heightPx()) {
            throw new IllegalArgumentException("Ink and cells are of different sizes.");
        }
        int[] numbers = cells.numbers();
        byte[] density = ink.density();
        return paint(cells, i -> {
            int colour = colours.argbOf(numbers[i]);
            return underInk(colour == CellColours.CLEAR ? WHITE : colour, density[i] & 0xff);
        });
    }

    private static Picture paint(CellPlane cells, IntUnaryOperator argbOfPixel) {
        int width = cells.widthPx();
        int[] argb = new int[cells.numbers().length];
        IntStream.range(0, cells.heightPx()).parallel().forEach(y -> {
            for (int i = y * width, end = i + width; i < end; i++) {
                argb[i] = argbOfPixel.applyAsInt(i);
            }
        });
        return new Picture(width, cells.heightPx(), argb);
    }

    private static int underInk(int argb, int density) {
        int light = 255 - density;
        int red = dim(argb >> 16 & 0xff, light);
        int green = dim(argb >> 8 & 0xff, light);
        int blue = dim(argb & 0xff, light);
        return 0xff000000 | red << 16 | green << 8 | blue;
    }

    private static int dim(int channel, int light) {
        return (channel * light + 127) / 255;
    }
}
