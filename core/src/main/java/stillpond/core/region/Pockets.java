package stillpond.core.region;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import stillpond.core.gap.Opening;

/**
 * Small empty regions inside what wears one fill, such as between fingers, that were likely meant to wear it too.
 *
 * <p>A pocket has most of its border with regions of one fill, and is small beside them. In square stroke widths it is small too: larger ones that ink closes all round,
 * such as pebbles, are things of their own.
 */
public final class Pockets {

    /** What a cell without a fill wears. */
    public static final int NOTHING = 0;

    private static final double LEAST_SHARED = 0.6;
    private static final double MOST_OF_FILL = 0.12;
    private static final double MOST_STROKES_BEHIND_A_GAP = 150;
    private static final double MOST_STROKES_CLOSED = 20;

    private final RegionMap map;
    private final List<Opening> openings;
    private final double strokePx;
    private final int[] worn;

    /**
     * @param openings of the layer
     * @param strokePx how wide its strokes are
     * @param worn a number for what each cell wears, the same for the same fill; {@link #NOTHING} for no fill
     */
    public Pockets(RegionMap map, List<Opening> openings, double strokePx, int[] worn) {
        this.map = map;
        this.openings = openings;
        this.strokePx = strokePx;
        this.worn = worn;
    }

    /** The empty regions beside some cells that are pockets in what those wear, in rising order. */
    public List<Region> beside(int[] cells) {
        BitSet around = new BitSet();
        for (int cell : cells) {
            for (int other : map.graph().neighbours(cell)) {
                around.set(map.regions().of(other));
            }
        }
        List<Region> pockets = new ArrayList<>();
        around.stream().mapToObj(map::get).forEach(region -> {
            OptionalInt fill = fillAround(region);
            boolean isMeant = fill.isPresent() && cells.length > 0 && fill.getAsInt() == worn[cells[0]];
            if (isMeant && isEmpty(region) && isPocket(region)) {
                pockets.add(region);
            }
        });
        return pockets;
    }

    private boolean isEmpty(Region region) {
        for (int cell : region.cells()) {
            if (worn[cell] != NOTHING) {
                return false;
            }
        }
        return true;
    }

    /** What lies around a region along more of its border than any other fill; of equals the lower number. Empty if nothing there is filled. */
    public OptionalInt fillAround(Region region) {
        Map<Integer, Long> lengths = lengthsByFill(region);
        lengths.remove(NOTHING);
        return lengths.entrySet().stream()
                .max(Map.Entry.<Integer, Long>comparingByValue()
                        .thenComparing(Map.Entry.<Integer, Long>comparingByKey().reversed()))
                .map(each -> OptionalInt.of(each.getKey()))
                .orElse(OptionalInt.empty());
    }

    /** Whether the empty part of a region is a pocket in the fill around it. */
    public boolean isPocket(Region region) {
        OptionalInt fill = fillAround(region);
        if (fill.isEmpty()) {
            return false;
        }
        Map<Integer, Long> lengths = lengthsByFill(region);
        long border = lengths.values().stream().mapToLong(length -> length).sum();
        double strokes = isBehindAGap(region, fill.getAsInt()) ? MOST_STROKES_BEHIND_A_GAP : MOST_STROKES_CLOSED;
        long empty = emptyAreaPx(region);
        return lengths.get(fill.getAsInt()) >= LEAST_SHARED * border
                && empty <= MOST_OF_FILL * areaBeside(region, fill.getAsInt())
                && empty <= strokes * strokePx * strokePx;
    }

    private long emptyAreaPx(Region region) {
        long area = 0;
        for (int cell : region.cells()) {
            area += worn[cell] == NOTHING ? map.graph().cells().get(cell).areaPx() : 0;
        }
        return area;
    }

    /** The length of border that a region shares with others, by what they wear there. */
    private Map<Integer, Long> lengthsByFill(Region region) {
        Map<Integer, Long> lengths = new HashMap<>();
        for (int cell : region.cells()) {
            int[] beside = map.graph().neighbours(cell);
            for (int i = 0; i < beside.length; i++) {
                if (map.regions().of(beside[i]) != region.number()) {
                    lengths.merge(worn[beside[i]], (long) map.graph().borderLengthsPx(cell)[i], Long::sum);
                }
            }
        }
        return lengths;
    }

    /** Of the regions beside one, as far as they wear a fill. */
    private long areaBeside(Region region, int fill) {
        long area = 0;
        for (int neighbour : map.neighbours(region)) {
            for (int cell : map.get(neighbour).cells()) {
                area += worn[cell] == fill ? map.graph().cells().get(cell).areaPx() : 0;
            }
        }
        return area;
    }

    private boolean isBehindAGap(Region region, int fill) {
        return openings.stream()
                .anyMatch(opening -> leads(opening.first(), opening.second(), region, fill)
                        || leads(opening.second(), opening.first(), region, fill));
    }

    private boolean leads(int from, int to, Region region, int fill) {
        return map.regions().of(from) == region.number() && map.regions().of(to) != region.number() && worn[to] == fill;
    }
}
