package stillpond.core.gap;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.IntPredicate;
import stillpond.core.cell.CellPlane;
import stillpond.core.cell.CellSplit;
import stillpond.core.ink.InkPlane;

/** Tells between which parts openings lie once lines have split their cells. */
final class CrossedOpenings {

    /** How far from an opening it is looked for the parts that it lies between. */
    private static final int NEAR_PX = 24;

    private final CellSplit split;
    private final CellPlane plane;
    private final InkPlane ink;
    private final IntPredicate isInkOrCut;
    private final Set<Integer> crossed = new TreeSet<>();

    CrossedOpenings(CellSplit split, InkPlane ink) {
        this.split = split;
        this.plane = split.map().plane();
        this.ink = ink;
        this.isInkOrCut = pixel -> ink.isInk(pixel) || split.cut().get(pixel);
        // Cells that a line goes through without splitting them, and those that it splits, with the numbers of before.
        split.cut().stream().forEach(pixel -> crossed.add(plane.numbers()[pixel]));
        split.split().forEach(each -> crossed.add(each.cell()));
    }

    /**
     * An opening after the split.
     *
     * @param now between other parts perhaps, and perhaps several; never empty
     * @param isOnTheLine whether its cells meet nowhere but there, so that it is dammed too
     */
    record Retold(List<Opening> now, boolean isOnTheLine) {}

    /** One between cells that no line goes through stays as it is. Where it crosses a line, parts of both sides touch; they do not meet there. */
    Retold retold(Opening opening) {
        if (!crossed.contains(opening.first()) && !crossed.contains(opening.second())) {
            return new Retold(List.of(opening), false);
        }
        List<Opening> now = between(opening, Contacts.along(opening.line(), plane, isInkOrCut));
        if (now.isEmpty()) {
            now = between(opening, Contacts.touchesAlong(opening.line(), plane, isInkOrCut));
        }
        if (!now.isEmpty()) {
            return new Retold(now, false);
        }
        boolean isOnTheLine = !between(opening, Contacts.touchesAlong(opening.line(), plane, ink::isInk))
                .isEmpty();
        return new Retold(List.of(byPlace(opening)), isOnTheLine);
    }

    /** An opening at which its cells do not touch, as where they meet at a corner: between the parts that are nearest to it. */
    private Opening byPlace(Opening opening) {
        int a = nearestPart(opening, opening.first());
        int b = nearestPart(opening, opening.second());
        return opening.between(Math.min(a, b), Math.max(a, b));
    }

    private int nearestPart(Opening opening, int cell) {
        Set<Integer> parts = parts(cell);
        Point middle = opening.middle();
        int nearest = cell;
        double least = Double.POSITIVE_INFINITY;
        for (int y = (int) Math.max(0, middle.y() - NEAR_PX); y <= middle.y() + NEAR_PX && y < plane.heightPx(); y++) {
            for (int x = (int) Math.max(0, middle.x() - NEAR_PX);
                    x <= middle.x() + NEAR_PX && x < plane.widthPx();
                    x++) {
                double distance = middle.distanceTo(new Point(x + 0.5, y + 0.5));
                if (distance < least && parts.contains(plane.numberAt(x, y))) {
                    nearest = plane.numberAt(x, y);
                    least = distance;
                }
            }
        }
        return nearest;
    }

    /** The parts of a cell now; itself alone if it was not split. */
    private Set<Integer> parts(int cell) {
        return split.split().stream()
                .filter(each -> each.cell() == cell)
                .findFirst()
                .map(each -> Set.copyOf(each.parts()))
                .orElse(Set.of(cell));
    }

    private List<Opening> between(Opening opening, List<int[]> contacts) {
        List<Opening> now = new ArrayList<>();
        for (int[] pair : contacts) {
            int a = origin(pair[0]);
            int b = origin(pair[1]);
            if (Math.min(a, b) == opening.first() && Math.max(a, b) == opening.second()) {
                now.add(opening.between(pair[0], pair[1]));
            }
        }
        return now;
    }

    /** The cell that a part was split from. */
    private int origin(int cell) {
        return split.split().stream()
                .filter(each -> each.parts().contains(cell))
                .findFirst()
                .map(CellSplit.Parts::cell)
                .orElse(cell);
    }
}
