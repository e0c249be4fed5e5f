package stillpond.core.cell;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;

/** Counts the pixel edges between neighbours in one pass over the plane. */
final class BorderCounter {

    private static final long FREE = -1;

    private long[] keys = freeKeys(1024);
    private int[] counts = new int[1024];
    private int size;

    private BorderCounter() {}

    static List<Border> count(CellPlane plane) {
        BorderCounter counter = new BorderCounter();
        int width = plane.widthPx();
        int[] numbers = plane.numbers();
        for (int y = 0, i = 0; y < plane.heightPx(); y++) {
            boolean lastRow = y == plane.heightPx() - 1;
            for (int x = 0; x < width; x++, i++) {
                int cell = numbers[i];
                if (x < width - 1 && numbers[i + 1] != cell) {
                    counter.countEdge(cell, numbers[i + 1]);
                }
                if (!lastRow && numbers[i + width] != cell) {
                    counter.countEdge(cell, numbers[i + width]);
                }
            }
        }
        return counter.borders();
    }

    private void countEdge(int a, int b) {
        long key = (long) Math.min(a, b) << 32 | Math.max(a, b);
        int slot = slot(keys, key);
        if (keys[slot] == FREE) {
            keys[slot] = key;
            size++;
        }
        counts[slot]++;
        if (size * 2 > keys.length) {
            grow();
        }
    }

    private void grow() {
        long[] oldKeys = keys;
        int[] oldCounts = counts;
        keys = freeKeys(oldKeys.length * 2);
        counts = new int[keys.length];
        for (int i = 0; i < oldKeys.length; i++) {
            if (oldKeys[i] != FREE) {
                int slot = slot(keys, oldKeys[i]);
                keys[slot] = oldKeys[i];
                counts[slot] = oldCounts[i];
            }
        }
    }

    private static int slot(long[] keys, long key) {
        int mask = keys.length - 1;
        int slot = (int) (key * 0x9E3779B97F4A7C15L >>> 40) & mask;
        while (keys[slot] != FREE && keys[slot] != key) {
            slot = slot + 1 & mask;
        }
        return slot;
    }

    private static long[] freeKeys(int length) {
        long[] keys = new long[length];
        Arrays.fill(keys, FREE);
        return keys;
    }

    private List<Border> borders() {
        List<Border> borders = new ArrayList<>(size);
        for (int i = 0; i < keys.length; i++) {
            if (keys[i] != FREE) {
                borders.add(new Border((int) (keys[i] >>> 32), (int) keys[i], counts[i]));
            }
        }
        borders.sort(Comparator.comparingInt(Border::first).thenComparingInt(Border::second));
        return borders;
    }
}
