package stillpond.core.cell;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Comparator;
import java.util.List;
import stillpond.core.ink.InkPlane;

/** Splits one cell the obvious way: all of its box is flooded, and then all ink of it. The fast way must come to the same. */
final class NaiveSplit {

    private static final int UNSEEN = -1;

    private final int width;
    private final Box box;
    private final InkPlane ink;
    private final BitSet isWall;
    private final int[] numbers;
    private final int cell;
    /** The part of each pixel of the box, from 0. */
    private final int[] part;

    NaiveSplit(CellMap map, InkPlane ink, BitSet isWall, int[] numbers, int cell) {
        this.width = map.plane().widthPx();
        this.box = map.cells().get(cell).box();
        this.ink = ink;
        this.isWall = isWall;
        this.numbers = numbers;
        this.cell = cell;
        this.part = new int[box.widthPx() * box.heightPx()];
        Arrays.fill(part, UNSEEN);
    }

    /** Renumbers the parts; returns their numbers, that of the cell first. Nothing happens if the wall does not part the cell. */
    List<Integer> splitFrom(int nextNumber) {
        List<Integer> sizes = flood();
        List<Integer> large = new ArrayList<>();
        for (int i = 0; i < sizes.size(); i++) {
            if (sizes.get(i) >= CellMap.MIN_PAPER_PX) {
                large.add(i);
            }
        }
        if (large.size() < 2) {
            return List.of(cell);
        }
        large.sort(Comparator.comparingInt((Integer i) -> -sizes.get(i)).thenComparingInt(i -> i));
        spread(large);
        int[] numberOfPart = new int[sizes.size()];
        List<Integer> parts = new ArrayList<>();
        for (int i = 0; i < large.size(); i++) {
            numberOfPart[large.get(i)] = i == 0 ? cell : nextNumber + i - 1;
            parts.add(numberOfPart[large.get(i)]);
        }
        for (int i = 0; i < part.length; i++) {
            if (part[i] != UNSEEN) {
                numbers[onPage(i)] = numberOfPart[part[i]];
            }
        }
        return parts;
    }

    /** Labels the paper of the cell on all sides of the wall; returns the size of each part. */
    private List<Integer> flood() {
        List<Integer> sizes = new ArrayList<>();
        int[] queue = new int[part.length];
        for (int i = 0; i < part.length; i++) {
            if (part[i] == UNSEEN && isPaper(i)) {
                int number = sizes.size();
                int end = 0;
                part[i] = number;
                queue[end++] = i;
                for (int next = 0; next < end; next++) {
                    for (int side = 0; side < 4; side++) {
                        int beside = beside(queue[next], side);
                        if (beside >= 0 && part[beside] == UNSEEN && isPaper(beside)) {
                            part[beside] = number;
                            queue[end++] = beside;
                        }
                    }
                }
                sizes.add(end);
            }
        }
        return sizes;
    }

    /** Gives wall, ink and crumbs of the cell to the part that reaches them first, step by step from all sides. */
    private void spread(List<Integer> large) {
        int[] queue = new int[part.length];
        int end = 0;
        for (int i = 0; i < part.length; i++) {
            if (part[i] != UNSEEN && !large.contains(part[i])) {
                part[i] = UNSEEN;
            } else if (part[i] != UNSEEN && hasOpenSide(i)) {
                queue[end++] = i;
            }
        }
        for (int next = 0; next < end; next++) {
            for (int side = 0; side < 4; side++) {
                int beside = beside(queue[next], side);
                if (beside >= 0 && part[beside] == UNSEEN && numbers[onPage(beside)] == cell) {
                    part[beside] = part[queue[next]];
                    queue[end++] = beside;
                }
            }
        }
    }

    /** Only pixels at the rim of a part have anything to give; a part that was a crumb may still stand beside. */
    private boolean hasOpenSide(int i) {
        for (int side = 0; side < 4; side++) {
            int beside = beside(i, side);
            if (beside >= 0 && part[beside] != part[i]) {
                return true;
            }
        }
        return false;
    }

    private boolean isPaper(int i) {
        int pixel = onPage(i);
        return numbers[pixel] == cell && !ink.isInk(pixel) && !isWall.get(pixel);
    }

    private int onPage(int i) {
        return (box.yStart() + i / box.widthPx()) * width + box.xStart() + i % box.widthPx();
    }

    private int beside(int i, int side) {
        int x = i % box.widthPx() + (side == 0 ? 1 : side == 1 ? -1 : 0);
        int y = i / box.widthPx() + (side == 2 ? 1 : side == 3 ? -1 : 0);
        return x < 0 || y < 0 || x >= box.widthPx() || y >= box.heightPx() ? -1 : y * box.widthPx() + x;
    }
}
