package stillpond.core.render;

import java.util.stream.IntStream;
import stillpond.core.cell.CellPlane;
import stillpond.core.ink.InkPlane;
import stillpond.core.ink.Picture;
import stillpond.core.stroke.StrokeMap;

/**
 * A layer made small once, so that its picture can be painted again after every fill for next to nothing.
 *
 * @param cells the cell in the middle of each block of pixels that became one
 * @param ink the mean density of the block
 */
public record SmallSheet(CellPlane cells, InkPlane ink) {

    /** Makes a layer so small that its long side has {@code longSidePx} pixels; a smaller one stays as it is. */
    public static SmallSheet of(CellPlane cells, InkPlane ink, int longSidePx) {
        int longSide = Math.max(cells.widthPx(), cells.heightPx());
        if (longSide <= longSidePx) {
            return new SmallSheet(cells, ink);
        }
        Scale scale = new Scale(cells.widthPx(), cells.heightPx(), longSidePx / (double) longSide);
        int[] numbers = new int[scale.smallWidth() * scale.smallHeight()];
        byte[] density = new byte[numbers.length];
        IntStream.range(0, scale.smallHeight()).parallel().forEach(y -> {
            for (int x = 0; x < scale.smallWidth(); x++) {
                int i = y * scale.smallWidth() + x;
                numbers[i] = cells.numberAt(scale.middleX(x), scale.middleY(y));
                density[i] = (byte) scale.mean(ink, x, y);
            }
        });
        return new SmallSheet(
                new CellPlane(scale.smallWidth(), scale.smallHeight(), numbers),
                new InkPlane(scale.smallWidth(), scale.smallHeight(), density, ink.threshold()));
    }

    /** The stroke in the middle of each block of pixels that becomes one. @param longSidePx as of {@link #of} */
    public static StrokeMap strokesOf(StrokeMap map, int longSidePx) {
        int longSide = Math.max(map.pageWidthPx(), map.pageHeightPx());
        Scale scale = new Scale(map.pageWidthPx(), map.pageHeightPx(), Math.min(1, longSidePx / (double) longSide));
        int[] numbers = new int[scale.smallWidth() * scale.smallHeight()];
        for (int y = 0, i = 0; y < scale.smallHeight(); y++) {
            for (int x = 0; x < scale.smallWidth(); x++, i++) {
                numbers[i] = map.strokeAt(scale.middleX(x), scale.middleY(y));
            }
        }
        CellPlane plane = new CellPlane(scale.smallWidth(), scale.smallHeight(), numbers);
        return new StrokeMap(plane.widthPx(), plane.heightPx(), plane, map.solids());
    }

    public Picture paint(CellColours colours, InkColours inkColours) {
        return SheetPainter.composed(cells, ink, colours, inkColours);
    }

    /** As {@link SheetPainter#overOthers}. */
    public Picture paintOverOthers(CellColours colours, InkColours inkColours) {
        return SheetPainter.overOthers(cells, ink, colours, inkColours);
    }

    private record Scale(int width, int height, double factor) {

        int smallWidth() {
            return Math.max(1, (int) Math.round(width * factor));
        }

        int smallHeight() {
            return Math.max(1, (int) Math.round(height * factor));
        }

        private int startX(int x) {
            return (int) ((long) x * width / smallWidth());
        }

        private int startY(int y) {
            return (int) ((long) y * height / smallHeight());
        }

        int middleX(int x) {
            return (startX(x) + startX(x + 1)) / 2;
        }

        int middleY(int y) {
            return (startY(y) + startY(y + 1)) / 2;
        }

        int mean(InkPlane ink, int x, int y) {
            long sum = 0;
            for (int row = startY(y); row < startY(y + 1); row++) {
                for (int column = startX(x); column < startX(x + 1); column++) {
                    sum += ink.density()[row * width + column] & 0xff;
                }
            }
            int pixels = (startX(x + 1) - startX(x)) * (startY(y + 1) - startY(y));
            return (int) ((sum + pixels / 2) / pixels);
        }
    }
}
