package stillpond.core.shadow;

import java.util.Arrays;
import java.util.BitSet;
import java.util.Set;
import java.util.TreeSet;

/**
 * What shadows cut cells into: numbers for each stack of shadows that lies on a cell. Numbers below the first piece are the cells, bare; every other one is a number below it with one more shadow on top.
 *
 * <p>Numbers stay as they are while shadows are moved about, so colours worked out for them do too.
 */
public final class Pieces {

    /** So many steps of covering are told apart. Levels above mean that the shadow lies under its base by so much. */
    public static final int LEVELS = 16;

    private static final int PLANE_OF_TWO_BYTES = 65_536;
    private static final int MOST = 1 << 18;

    private final int first;
    private final int most;
    private int count;
    private int[] parents = new int[256];
    private int[] shadows = new int[256];
    private byte[] levels = new byte[256];
    private Branch[] branches;
    private boolean isFull;

    /** The pieces that lie on one number under one shadow. */
    private static final class Branch {
        private final int shadow;
        private final int[] byLevel = new int[2 * LEVELS + 1];
        private final Branch next;

        Branch(int shadow, Branch next) {
            this.shadow = shadow;
            this.next = next;
        }
    }

    /** @param cells how many cells the layer has */
    public Pieces(int cells) {
        this(cells, 0);
    }

    /** @param reserve for so many cells more, into which dams drawn by hand may cut others, numbers are left */
    public Pieces(int cells, int reserve) {
        this.first = cells + reserve;
        this.count = first;
        this.most = keepsToTwoBytes(cells) ? PLANE_OF_TWO_BYTES : first + MOST;
        this.branches = new Branch[first + 256];
    }

    /** The number of the first piece. */
    public int first() {
        return first;
    }

    /** Whether the numbers of all pieces of a layer fit into two bytes, whatever lies on it. */
    public static boolean keepsToTwoBytes(int cells) {
        return cells <= PLANE_OF_TWO_BYTES / 2;
    }

    /** The number for what has a number already, under one more shadow; the same if there are too many. */
    int under(int number, int shadow, int level) {
        Branch branch = branches[number];
        while (branch != null && branch.shadow != shadow) {
            branch = branch.next;
        }
        if (branch == null) {
            branch = new Branch(shadow, branches[number]);
            branches[number] = branch;
        }
        if (branch.byLevel[level] == 0) {
            if (count == most) {
                isFull = true;
                return number;
            }
            branch.byLevel[level] = add(number, shadow, level);
        }
        return branch.byLevel[level];
    }

    private int add(int parent, int shadow, int level) {
        int index = count - first;
        if (index == parents.length) {
            parents = Arrays.copyOf(parents, 2 * index);
            shadows = Arrays.copyOf(shadows, 2 * index);
            levels = Arrays.copyOf(levels, 2 * index);
        }
        if (count == branches.length) {
            branches = Arrays.copyOf(branches, count + Math.max(256, index));
        }
        parents[index] = parent;
        shadows[index] = shadow;
        levels[index] = (byte) level;
        return count++;
    }

    /** How many numbers there are, cells included. */
    public int count() {
        return count;
    }

    /** Whether more stacks of shadows were asked for than there are numbers for: some of them are not shown. */
    public boolean isFull() {
        return isFull;
    }

    /** What lies under the topmost shadow of a piece: a cell, or another piece. */
    public int parent(int piece) {
        return parents[piece - first];
    }

    /** The number of the topmost shadow of a piece. */
    public int shadow(int piece) {
        return shadows[piece - first];
    }

    /** The numbers of the shadows that lie on some cells. */
    public Set<Integer> shadowsOn(Set<Integer> cells) {
        BitSet on = new BitSet(count);
        cells.stream().filter(cell -> cell < first).forEach(on::set);
        Set<Integer> numbers = new TreeSet<>();
        for (int piece = first; piece < count; piece++) {
            if (on.get(parent(piece))) {
                on.set(piece);
                numbers.add(shadow(piece));
            }
        }
        return numbers;
    }

    /** How much of that covers the piece. */
    public int level(int piece) {
        return levels[piece - first];
    }
}
