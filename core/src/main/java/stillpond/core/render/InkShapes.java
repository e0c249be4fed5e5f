package stillpond.core.render;

import java.util.LinkedHashMap;
import java.util.Map;
import stillpond.core.cell.CellPlane;
import stillpond.core.ink.InkPlane;

/**
 * Ink as shapes with hard edges: what is more ink than paper.
 *
 * @param plane 0 where there is none, or else one more than the place of its colour in {@code argb}
 * @param argb the colours of the ink, as 0xFFRRGGBB
 */
public record InkShapes(CellPlane plane, int[] argb) {

    private static final int HALF = 128;

    /** @param colours with a hard meeting, or there are as many as there are pixels where two of them meet */
    public static InkShapes of(InkPlane ink, InkColours colours) {
        int width = ink.widthPx();
        byte[] density = ink.density();
        int[] numbers = new int[density.length];
        Map<Integer, Integer> known = new LinkedHashMap<>();
        for (int i = 0; i < numbers.length; i++) {
            if (density[i] != 0) {
                int x = i % width;
                int y = i / width;
                if (colours.coverage(x, y, density[i] & 0xff) >= HALF) {
                    numbers[i] = known.computeIfAbsent(colours.argbAt(x, y), any -> known.size() + 1);
                }
            }
        }
        int[] argb = known.keySet().stream().mapToInt(Integer::intValue).toArray();
        return new InkShapes(new CellPlane(width, ink.heightPx(), numbers), argb);
    }
}
