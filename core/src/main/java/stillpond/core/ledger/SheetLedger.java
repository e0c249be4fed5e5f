package stillpond.core.ledger;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.IntPredicate;
import stillpond.core.fill.Fill;
import stillpond.core.region.RegionMap;

/** The fills in use on one sheet. Each cell counts once, so that the shares of all rows are that of all cells: a gradient or a pattern has a row of its own, and its swatches have none for it. */
public final class SheetLedger {

    private SheetLedger() {}

    /**
     * Whatever wears one fill.
     *
     * @param cells in rising order
     * @param regions how many those cells lie in
     * @param share of the sheet that they cover, 0 to 1
     */
    public record Row(Fill fill, List<Integer> cells, int regions, double share) {

        public Row {
            cells = List.copyOf(cells);
        }
    }

    /**
     * In the order in which the fills come on the sheet.
     *
     * @param worn by cell
     * @param isMeant which cells are looked at
     */
    public static List<Row> of(RegionMap map, List<Fill> worn, IntPredicate isMeant) {
        Map<Fill, List<Integer>> cells = new LinkedHashMap<>();
        for (int cell = 0; cell < worn.size(); cell++) {
            if (isMeant.test(cell)) {
                cells.computeIfAbsent(worn.get(cell), any -> new ArrayList<>()).add(cell);
            }
        }
        List<Row> rows = new ArrayList<>();
        cells.forEach((fill, all) -> rows.add(row(map, fill, all)));
        return rows;
    }

    /**
     * The swatches that ink wears, in the order in which they come on the sheet, each with its strokes. What is black is in none.
     *
     * @param worn by stroke
     */
    public static Map<Fill, List<Integer>> ofInk(List<Fill> worn) {
        Map<Fill, List<Integer>> strokes = new LinkedHashMap<>();
        for (int stroke = 0; stroke < worn.size(); stroke++) {
            if (!worn.get(stroke).equals(Fill.NONE)) {
                strokes.computeIfAbsent(worn.get(stroke), any -> new ArrayList<>())
                        .add(stroke);
            }
        }
        return strokes;
    }

    private static Row row(RegionMap map, Fill fill, List<Integer> cells) {
        BitSet regions = new BitSet();
        long area = 0;
        for (int cell : cells) {
            regions.set(map.regions().of(cell));
            area += map.graph().cells().get(cell).areaPx();
        }
        double sheet = (double) map.graph().widthPx() * map.graph().heightPx();
        return new Row(fill, cells, regions.cardinality(), area / sheet);
    }
}
