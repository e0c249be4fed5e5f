package stillpond.core.gap;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.IntStream;
import stillpond.core.cell.CellSplit;
import stillpond.core.cell.PlanePatch;
import stillpond.core.ink.InkPlane;
import stillpond.core.refusal.Refusal;

/**
 * A dam drawn by hand. It splits the cells that it crosses and leaves an opening of strength 1 where it stands, so that it is dammed at any reach and lifting it
 * is leaving that opening open.
 */
public final class HandDam {

    /** Ends of the line are carried on to ink within this many stroke widths. */
    private static final double SNAP = 4;

    /** No line that a hand draws is longer than so many times around the page. */
    private static final double LONGEST = 4;

    private HandDam() {}

    /** What came of a line. */
    public sealed interface Outcome {}

    /**
     * It parts something.
     *
     * @param openings with those of the dam behind all that were there before, whose indices stay
     * @param dam the indices of the dam's own openings, and of those that lie on its line wholly
     * @param split which cells were split into which
     * @param former what stood in the plane before, to put it back
     */
    public record Parted(Openings openings, Set<Integer> dam, List<CellSplit.Parts> split, List<PlanePatch> former)
            implements Outcome {}

    /** Its ends do not reach ink or another dam, or nothing lies behind it. */
    public record PartsNothing() implements Outcome {}

    /**
     * Draws a dam into the cells of a page, in place: the openings given are no longer to be used if it parts something.
     *
     * @param drawn two points or more, in pixels of the page
     * @throws Refusal if the line is endless, or far longer than a hand draws
     */
    public static Outcome draw(Openings openings, InkPlane ink, List<Point> drawn) {
        return draw(openings, ink, drawn, SNAP * openings.strokePx());
    }

    /** Likewise, with its ends carried on to ink however far away that is. */
    public static Outcome drawExtended(Openings openings, InkPlane ink, List<Point> drawn) {
        return draw(openings, ink, drawn, ink.widthPx() + ink.heightPx());
    }

    /** Several dams at once, which part things together: two lines that end on an island part what neither would alone. */
    public static Outcome drawAll(Openings openings, InkPlane ink, List<List<Point>> lines) {
        lines.forEach(line -> requireDrawable(line, ink));
        double reach = SNAP * openings.strokePx();
        return split(
                openings,
                ink,
                lines.stream().map(line -> snapped(line, ink, reach)).toList());
    }

    private static Outcome draw(Openings openings, InkPlane ink, List<Point> drawn, double reach) {
        requireDrawable(drawn, ink);
        return split(openings, ink, List.of(snapped(drawn, ink, reach)));
    }

    private static Outcome split(Openings openings, InkPlane ink, List<List<Point>> lines) {
        BitSet wall = new BitSet();
        lines.forEach(line -> pixels(line, ink).forEach(wall::set));
        CellSplit split = CellSplit.along(openings.cells(), ink, wall.stream().toArray());
        if (split.split().isEmpty()) {
            return new PartsNothing();
        }
        CrossedOpenings crossed = new CrossedOpenings(split, ink);
        List<Opening> all = new ArrayList<>();
        List<Opening> doubled = new ArrayList<>();
        Set<Integer> dam = new TreeSet<>();
        for (Opening opening : openings.openings()) {
            CrossedOpenings.Retold retold = crossed.retold(opening);
            if (retold.isOnTheLine()) {
                dam.add(all.size());
            }
            all.add(retold.now().get(0));
            doubled.addAll(retold.now().subList(1, retold.now().size()));
        }
        all.addAll(doubled);
        for (List<Point> line : lines) {
            for (Opening each : damOpenings(line, split, ink, openings.strokePx())) {
                dam.add(all.size());
                all.add(each);
            }
        }
        Openings after =
                new Openings(split.map(), all, openings.strokePx(), openings.defaultReach(), openings.isLimited());
        return new Parted(after, dam, split.split(), split.former());
    }

    private static List<Integer> pixels(List<Point> line, InkPlane ink) {
        List<Integer> pixels = new ArrayList<>();
        LineRaster.forEach(line, ink.widthPx(), ink.heightPx(), pixels::add);
        return pixels;
    }

