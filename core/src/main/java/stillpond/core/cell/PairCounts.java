package stillpond.core.cell;

import java.util.Arrays;

/** How often each ordered pair of whole numbers was counted, without boxing: an open-addressing hash table. */
public final class PairCounts {

    /** Receives one pair and its count. */
    public interface Receiver {
        void pair(int first, int second, long count);
    }

    private static final long FREE = -1;

    private long[] keys = freeKeys(1024);
    private long[] counts = new long[1024];
    private int size;

    /** Along a border the same pair comes again and again. */
    private int lastSlot;

    /** Counts a pair {@code times} more; both numbers are 0 or more. */
    public void add(int first, int second, long times) {
        long key = (long) first << 32 | second;
        if (keys[lastSlot] == key) {
            counts[lastSlot] += times;
            return;
        }
        int slot = slot(keys, key);
        lastSlot = slot;
        if (keys[slot] == FREE) {
            keys[slot] = key;
            size++;
        }
        counts[slot] += times;
        if (size * 2 > keys.length) {
            grow();
        }
    }

    /** How many different pairs there are. */
    public int size() {
        return size;
    }

    /** In no order that means anything. */
    public void forEach(Receiver receiver) {
        for (int i = 0; i < keys.length; i++) {
            if (keys[i] != FREE) {
                receiver.pair((int) (keys[i] >>> 32), (int) keys[i], counts[i]);
            }
        }
    }

    private void grow() {
        long[] oldKeys = keys;
        long[] oldCounts = counts;
        keys = freeKeys(oldKeys.length * 2);
        counts = new long[keys.length];
        lastSlot = 0;
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
        int slot = (int) (key * 0x9E3779B97F4A7C15L >>> 32) & mask;
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
}
