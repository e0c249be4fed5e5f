package stillpond.core.render;

import java.util.function.IntBinaryOperator;
import java.util.stream.IntStream;
import stillpond.core.cell.CellPlane;
import stillpond.core.ink.InkPlane;
import stillpond.core.ink.Picture;
import stillpond.core.refusal.Refusal;

/** Paints one layer. */
public final class SheetPainter {

    private static final int WHITE = 0xffffffff;

    private SheetPainter() {}

    /**
     * The flats alone: no ink shows and no edge is antialiased. A flat fill has exactly its colour in every pixel, a pattern those of its
     * swatches, a gradient all of its own; where a fill is not opaque, neither is the picture.
     */
    public static Picture flats(CellPlane cells, CellColours colours) {
        return paint(cells, (i, colour) -> colour, colours.hardEdged());
    }

    /** What {@code cells} show and nothing else, as it is: for layers that others lay over something. */
    public static Picture layer(CellPlane cells, CellColours colours) {
        return paint(cells, (i, colour) -> colour, colours);
    }

    /** The ink alone, on clear paper. */
    public static Picture ink(InkPlane ink, InkColours inkColours) {
        int width = ink.widthPx();
        byte[] density = ink.density();
        int[] argb = new int[density.length];
        IntStream.range(0, ink.heightPx()).parallel().forEach(y -> {
            for (int x = 0, i = y * width; x < width; x++, i++) {
                if (density[i] != 0) {
                    int coverage = inkColours.coverage(x, y, density[i] & 0xff);
                    argb[i] = inkColours.argbAt(x, y) & 0xffffff | coverage << 24;
                }
            }
        });
        return new Picture(width, ink.heightPx(), argb);
    }

    /** The sheet as it looks: ink over flats over white paper, blended in gamma-encoded sRGB as the ink was drawn. */
    public static Picture composed(CellPlane cells, InkPlane ink, CellColours colours, InkColours inkColours) {
        requireSameSize(cells, ink);
        byte[] density = ink.density();
        int width = cells.widthPx();
        return paint(
                cells,
                (i, colour) -> {
                    int under = 0xff000000 | overPaper(colour);
                    if (density[i] == 0) {
                        return under;
                    }
                    int x = i % width;
                    int y = i / width;
                    return underInk(under, inkColours.argbAt(x, y), inkColours.coverage(x, y, density[i] & 0xff));
                },
                colours);
    }

    /** A layer as it lies over others: ink over flats, clear where it has neither. */
    public static Picture overOthers(CellPlane cells, InkPlane ink, CellColours colours, InkColours inkColours) {
        requireSameSize(cells, ink);
        byte[] density = ink.density();
        int width = cells.widthPx();
        return paint(
                cells,
                (i, colour) -> {
                    if (density[i] == 0) {
                        return colour;
                    }
                    int x = i % width;
                    int y = i / width;
                    int coverage = inkColours.coverage(x, y, density[i] & 0xff);
                    return Over.of(inkColours.argbAt(x, y) & 0xffffff | coverage << 24, colour);
                },
                colours);
    }

    private static void requireSameSize(CellPlane cells, InkPlane ink) {
        if (ink.widthPx() != cells.widthPx() || ink.heightPx() != cells.heightPx()) {
            throw new Refusal("Ink and cells are of different sizes.");
        }
    }

    private static Picture paint(CellPlane cells, IntBinaryOperator finish, CellColours colours) {
        int width = cells.widthPx();
        int[] numbers = cells.numbers();
        int[] argb = new int[numbers.length];
        IntStream.range(0, cells.heightPx()).parallel().forEach(y -> {
            for (int x = 0, i = y * width; x < width; x++, i++) {
                argb[i] = finish.applyAsInt(i, colours.argbOf(numbers[i], x, y));
            }
        });
        return new Picture(width, cells.heightPx(), argb);
    }

    private static int overPaper(int argb) {
        int opacity = argb >>> 24;
        if (opacity == 255) {
            return argb;
        }
        return opacity == 0
                ? WHITE
                : over(argb >> 16 & 0xff, opacity) << 16
                        | over(argb >> 8 & 0xff, opacity) << 8
                        | over(argb & 0xff, opacity);
    }

    private static int over(int channel, int opacity) {
        return (channel * opacity + 255 * (255 - opacity) + 127) / 255;
    }

    private static int underInk(int argb, int ink, int coverage) {
        int red = mix(argb >> 16 & 0xff, ink >> 16 & 0xff, coverage);
        int green = mix(argb >> 8 & 0xff, ink >> 8 & 0xff, coverage);
        int blue = mix(argb & 0xff, ink & 0xff, coverage);
        return 0xff000000 | red << 16 | green << 8 | blue;
    }

    private static int mix(int channel, int ink, int coverage) {
        return (channel * (255 - coverage) + ink * coverage + 127) / 255;
    }
}
