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

    /** Of the cell, but of no part yet. */
    private static final int UNSEEN = -1;

    /** Beside the cell. */
    private static final int NOBODY = -2;

    /** How far around the smaller parts it is looked at first which ink goes to them: further than strokes are wide. */
    private static final int MARGIN_PX = 64;

    private final CellPlane plane;
    private final int[] numbers;
    private final InkPlane ink;
    private final Cell cell;
    private final IntPredicate isPaper;
    private final BitSet cut;

    /** @param cut gets the pixels of crumbs, which are too small to be a part */
    CellSplitter(CellPlane plane, InkPlane ink, BitSet isWall, Cell cell, BitSet cut) {
        this.plane = plane;
        this.numbers = plane.numbers();
        this.ink = ink;
        this.cell = cell;
        this.cut = cut;
        this.isPaper = i -> numbers[i] == cell.number() && !ink.isInk(i) && !isWall.get(i);
    }

    /**
     * What came of it.
     *
     * @param parts their numbers, that of the cell first
     * @param areas of the parts behind the first, in pixels
     * @param former what stood where numbers have changed, in a box around all of that
     */
    record Split(List<Integer> parts, int[] areas, PlanePatch former) {}

    /** Renumbers the parts but the largest from a number on; empty, and nothing happens, if the wall does not part the cell. */
    Optional<Split> splitFrom(int nextNumber, List<Integer> wall) {
        List<PartFlood.Part> crumbs = new ArrayList<>();
        List<PartFlood.Part> parts = new ArrayList<>();
        for (PartFlood.Part part : PartFlood.allButTheLargest(plane, isPaper, beside(wall))) {
            (part.areaPx() >= CellMap.MIN_PAPER_PX ? parts : crumbs).add(part);
        }
        crumbs.forEach(crumb -> crumb.runs().forEach(run -> cut.set(run.start(), run.endExclusive())));
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
        int[] areas = window.renumber(nextNumber, parts.size());
        return Optional.of(new Split(partNumbers, areas, former));
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

    /**
     * A box in which the parts, and the ink around them, are told apart: number 0 and up a part each, the number of parts for the rest of the cell. A rim of one pixel around
     * it belongs to nobody, so that every pixel has four beside it.
     */
    private final class Window {

        private final Box box;
        private final int stride;
        private final int[] part;

        Window(Box box) {
            this.box = box;
            this.stride = box.widthPx() + 2;
            this.part = new int[stride * (box.heightPx() + 2)];
        }

        boolean isWhole() {
            return box.equals(cell.box());
        }

        /** Gives wall, ink and crumbs of the cell to the part that reaches them first, step by step from all sides; returns the most steps that one of the parts took. */
        int spread(List<PartFlood.Part> parts, List<PartFlood.Part> crumbs) {
            Arrays.fill(part, NOBODY);
            int rest = parts.size();
            for (int y = 0; y < box.heightPx(); y++) {
                int at = inWindow(y);
                int page = onPage(y);
                for (int end = page + box.widthPx(); page < end; page++, at++) {
                    part[at] = numbers[page] != cell.number() ? NOBODY : isPaper.test(page) ? rest : UNSEEN;
                }
            }
            for (int i = 0; i < parts.size(); i++) {
                paint(parts.get(i), i);
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
                        Arrays.fill(part, inWindow(y) + start, inWindow(y) + end, number);
                    }
                }
            }
        }

        /** The pixels of parts beside what is of no part yet, in their order: only these have anything to give. */
        private int[] rims() {
            int[] rims = new int[1024];
            int count = 0;
            for (int i = stride; i < part.length - stride; i++) {
                if (part[i] == UNSEEN) {
                    if (count + 4 > rims.length) {
                        rims = Arrays.copyOf(rims, 2 * rims.length);
                    }
                    rims[count] = i - stride;
                    count += part[i - stride] >= 0 ? 1 : 0;
                    rims[count] = i - 1;
                    count += part[i - 1] >= 0 ? 1 : 0;
                    rims[count] = i + 1;
                    count += part[i + 1] >= 0 ? 1 : 0;
                    rims[count] = i + stride;
                    count += part[i + stride] >= 0 ? 1 : 0;
                }
            }
            return Arrays.stream(rims, 0, count).sorted().distinct().toArray();
        }

        private int spreadFrom(int[] rims, int rest) {
            int[] sides = {1, -1, stride, -stride};
            int[] front = rims;
            int most = 0;
            for (int step = 1; front.length > 0; step++) {
                int[] next = new int[4 * front.length];
                int count = 0;
                for (int from : front) {
                    for (int side : sides) {
                        if (part[from + side] == UNSEEN) {
                            part[from + side] = part[from];
                            next[count++] = from + side;
                            most = part[from] == rest ? most : step;
                        }
                    }
                }
                front = Arrays.copyOf(next, count);
            }
            return most;
        }

        /** Writes the parts into the plane, numbered from a number on, and returns their areas. */
        int[] renumber(int firstNumber, int parts) {
            int[] areas = new int[parts];
            for (int y = 0; y < box.heightPx(); y++) {
                int at = inWindow(y);
                int page = onPage(y);
                for (int end = page + box.widthPx(); page < end; page++, at++) {
                    if (part[at] >= 0 && part[at] < parts) {
                        numbers[page] = firstNumber + part[at];
                        areas[part[at]]++;
                    }
                }
            }
            return areas;
        }

        /** Where a row of the box begins. */
        private int inWindow(int y) {
            return (y + 1) * stride + 1;
        }

        private int onPage(int y) {
            return (box.yStart() + y) * plane.widthPx() + box.xStart();
        }
    }
}
