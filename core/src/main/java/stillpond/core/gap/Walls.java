package stillpond.core.gap;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import stillpond.core.ink.InkPlane;

/**
 * The pixels of paper that closures run over, on the page itself.
 *
 * @param pixels those of the first closure in the order of its line, then those of the second, and so on
 * @param closure whose each of them is; a pixel that two run over is there twice
 */
record Walls(int[] pixels, int[] closure) {

    static Walls of(InkPlane page, SearchPage search, List<Closure> closures) {
        int[] pixels = new int[1024];
        int[] closure = new int[1024];
        int[] count = {0};
        List<int[]> grown = new ArrayList<>(List.of(pixels, closure));
        for (int number = 0; number < closures.size(); number++) {
            int owner = number;
            List<Point> line = Pieces.onPage(closures.get(number).line(), search.scale());
            LineRaster.forEach(line, page.widthPx(), page.heightPx(), pixel -> {
                if (!page.isInk(pixel)) {
                    if (count[0] == grown.get(0).length) {
                        grown.replaceAll(array -> Arrays.copyOf(array, array.length * 2));
                    }
                    grown.get(0)[count[0]] = pixel;
                    grown.get(1)[count[0]++] = owner;
                }
            });
        }
        return new Walls(Arrays.copyOf(grown.get(0), count[0]), Arrays.copyOf(grown.get(1), count[0]));
    }

    /** The wall pixels of one closure, in the order of its line. */
    int[] of(int number) {
        return Arrays.copyOfRange(pixels, lowerBound(number), lowerBound(number + 1));
    }

    private int lowerBound(int number) {
        int low = 0;
        int high = closure.length;
        while (low < high) {
            int middle = (low + high) >>> 1;
            if (closure[middle] < number) {
                low = middle + 1;
            } else {
                high = middle;
            }
        }
        return low;
    }
}
