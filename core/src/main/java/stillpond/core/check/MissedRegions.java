package stillpond.core.check;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import stillpond.core.cell.Border;
import stillpond.core.fill.Fill;

/** Regions that have no fill: pockets first, then specks, then the others, small before large. */
final class MissedRegions {

    /** A pocket has at least this share of its border with the fill that it likely gets, and at most so much of its area. */
    private static final double POCKET_BORDER = 0.6;

    private static final double POCKET_AREA = 0.12;
    /** In square stroke widths: larger regions that ink closes all round, such as pebbles, are things of their own. */
    private static final double LARGEST_CLOSED_POCKET = 20;

    private static final double LARGEST_POCKET_BEHIND_A_GAP = 150;
    private static final double LARGEST_SPECK = 3;

    private final SheetToCheck sheet;

    private MissedRegions(SheetToCheck sheet) {
        this.sheet = sheet;
    }

    static List<Finding.Unfilled> find(SheetToCheck sheet) {
        return new MissedRegions(sheet).find();
    }

    private List<Finding.Unfilled> find() {
        Map<Integer, Map<UUID, Integer>> bordersByRegion = bordersWithFills();
        Map<Integer, Long> borderByRegion = borderByRegion();
        Map<UUID, Long> areaByFill = areaByFill();
        List<Finding.Unfilled> found = new ArrayList<>();
        sheet.cellsByRegion().forEach((region, cells) -> {
            List<Integer> empty = cells.stream().filter(sheet::isEmpty).toList();
            if (!empty.isEmpty()) {
                Map<UUID, Integer> around = bordersByRegion.getOrDefault(region, Map.of());
                Optional<UUID> likely = around.entrySet().stream()
                        .max(Map.Entry.<UUID, Integer>comparingByValue().thenComparing(Map.Entry.comparingByKey()))
                        .map(Map.Entry::getKey);
                boolean isPocket = likely.isPresent()
                        && around.get(likely.get()) >= POCKET_BORDER * borderByRegion.get(region)
                        && sheet.area(empty) <= POCKET_AREA * areaByFill.get(likely.get())
                        && sheet.area(empty) <= largestPocket(region, likely.get());
                found.add(new Finding.Unfilled(empty, likely, size(empty, isPocket)));
            }
        });
        found.sort(Comparator.comparing((Finding.Unfilled each) -> each.size())
                .thenComparingLong(each -> sheet.area(each.cells())));
        return found;
    }

    private Finding.Size size(List<Integer> cells, boolean isPocket) {
        if (sheet.area(cells) < sheet.squareStrokes(LARGEST_SPECK)) {
            return Finding.Size.SPECK;
        }
        return isPocket ? Finding.Size.POCKET : Finding.Size.REGION;
    }

    private double largestPocket(int region, UUID fill) {
        boolean isBehindAGap = sheet.openings().openings().stream()
                .anyMatch(opening -> isBeside(opening.first(), opening.second(), region, fill)
                        || isBeside(opening.second(), opening.first(), region, fill));
        double strokes = isBehindAGap ? LARGEST_POCKET_BEHIND_A_GAP : LARGEST_CLOSED_POCKET;
        return sheet.squareStrokes(strokes);
    }

    private boolean isBeside(int cell, int other, int region, UUID fill) {
        return sheet.regions().of(cell) == region
                && sheet.regions().of(other) != region
                && sheet.fills().of(other).equals(Fill.flat(fill));
    }

    /** For each region the length of border that it shares with each fill beside it. */
    private Map<Integer, Map<UUID, Integer>> bordersWithFills() {
        Map<Integer, Map<UUID, Integer>> lengths = new HashMap<>();
        for (Border border : sheet.map().borders()) {
            addBorder(lengths, border.first(), border.second(), border.lengthPx());
            addBorder(lengths, border.second(), border.first(), border.lengthPx());
        }
        return lengths;
    }

    private void addBorder(Map<Integer, Map<UUID, Integer>> lengths, int cell, int beside, int length) {
        if (sheet.regions().of(cell) != sheet.regions().of(beside)
                && sheet.fills().of(beside) instanceof Fill.Flat flat) {
            lengths.computeIfAbsent(sheet.regions().of(cell), any -> new HashMap<>())
                    .merge(flat.swatch(), length, Integer::sum);
        }
    }

    private Map<Integer, Long> borderByRegion() {
        Map<Integer, Long> lengths = new HashMap<>();
        for (Border border : sheet.map().borders()) {
            int first = sheet.regions().of(border.first());
            int second = sheet.regions().of(border.second());
            if (first != second) {
                lengths.merge(first, (long) border.lengthPx(), Long::sum);
                lengths.merge(second, (long) border.lengthPx(), Long::sum);
            }
        }
        return lengths;
    }

    private Map<UUID, Long> areaByFill() {
        Map<UUID, Long> areas = new HashMap<>();
        sheet.cellsBySwatch().forEach((swatch, cells) -> areas.put(swatch, sheet.area(cells)));
        return areas;
    }
}
