package stillpond.core.cut;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import stillpond.core.cell.Box;
import stillpond.core.cell.CellPlane;

/**
 * A plane of groups without the pieces that are too small to handle.
 *
 * @param small those, the largest first
 */
public record Handled(CellPlane plane, List<TooSmall> small) {

    public Handled {
        small = List.copyOf(small);
    }

    /**
     * A piece that is not cut by itself.
     *
     * @param joined the number of the group that it became a part of; {@link CutPlane#NOTHING} if it is left out
     */
    public record TooSmall(int group, Box box, int areaPx, int joined) {}

    /**
     * Cost: linear in the pixels; some 16 bytes for each run of them.
     *
     * @param plane see {@link CutPlane}
     * @param smallestPx pieces with fewer pixels are too small
     */
    public static Handled of(CellPlane plane, double smallestPx, CutSettings.Small small) {
        Pieces pieces = Pieces.of(plane);
        List<TooSmall> all = new ArrayList<>();
        int[] groupOf = pieces.groups.clone();
        Map<Integer, Map<Integer, Integer>> beside =
                small == CutSettings.Small.JOINED ? pieces.borders(smallestPx) : Map.of();
        for (int piece = 0; piece < pieces.count; piece++) {
            if (!pieces.isSmall(piece, smallestPx)) {
                continue;
            }
            int joined = beside.getOrDefault(piece, Map.of()).entrySet().stream()
                    .max(Map.Entry.<Integer, Integer>comparingByValue().thenComparing(Map.Entry.comparingByKey()))
                    .map(Map.Entry::getKey)
                    .orElse(CutPlane.NOTHING);
            all.add(new TooSmall(pieces.groups[piece], pieces.box(piece), pieces.areas[piece], joined));
            groupOf[piece] = joined;
        }
        all.sort((a, b) -> Integer.compare(b.areaPx(), a.areaPx()));
        return new Handled(all.isEmpty() ? plane : pieces.plane(groupOf), all);
    }

    /** The parts of groups that hang together by the sides of pixels. */
    private static final class Pieces {
        private final CellPlane plane;
        private final int[] pieceOf;
        private int count;
        private int[] groups = new int[64];
        private int[] areas = new int[64];
        private int[] boxes = new int[4 * 64];

        private Pieces(CellPlane plane) {
            this.plane = plane;
            this.pieceOf = new int[plane.numbers().length];
        }

        /** Union-find over pixels in reading order, with the first pixel of a piece as its root. */
        static Pieces of(CellPlane plane) {
            Pieces pieces = new Pieces(plane);
            int[] root = pieces.pieceOf;
            int[] numbers = plane.numbers();
            int width = plane.widthPx();
            for (int i = 0; i < numbers.length; i++) {
                boolean joinsLeft = i % width > 0 && numbers[i - 1] == numbers[i];
                boolean joinsUp = i >= width && numbers[i - width] == numbers[i];
                root[i] = joinsLeft ? root[i - 1] : i;
                if (joinsUp) {
                    int up = find(root, i - width);
                    int own = find(root, i);
                    root[Math.max(up, own)] = Math.min(up, own);
                    root[i] = Math.min(up, own);
                }
            }
            for (int i = 0; i < numbers.length; i++) {
                root[i] = root[i] == i ? pieces.begin(numbers[i], i) : root[root[i]];
                pieces.add(root[i], i % width, i / width);
            }
            return pieces;
        }

        private static int find(int[] root, int from) {
            int i = from;
            while (root[i] != i) {
                root[i] = root[root[i]];
                i = root[i];
            }
            return i;
        }

        private int begin(int group, int at) {
            if (count == groups.length) {
                groups = Arrays.copyOf(groups, 2 * count);
                areas = Arrays.copyOf(areas, 2 * count);
                boxes = Arrays.copyOf(boxes, 8 * count);
            }
            groups[count] = group;
            int x = at % plane.widthPx();
            int y = at / plane.widthPx();
            boxes[4 * count] = x;
            boxes[4 * count + 1] = y;
            boxes[4 * count + 2] = x;
            boxes[4 * count + 3] = y;
            return count++;
        }

        private void add(int piece, int x, int y) {
            areas[piece]++;
            boxes[4 * piece] = Math.min(boxes[4 * piece], x);
            boxes[4 * piece + 2] = Math.max(boxes[4 * piece + 2], x);
            boxes[4 * piece + 3] = Math.max(boxes[4 * piece + 3], y);
        }

        boolean isSmall(int piece, double smallestPx) {
            return groups[piece] != CutPlane.NOTHING && areas[piece] < smallestPx;
        }

        Box box(int piece) {
            return new Box(boxes[4 * piece], boxes[4 * piece + 1], boxes[4 * piece + 2] + 1, boxes[4 * piece + 3] + 1);
        }

        /** How long small pieces border groups that are cut. */
        Map<Integer, Map<Integer, Integer>> borders(double smallestPx) {
            Map<Integer, Map<Integer, Integer>> beside = new HashMap<>();
            int width = plane.widthPx();
            for (int i = 0; i < pieceOf.length; i++) {
                if (i % width > 0) {
                    border(pieceOf[i], pieceOf[i - 1], smallestPx, beside);
                }
                if (i >= width) {
                    border(pieceOf[i], pieceOf[i - width], smallestPx, beside);
                }
            }
            return beside;
        }

        private void border(int first, int second, double smallestPx, Map<Integer, Map<Integer, Integer>> beside) {
            if (first == second) {
                return;
            }
            boolean isFirstSmall = isSmall(first, smallestPx);
            boolean isSecondSmall = isSmall(second, smallestPx);
            if (isFirstSmall && !isSecondSmall && groups[second] != CutPlane.NOTHING) {
                beside.computeIfAbsent(first, any -> new HashMap<>()).merge(groups[second], 1, Integer::sum);
            } else if (isSecondSmall && !isFirstSmall && groups[first] != CutPlane.NOTHING) {
                beside.computeIfAbsent(second, any -> new HashMap<>()).merge(groups[first], 1, Integer::sum);
            }
        }

        CellPlane plane(int[] groupOf) {
            int[] numbers = new int[pieceOf.length];
            for (int i = 0; i < numbers.length; i++) {
                numbers[i] = groupOf[pieceOf[i]];
            }
            return new CellPlane(plane.widthPx(), plane.heightPx(), numbers);
        }
    }
}
