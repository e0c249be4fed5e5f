package stillpond.app.carry;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import stillpond.app.sheet.Layer;
import stillpond.app.sheet.Sheet;
import stillpond.core.carry.Carry;
import stillpond.core.carry.Drawing;
import stillpond.core.cell.Box;
import stillpond.core.cell.Cell;
import stillpond.core.cell.CellMap;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.gap.Regions;

/** A layer of a sheet as carry needs it: what is drawn on it, and what that wears. @param isModel whether a card is judged by it, so that only the figure on it counts */
record CarryPage(
        Sheet sheet,
        CellMap map,
        Regions regions,
        Fills fills,
        Drawing drawing,
        Map<Integer, Map<String, Integer>> corrected,
        boolean isModel) {

    Layer layer() {
        return sheet.layer();
    }

    List<Integer> cells(int region) {
        return map.cells().stream()
                .map(Cell::number)
                .filter(cell -> regions.of(cell) == region)
                .toList();
    }

    /** Where some cells are seen. */
    Seen seen(List<Integer> cells) {
        Box box = cells.stream()
                .map(cell -> map.cells().get(cell).box())
                .reduce(Box::with)
                .orElseThrow();
        Cell deepest = cells.stream()
                .map(map.cells()::get)
                .max(Comparator.comparingDouble(Cell::depthPx))
                .orElseThrow();
        double width = map.plane().widthPx();
        double height = map.plane().heightPx();
        return new Seen(
                (deepest.deepestX() + 0.5) / width,
                (deepest.deepestY() + 0.5) / height,
                box.xStart() / width,
                box.yStart() / height,
                box.widthPx() / width,
                box.heightPx() / height);
    }

    /** Their area as a share of the page. */
    double share(List<Integer> cells) {
        double area =
                cells.stream().mapToInt(cell -> map.cells().get(cell).areaPx()).sum();
        return area / map.plane().widthPx() / map.plane().heightPx();
    }

    /** Each region says what most of its area wears; regions that mostly wear nothing say nothing. */
    Carry.Source source(FillLabels labels) {
        List<Map<String, Long>> areas = new ArrayList<>();
        for (int region = 0; region < regions.count(); region++) {
            areas.add(new TreeMap<>());
        }
        Map<Integer, Map<Integer, Integer>> corrections = new HashMap<>();
        for (Cell cell : map.cells()) {
            int region = regions.of(cell.number());
            areas.get(region).merge(fills.of(cell.number()).text(), (long) cell.areaPx(), Long::sum);
            corrected
                    .getOrDefault(cell.number(), Map.of())
                    .forEach((fill, times) -> corrections
                            .computeIfAbsent(region, any -> new HashMap<>())
                            .merge(labels.of(fill), times, Integer::sum));
        }
        int[] most = new int[areas.size()];
        // What a figure is judged before is not of the figure.
        Arrays.setAll(most, region -> isModel && drawing.reachesEdge(region) ? -1 : label(areas.get(region), labels));
        return new Carry.Source(drawing, most, corrections);
    }

    private static int label(Map<String, Long> areas, FillLabels labels) {
        String most = areas.entrySet().stream()
                .max(Map.Entry.comparingByValue())
                .map(Map.Entry::getKey)
                .orElse(Fill.NONE.text());
        return most.equals(Fill.NONE.text()) ? -1 : labels.of(most);
    }

    SheetCarrying.Choice choice(Carry.Choice choice, String fill) {
        Cell cell = map.cells().stream()
                .filter(each -> regions.of(each.number()) == choice.from())
                .max((a, b) -> Double.compare(a.depthPx(), b.depthPx()))
                .orElseThrow();
        return new SheetCarrying.Choice(
                fill,
                choice.share(),
                sheet.id(),
                sheet.layer().id(),
                cell.number(),
                (cell.deepestX() + 0.5) / map.plane().widthPx(),
                (cell.deepestY() + 0.5) / map.plane().heightPx());
    }
}
