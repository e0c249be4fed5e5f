package stillpond.core.cell;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.IntPredicate;
import stillpond.core.ink.InkPlane;

/** Splits one cell along a wall, looking only at the smaller parts and what lies around them. */
final class CellSplitter {

    private static final int UNSEEN = -1;

    /** How far around the smaller parts it is looked at first which ink goes to them: further than strokes are wide. */
    private static final int MARGIN_PX = 64;

    private final CellPlane plane;
    private final int[] numbers;
    private final InkPlane ink;
    private final Cell cell;
    private final IntPredicate isPaper;

    CellSplitter(CellPlane plane, InkPlane ink, BitSet isWall, Cell cell) {
        this.plane = plane;
        this.numbers = plane.numbers();
        this.ink = ink;
        this.cell = cell;
        this.isPaper = i -> numbers[i] == cell.number() && !ink.isInk(i) && !isWall.get(i);
    }

    /**
     * What came of it.
     *
     * @param parts their numbers, that of the cell first
     * @param former what stood where numbers have changed, in a box around all of that
     */
    record Split(List<Integer> parts, PlanePatch former) {}

    /** Renumbers the parts but the largest from a number on; empty, and nothing happens, if the wall does not part the cell. */
    Optional<Split> splitFrom(int nextNumber, List<Integer> wall) {
        List<PartFlood.Part> crumbs = new ArrayList<>();
        List<PartFlood.Part> parts = new ArrayList<>();
        for (PartFlood.Part part : PartFlood.allButTheLargest(plane, isPaper, beside(wall))) {
            (part.areaPx() >= CellMap.MIN_PAPER_PX ? parts : crumbs).add(part);
        }
        if (parts.isEmpty()) {
            return Optional.empty();
        }
        parts.sort(Comparator.comparingInt((PartFlood.Part part) -> -part.areaPx())
                .thenComparingInt(CellSplitter::firstPixel));
        Window window = new Window(around(parts, MARGIN_PX));
        for (int margin = MARGIN_PX; window.spread(parts, crumbs) * 2 + 2 > margin && !window.isWhole(); ) {
            // What competes for the ink furthest from a part must have been looked at too.
            margin *= 2;
            window = new Window(around(parts, margin));
        }
        PlanePatch former = PlanePatch.of(plane, window.box);
        List<Integer> partNumbers = new ArrayList<>(List.of(cell.number()));
        for (int i = 0; i < parts.size(); i++) {
            partNumbers.add(nextNumber + i);
        }
        window.renumber(partNumbers.subList(1, partNumbers.size()));
        return Optional.of(new Split(partNumbers, former));
    }

    private static int firstPixel(PartFlood.Part part) {
        return part.runs().stream().mapToInt(PartFlood.Run::start).min().orElseThrow();
    }

    private List<Integer> beside(List<Integer> wall) {
        List<Integer> beside = new ArrayList<>();
        int width = plane.widthPx();
        for (int pixel : wall) {
            if (pixel % width > 0) {
                beside.add(pixel - 1);
            }
            if (pixel % width < width - 1) {
                beside.add(pixel + 1);
            }
            if (pixel >= width) {
                beside.add(pixel - width);
            }
            if (pixel + width < numbers.length) {
                beside.add(pixel + width);
            }
        }
        return beside;
    }

    /** The box of some parts and a margin, within that of the cell. */
    private Box around(List<PartFlood.Part> parts, int margin) {
        int width = plane.widthPx();
        int left = Integer.MAX_VALUE;
        int top = Integer.MAX_VALUE;
        int right = 0;
        int bottom = 0;
        for (PartFlood.Part part : parts) {
            for (PartFlood.Run run : part.runs()) {
                left = Math.min(left, run.start() % width);
                right = Math.max(right, (run.endExclusive() - 1) % width + 1);
                top = Math.min(top, run.start() / width);
                bottom = Math.max(bottom, run.start() / width + 1);
            }
        }
        Box box = cell.box();
        return new Box(
                Math.max(box.xStart(), left - margin),
                Math.max(box.yStart(), top - margin),
                Math.min(box.xEndExclusive(), right + margin),
                Math.min(box.yEndExclusive(), bottom + margin));
    }

