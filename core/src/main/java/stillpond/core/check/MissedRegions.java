package stillpond.core.check;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import stillpond.core.fill.Fill;
import stillpond.core.region.Pockets;
import stillpond.core.region.Region;
import stillpond.core.region.RegionMap;

/** Regions that have no fill: pockets first, then specks, then the others, small before large. */
final class MissedRegions {

    /** In square stroke widths. */
    private static final double LARGEST_SPECK = 3;

    private final SheetToCheck sheet;
    private final List<Fill> fillOfNumber = new ArrayList<>();
    private final Pockets pockets;
    private final RegionMap map;

    private MissedRegions(SheetToCheck sheet) {
        this.sheet = sheet;
        this.map = RegionMap.of(sheet.map().graph(), sheet.regions());
        this.pockets =
                new Pockets(map, sheet.openings().openings(), sheet.openings().strokePx(), worn());
    }

    private int[] worn() {
        Map<Fill, Integer> numbers = new HashMap<>(Map.of(Fill.NONE, Pockets.NOTHING));
        fillOfNumber.add(Fill.NONE);
        int[] worn = new int[sheet.cellCount()];
        for (int cell = 0; cell < worn.length; cell++) {
            worn[cell] = numbers.computeIfAbsent(sheet.fills().of(cell), fill -> {
                fillOfNumber.add(fill);
                return fillOfNumber.size() - 1;
            });
        }
        return worn;
    }

    static List<Finding.Unfilled> find(SheetToCheck sheet) {
        return new MissedRegions(sheet).find();
    }

    private List<Finding.Unfilled> find() {
        List<Finding.Unfilled> found = new ArrayList<>();
        for (Region region : map.seen()) {
            List<Integer> empty = new ArrayList<>();
            for (int cell : region.cells()) {
                if (sheet.isEmpty(cell)) {
                    empty.add(cell);
                }
            }
            if (!empty.isEmpty()) {
                Optional<UUID> likely = likely(region);
                boolean isPocket = likely.isPresent() && pockets.isPocket(region);
                found.add(new Finding.Unfilled(empty, likely, size(empty, isPocket)));
            }
        }
        found.sort(Comparator.comparing((Finding.Unfilled each) -> each.size())
                .thenComparingLong(each -> sheet.area(each.cells())));
        return found;
    }

    private Optional<UUID> likely(Region region) {
        OptionalInt around = pockets.fillAround(region);
        return around.isPresent() && fillOfNumber.get(around.getAsInt()) instanceof Fill.Flat flat
                ? Optional.of(flat.swatch())
                : Optional.empty();
    }

    private Finding.Size size(List<Integer> cells, boolean isPocket) {
        if (sheet.area(cells) < sheet.squareStrokes(LARGEST_SPECK)) {
            return Finding.Size.SPECK;
        }
        return isPocket ? Finding.Size.POCKET : Finding.Size.REGION;
    }
}
