package stillpond.core.region;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.IntPredicate;

/** Going from region to region without pointing. */
public final class Walk {

    /** A region twice as far off the axis as along it is not "to the right" of anything. */
    private static final int WIDEST_SLOPE = 2;

    private static final int OFF_AXIS_COST = 2;

    /** Neighbours are seen to touch. */
    private static final double COST_OF_NEIGHBOUR = 0.5;

    /** Of a sheet, in which regions are gone through from left to right. */
    private static final int ROWS = 8;

    private final RegionMap map;

    public Walk(RegionMap map) {
        this.map = map;
    }

    /**
     * The region that somebody would call the next one in a direction: of all whose deepest points lie that way the nearest, counting steps aside double and neighbours
     * half. Where none lies that way, a neighbour that reaches further out that way, such as the page around a figure; the same region if there is none either.
     */
    public int towards(int from, Direction direction) {
        Region here = map.get(from);
        Set<Integer> neighbours = map.neighbours(here);
        int best = from;
        double bestCost = Double.POSITIVE_INFINITY;
        for (Region region : map.seen()) {
            int dx = region.deepest().deepestX() - here.deepest().deepestX();
            int dy = region.deepest().deepestY() - here.deepest().deepestY();
            int along = dx * direction.x + dy * direction.y;
            int aside = Math.abs(dx * direction.y - dy * direction.x);
            if (along > 0 && aside <= WIDEST_SLOPE * along) {
                double cost = (along + OFF_AXIS_COST * aside)
                        * (neighbours.contains(region.number()) ? COST_OF_NEIGHBOUR : 1);
                if (cost < bestCost) {
                    bestCost = cost;
                    best = region.number();
                }
            }
        }
        return best == from ? furtherOut(here, neighbours, direction) : best;
    }

    private int furtherOut(Region here, Set<Integer> neighbours, Direction direction) {
        for (int neighbour : neighbours) {
            if (reach(map.get(neighbour), direction) > reach(here, direction)) {
                return neighbour;
            }
        }
        return here.number();
    }

    private static int reach(Region region, Direction direction) {
        return Math.max(
                        direction.x * region.box().xStart(),
                        direction.x * region.box().xEndExclusive())
                + Math.max(
                        direction.y * region.box().yStart(),
                        direction.y * region.box().yEndExclusive());
    }

    /**
     * The next region after one, in reading order and round to the start, that has a cell without a fill.
     *
     * @param from empty: from the start of the sheet
     * @return empty if there is no other
     */
    public OptionalInt nextEmpty(OptionalInt from, IntPredicate isEmpty) {
        long start = from.isPresent() ? place(map.get(from.getAsInt())) : -1;
        List<Region> empty = new ArrayList<>();
        for (Region region : map.seen()) {
            boolean isOther = from.isEmpty() || region.number() != from.getAsInt();
            if (isOther && hasAny(region, isEmpty)) {
                empty.add(region);
            }
        }
        empty.sort(Comparator.comparingLong(this::place).thenComparingInt(Region::number));
        for (Region region : empty) {
            if (place(region) > start) {
                return OptionalInt.of(region.number());
            }
        }
        return empty.isEmpty()
                ? OptionalInt.empty()
                : OptionalInt.of(empty.get(0).number());
    }

    private static boolean hasAny(Region region, IntPredicate isEmpty) {
        for (int cell : region.cells()) {
            if (isEmpty.test(cell)) {
                return true;
            }
        }
        return false;
    }

    /** In reading order. */
    private long place(Region region) {
        long row = (long) ROWS * region.deepest().deepestY() / map.graph().heightPx();
        return row * map.graph().widthPx() + region.deepest().deepestX();
    }
}
