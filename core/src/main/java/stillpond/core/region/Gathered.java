package stillpond.core.region;

import java.util.BitSet;
import java.util.List;
import java.util.function.IntPredicate;
import java.util.stream.IntStream;
import stillpond.core.gap.Point;

/** Which regions somebody means who points at some of them, or draws around them. */
public final class Gathered {

    /** Regions may differ so much in size, and in length, and still count as alike. */
    private static final double ALIKE = 1.35;

    private Gathered() {}

    /** All cells of the regions about as large and as long as one of some. @param cells of those, in any order */
    public static int[] alike(RegionMap map, int[] cells) {
        BitSet models = new BitSet();
        for (int cell : cells) {
            models.set(map.regions().of(cell));
        }
        BitSet found = new BitSet();
        for (Region region : map.seen()) {
            if (models.stream().anyMatch(model -> isAlike(map.get(model), region))) {
                take(region, found);
            }
        }
        return found.stream().toArray();
    }

    private static boolean isAlike(Region a, Region b) {
        return isNear(a.areaPx(), b.areaPx()) && isNear(a.longSidePx(), b.longSidePx());
    }

    private static boolean isNear(long a, long b) {
        return Math.max(a, b) <= ALIKE * Math.max(1, Math.min(a, b));
    }

    /** All cells of the regions whose deepest place lies inside a way drawn around them. @param way closed from its end to its start */
    public static int[] inside(RegionMap map, List<Point> way) {
        BitSet found = new BitSet();
        for (Region region : map.seen()) {
            if (isInside(region.deepest().deepestX() + 0.5, region.deepest().deepestY() + 0.5, way)) {
                take(region, found);
            }
        }
        return found.stream().toArray();
    }

    /**
     * The cells of the region that most of some places lie in; of one that wears something, if any of them does.
     *
     * @param cells those that the places lie in, one for each place
     */
    public static int[] mostOf(RegionMap map, int[] cells, IntPredicate isWorn) {
        int[] counts = new int[map.all().size()];
        for (int cell : cells) {
            counts[map.regions().of(cell)]++;
        }
        boolean isAnyWorn = IntStream.of(cells).anyMatch(isWorn);
        int most = -1;
        for (Region region : map.seen()) {
            boolean isMeant = !isAnyWorn || IntStream.of(region.cells()).anyMatch(isWorn);
            int count = counts[region.number()];
            if (isMeant && count > 0 && (most < 0 || count > counts[most])) {
                most = region.number();
            }
        }
        return most < 0 ? new int[0] : map.get(most).cells().clone();
    }

    private static void take(Region region, BitSet found) {
        for (int cell : region.cells()) {
            found.set(cell);
        }
    }

    /** A ray to the right crosses the way an odd number of times. */
    private static boolean isInside(double x, double y, List<Point> way) {
        boolean inside = false;
        for (int i = 0; i < way.size(); i++) {
            Point from = way.get(i);
            Point to = way.get((i + 1) % way.size());
            boolean crosses = from.y() > y != to.y() > y
                    && x < from.x() + (y - from.y()) / (to.y() - from.y()) * (to.x() - from.x());
            inside ^= crosses;
        }
        return inside;
    }
}
