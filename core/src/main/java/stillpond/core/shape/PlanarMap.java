package stillpond.core.shape;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.function.IntUnaryOperator;
import stillpond.core.cell.CellPlane;

/**
 * The faces of a page and the edges between them: each edge once, along the sides of pixels, from one place where three faces meet to another, or all around.
 *
 * <p>Cost: linear in the pixels of the plane; a few bits a pixel, and 8 bytes for each side of a pixel that is a border.
 */
public final class PlanarMap {

    /** The face that lies beside the page. */
    public static final int OUTSIDE = -1;

    private static final int[] STEP_X = {1, 0, -1, 0};
    private static final int[] STEP_Y = {0, 1, 0, -1};
    /** From a corner to the pixel on the right hand of who leaves it to the right, down, left and up. */
    private static final int[] RIGHT_X = {0, -1, -1, 0};

    private static final int[] RIGHT_Y = {0, 0, -1, -1};
    private static final int[] LEFT_X = {0, 0, -1, -1};
    private static final int[] LEFT_Y = {-1, 0, 0, -1};

    private final int widthPx;
    private final int heightPx;
    private final int[] cells;
    private final IntUnaryOperator faceOfCell;
    private final BitSet level;
    private final BitSet upright;
    private final List<Edge> edges = new ArrayList<>();

    private PlanarMap(CellPlane plane, IntUnaryOperator faceOfCell) {
        this.widthPx = plane.widthPx();
        this.heightPx = plane.heightPx();
        this.cells = plane.numbers();
        this.faceOfCell = faceOfCell;
        this.level = new BitSet(widthPx * (heightPx + 1));
        this.upright = new BitSet((widthPx + 1) * heightPx);
    }

    /**
     * A border.
     *
     * @param left the face on the left hand of who walks along it, {@code right} that on the other
     * @param line corners of pixels a step apart, each as x and y; the first one again at the end if it runs all around
     * @param isRing whether it meets no other edge
     */
    public record Edge(int left, int right, int[] line, boolean isRing) {

        int count() {
            return line.length / 2;
        }

        int startX() {
            return line[0];
        }

        int startY() {
            return line[1];
        }

        int endX() {
            return line[line.length - 2];
        }

        int endY() {
            return line[line.length - 1];
        }

        /** Whether it runs along the side of the page. */
        boolean isSideOfPage() {
            return left == OUTSIDE || right == OUTSIDE;
        }
    }

    /** @param faceOfCell the face that a cell belongs to, 0 or more */
    public static List<Edge> edges(CellPlane plane, IntUnaryOperator faceOfCell) {
        PlanarMap map = new PlanarMap(plane, faceOfCell);
        map.traceFromNodes();
        map.traceRings();
        return map.edges;
    }

    private void traceFromNodes() {
        for (int y = 0; y <= heightPx; y++) {
            for (int x = 0; x <= widthPx; x++) {
                if (isEven(x, y) || !isNode(x, y)) {
                    continue;
                }
                for (int heading = 0; heading < STEP_X.length; heading++) {
                    if (isBorder(x, y, heading) && !isWalked(x, y, heading)) {
                        edges.add(walk(x, y, heading, false));
                    }
                }
            }
        }
    }

    private void traceRings() {
        for (int y = 1; y < heightPx; y++) {
            for (int x = 0; x < widthPx; x++) {
                if (cells[y * widthPx + x] != cells[(y - 1) * widthPx + x] && isBorder(x, y, 0) && !isWalked(x, y, 0)) {
                    edges.add(walk(x, y, 0, true));
                }
            }
        }
    }

    /** Whether one cell lies all around a corner: most do, and are passed by. */
    private boolean isEven(int x, int y) {
        if (x == 0 || y == 0 || x == widthPx || y == heightPx) {
            return false;
        }
        int i = y * widthPx + x;
        int cell = cells[i];
        return cell == cells[i - 1] && cell == cells[i - widthPx] && cell == cells[i - widthPx - 1];
    }

    private boolean isNode(int x, int y) {
        boolean isCorner = (x == 0 || x == widthPx) && (y == 0 || y == heightPx);
        int borders = 0;
        for (int heading = 0; heading < STEP_X.length; heading++) {
            if (isBorder(x, y, heading)) {
                borders++;
            }
        }
        return isCorner || borders > 2;
    }

    private int faceAt(int x, int y) {
        return x < 0 || y < 0 || x >= widthPx || y >= heightPx
                ? OUTSIDE
                : faceOfCell.applyAsInt(cells[y * widthPx + x]);
    }

    private int right(int x, int y, int heading) {
        return faceAt(x + RIGHT_X[heading], y + RIGHT_Y[heading]);
    }

    private int left(int x, int y, int heading) {
        return faceAt(x + LEFT_X[heading], y + LEFT_Y[heading]);
    }

    private boolean isBorder(int x, int y, int heading) {
        return left(x, y, heading) != right(x, y, heading);
    }

    private boolean isWalked(int x, int y, int heading) {
        return heading % 2 == 0 ? level.get(place(x, y, heading)) : upright.get(place(x, y, heading));
    }

    private void setWalked(int x, int y, int heading) {
        (heading % 2 == 0 ? level : upright).set(place(x, y, heading));
    }

    /** The number of the side of a pixel that leads away from a corner. */
    private int place(int x, int y, int heading) {
        return heading % 2 == 0
                ? y * widthPx + (heading == 0 ? x : x - 1)
                : (heading == 1 ? y : y - 1) * (widthPx + 1) + x;
    }

    private Edge walk(int startX, int startY, int first, boolean isRing) {
        int left = left(startX, startY, first);
        int right = right(startX, startY, first);
        int[] line = new int[16];
        int size = 0;
        int x = startX;
        int y = startY;
        int heading = first;
        line[size++] = x;
        line[size++] = y;
        do {
            setWalked(x, y, heading);
            x += STEP_X[heading];
            y += STEP_Y[heading];
            if (size == line.length) {
                line = Arrays.copyOf(line, 2 * size);
            }
            line[size++] = x;
            line[size++] = y;
            heading = onward(x, y, heading);
        } while (heading >= 0 && (x != startX || y != startY));
        return new Edge(left, right, Arrays.copyOf(line, size), isRing);
    }

    /** Where an edge goes on at a corner; below 0 where it ends. */
    private int onward(int x, int y, int heading) {
        if (!isEven(x, y) && isNode(x, y)) {
            return -1;
        }
        for (int turn : new int[] {0, 1, 3}) {
            int next = (heading + turn) % 4;
            if (isBorder(x, y, next)) {
                return next;
            }
        }
        return -1;
    }
}
