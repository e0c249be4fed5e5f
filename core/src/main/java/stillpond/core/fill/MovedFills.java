package stillpond.core.fill;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import stillpond.core.cell.CellPlane;
import stillpond.core.cell.PairCounts;
import stillpond.core.ink.Placing;

/**
 * Fills brought from one cutting of a page into cells over to another: after its ink was told from its paper in another way, or a corrected scan
 * took its place.
 *
 * @param fills what the new cells wear: each the fill that most of its area wore, as long as that is at least half of it
 * @param lost the old cells, in order, most of whose area no longer wears their fill
 */
public record MovedFills(Fills fills, List<Integer> lost) {

    public MovedFills {
        lost = List.copyOf(lost);
    }

    /** @param placing where the new cells' pixels lie among the old ones */
    public static MovedFills move(Fills fills, CellPlane old, CellPlane fresh, Placing placing) {
        PairCounts overlaps = overlaps(old, fresh, placing);
        Map<Integer, Map<Fill, Long>> areas = new TreeMap<>();
        overlaps.forEach((freshCell, oldCell, pixels) ->
                areas.computeIfAbsent(freshCell, cell -> new HashMap<>()).merge(fills.of(oldCell), pixels, Long::sum));
        Map<Integer, Fill> moved = new HashMap<>();
        areas.forEach((cell, byFill) -> moved.put(cell, mostWorn(byFill)));
        List<Integer> lost = lost(fills, overlaps, Fills.of(moved));
        moved.replaceAll((cell, fill) -> fill.seenFrom(placing));
        return new MovedFills(Fills.of(moved), lost);
    }

    private static PairCounts overlaps(CellPlane old, CellPlane fresh, Placing placing) {
        PairCounts overlaps = new PairCounts();
        int[] columns = new int[fresh.widthPx()];
        for (int x = 0; x < columns.length; x++) {
            columns[x] = placing.xThere(x);
        }
        for (int y = 0; y < fresh.heightPx(); y++) {
            int oldY = placing.yThere(y);
            if (oldY >= 0 && oldY < old.heightPx()) {
                countRow(old.numbers(), oldY * old.widthPx(), old.widthPx(), fresh, y, columns, overlaps);
            }
        }
        return overlaps;
    }

    private static void countRow(
            int[] old, int oldRow, int oldWidth, CellPlane fresh, int y, int[] columns, PairCounts overlaps) {
        int[] numbers = fresh.numbers();
        int row = y * fresh.widthPx();
        int freshCell = -1;
        int oldCell = -1;
        int run = 0;
        for (int x = 0; x < columns.length; x++) {
            if (columns[x] < 0 || columns[x] >= oldWidth) {
                continue;
            }
            int oldHere = old[oldRow + columns[x]];
            if (numbers[row + x] != freshCell || oldHere != oldCell) {
                if (run > 0) {
                    overlaps.add(freshCell, oldCell, run);
                }
                freshCell = numbers[row + x];
                oldCell = oldHere;
                run = 0;
            }
            run++;
        }
        if (run > 0) {
            overlaps.add(freshCell, oldCell, run);
        }
    }

    /** What at least half of all wears, or nothing. Of two that are worn alike it is the one whose text comes first, so that the answer is always the same. */
    public static Fill mostWorn(Map<Fill, Long> byFill) {
        long all = byFill.values().stream().mapToLong(Long::longValue).sum();
        return byFill.entrySet().stream()
                .filter(entry -> 2 * entry.getValue() >= all)
                .min((a, b) -> a.getValue().equals(b.getValue())
                        ? a.getKey().text().compareTo(b.getKey().text())
                        : Long.compare(b.getValue(), a.getValue()))
                .map(Map.Entry::getKey)
                .orElse(Fill.NONE);
    }

    private static List<Integer> lost(Fills before, PairCounts overlaps, Fills after) {
        Map<Integer, long[]> keptOfAll = new TreeMap<>();
        before.filled().forEach(cell -> keptOfAll.put(cell, new long[2]));
        overlaps.forEach((freshCell, oldCell, pixels) -> {
            long[] counts = keptOfAll.get(oldCell);
            if (counts != null) {
                counts[1] += pixels;
                counts[0] += after.of(freshCell).equals(before.of(oldCell)) ? pixels : 0;
            }
        });
        List<Integer> lost = new ArrayList<>();
        keptOfAll.forEach((cell, counts) -> {
            if (2 * counts[0] < counts[1] || counts[1] == 0) {
                lost.add(cell);
            }
        });
        return lost;
    }
}