    /**
     * The reverse: regions on both sides of ink that a line crosses become one, for filling only.
     *
     * @return the openings with those of the line behind all that were there before; none of strength 0 is dammed at any reach but 0
     */
    public static Openings joined(Openings openings, InkPlane ink, List<Point> drawn) {
        requireDrawable(drawn, ink);
        List<Opening> all = new ArrayList<>(openings.openings());
        int[] before = {-1};
        LineRaster.forEach(drawn, ink.widthPx(), ink.heightPx(), pixel -> {
            int cell = openings.cells().plane().numbers()[pixel];
            if (before[0] >= 0 && before[0] != cell) {
                int first = Math.min(cell, before[0]);
                all.add(new Opening(first, Math.max(cell, before[0]), Opening.Kind.HAND, drawn, 0, 0, 0));
            }
            before[0] = cell;
        });
        return new Openings(openings.cells(), all, openings.strokePx(), openings.defaultReach(), openings.isLimited());
    }

    private static void requireDrawable(List<Point> drawn, InkPlane ink) {
        double length = 0;
        for (int i = 1; i < drawn.size(); i++) {
            length += drawn.get(i).distanceTo(drawn.get(i - 1));
        }
        // Not a number is not less either.
        if (!(length <= LONGEST * 2 * (ink.widthPx() + ink.heightPx()))) {
            throw new Refusal(
                    "This line is far longer than the sheet is around. Draw a shorter one; nothing was changed.");
        }
    }

    private static List<Point> snapped(List<Point> drawn, InkPlane ink, double reach) {
        List<Point> line = new ArrayList<>(drawn);
        int last = drawn.size() - 1;
        carryOn(drawn.get(last), drawn.get(last).minus(drawn.get(last - 1)), ink, reach)
                .ifPresent(line::add);
        carryOn(drawn.get(0), drawn.get(0).minus(drawn.get(1)), ink, reach).ifPresent(start -> line.add(0, start));
        return line;
    }

    /** The ink nearest to an end: straight on, or where a turn of up to a right angle meets it sooner. */
    private static Optional<Point> carryOn(Point end, Point heading, InkPlane ink, double reach) {
        if (isInk(ink, end)) {
            return Optional.empty();
        }
        Point direction = heading.unit();
        return IntStream.rangeClosed(-6, 6)
                .boxed()
                .sorted(Comparator.comparingInt(Math::abs))
                .map(turn -> hit(end, direction.turned(turn * Math.PI / 12), ink, reach))
                .flatMap(Optional::stream)
                .min(Comparator.comparingDouble(point -> point.distanceTo(end)));
    }

    private static Optional<Point> hit(Point from, Point direction, InkPlane ink, double reach) {
        for (double step = 0; step <= reach; step += 0.5) {
            Point at = from.plus(direction.times(step));
            if (isBeside(ink, at) || isInk(ink, at)) {
                return Optional.of(at.plus(direction));
            }
        }
        return Optional.empty();
    }

    private static boolean isBeside(InkPlane ink, Point at) {
        return at.x() < 0 || at.y() < 0 || at.x() >= ink.widthPx() || at.y() >= ink.heightPx();
    }

    private static boolean isInk(InkPlane ink, Point at) {
        return !isBeside(ink, at) && ink.isInk((int) at.y() * ink.widthPx() + (int) at.x());
    }

    private static List<Opening> damOpenings(List<Point> line, CellSplit split, InkPlane ink, double strokePx) {
        double paper =
                pixels(line, ink).stream().filter(pixel -> !ink.isInk(pixel)).count();
        Set<Integer> parts = new TreeSet<>();
        split.split().forEach(each -> parts.addAll(each.parts()));
        return Contacts.along(line, split.map().plane(), ink::isInk).stream()
                .filter(pair -> parts.contains(pair[0]) && parts.contains(pair[1]))
                .map(pair -> new Opening(pair[0], pair[1], Opening.Kind.HAND, line, paper, paper / strokePx, 1))
                .toList();
    }
}
