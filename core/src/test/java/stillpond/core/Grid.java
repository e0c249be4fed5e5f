package stillpond.core;

import java.util.List;
import java.util.stream.IntStream;
import stillpond.core.cell.CellPlane;
import stillpond.core.ink.InkPlane;

/** Small sheets written as text: {@code #} is ink, {@code .} is paper; planes of cells come back as letters. */
public final class Grid {

    private Grid() {}

    public static InkPlane ink(String... rows) {
        int width = rows[0].length();
        byte[] density = new byte[width * rows.length];
        for (int y = 0; y < rows.length; y++) {
            for (int x = 0; x < width; x++) {
                density[y * width + x] = (byte) (rows[y].charAt(x) == '#' ? 255 : 0);
            }
        }
        return new InkPlane(width, rows.length, density, 128);
    }

    public static CellPlane cells(String... rows) {
        int width = rows[0].length();
        int[] numbers = new int[width * rows.length];
        for (int i = 0; i < numbers.length; i++) {
            numbers[i] = rows[i / width].charAt(i % width) - 'a';
        }
        return new CellPlane(width, rows.length, numbers);
    }

    public static List<String> letters(CellPlane plane) {
        StringBuilder all = new StringBuilder();
        for (int number : plane.numbers()) {
            all.append((char) ('a' + number));
        }
        return IntStream.range(0, plane.heightPx())
                .mapToObj(y -> all.substring(y * plane.widthPx(), (y + 1) * plane.widthPx()))
                .toList();
    }
}