    /** A box in which the parts, and the ink around them, are told apart: number 0 and up a part each, the number of parts for the rest of the cell. */
    private final class Window {

        private final Box box;
        private final int[] part;

        Window(Box box) {
            this.box = box;
            this.part = new int[box.widthPx() * box.heightPx()];
        }

        boolean isWhole() {
            return box.equals(cell.box());
        }

        /** Gives wall, ink and crumbs of the cell to the part that reaches them first, step by step from all sides; returns the most steps that one of the parts took. */
        int spread(List<PartFlood.Part> parts, List<PartFlood.Part> crumbs) {
            Arrays.fill(part, UNSEEN);
            int rest = parts.size();
            for (int i = 0; i < parts.size(); i++) {
                paint(parts.get(i), i);
            }
            for (int i = 0; i < part.length; i++) {
                if (part[i] == UNSEEN && isPaper.test(onPage(i))) {
                    part[i] = rest;
                }
            }
            crumbs.forEach(crumb -> paint(crumb, UNSEEN));
            return spreadFrom(rims(), rest);
        }

        private void paint(PartFlood.Part painted, int number) {
            int width = plane.widthPx();
            for (PartFlood.Run run : painted.runs()) {
                int y = run.start() / width - box.yStart();
                int from = run.start() % width - box.xStart();
                if (y >= 0 && y < box.heightPx()) {
                    int start = Math.max(0, from);
                    int end = Math.min(box.widthPx(), from + run.length());
                    if (start < end) {
                        Arrays.fill(part, y * box.widthPx() + start, y * box.widthPx() + end, number);
                    }
                }
            }
        }

        /** Only pixels at the rim of a part have anything to give. */
        private int[] rims() {
            int[] rims = new int[part.length];
            int count = 0;
            for (int i = 0; i < part.length; i++) {
                if (part[i] != UNSEEN && hasOpenSide(i)) {
                    rims[count++] = i;
                }
            }
            return Arrays.copyOf(rims, count);
        }

        private boolean hasOpenSide(int i) {
            for (int side = 0; side < 4; side++) {
                int beside = beside(i, side);
                if (beside >= 0 && part[beside] == UNSEEN) {
                    return true;
                }
            }
            return false;
        }

        private int spreadFrom(int[] rims, int rest) {
            int[] front = rims;
            int most = 0;
            for (int step = 1; front.length > 0; step++) {
                int[] next = new int[4 * front.length];
                int count = 0;
                for (int from : front) {
                    for (int side = 0; side < 4; side++) {
                        int beside = beside(from, side);
                        if (beside >= 0 && part[beside] == UNSEEN && numbers[onPage(beside)] == cell.number()) {
                            part[beside] = part[from];
                            next[count++] = beside;
                            most = part[from] == rest ? most : step;
                        }
                    }
                }
                front = Arrays.copyOf(next, count);
            }
            return most;
        }

        void renumber(List<Integer> partNumbers) {
            for (int i = 0; i < part.length; i++) {
                if (part[i] != UNSEEN && part[i] < partNumbers.size()) {
                    numbers[onPage(i)] = partNumbers.get(part[i]);
                }
            }
        }

        private int onPage(int i) {
            return (box.yStart() + i / box.widthPx()) * plane.widthPx() + box.xStart() + i % box.widthPx();
        }

        private int beside(int i, int side) {
            int x = i % box.widthPx() + (side == 0 ? 1 : side == 1 ? -1 : 0);
            int y = i / box.widthPx() + (side == 2 ? 1 : side == 3 ? -1 : 0);
            return x < 0 || y < 0 || x >= box.widthPx() || y >= box.heightPx() ? -1 : y * box.widthPx() + x;
        }
    }
}
