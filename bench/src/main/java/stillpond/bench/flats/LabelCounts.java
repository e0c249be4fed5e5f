package stillpond.bench.flats;

import java.util.HashMap;
import java.util.Map;
import java.util.function.IntPredicate;

/** How many pixels of each true label lie in each cell; pixels that nobody cares for are left out. */
final class LabelCounts {

    private final Map<Integer, Map<Integer, Integer>> byCell = new HashMap<>();
    private final Map<Integer, Integer> areas = new HashMap<>();

    /**
     * @param cells the cell of every pixel
     * @param truth the label of every pixel
     */
    LabelCounts(int[] cells, int[] truth) {
        for (int i = 0; i < cells.length; i++) {
            if (truth[i] != Case.DO_NOT_CARE) {
                byCell.computeIfAbsent(cells[i], cell -> new HashMap<>()).merge(truth[i], 1, Integer::sum);
                areas.merge(truth[i], 1, Integer::sum);
            }
        }
    }

    /** In pixels, counted from the labels; 0 if no pixel has the label. */
    int area(int label) {
        return areas.getOrDefault(label, 0);
    }

    int within(int cell, int label) {
        return byCell.getOrDefault(cell, Map.of()).getOrDefault(label, 0);
    }

    /** Some cells beside a true region. */
    Overlap overlap(int label, IntPredicate selected) {
        long selection = 0;
        long inside = 0;
        for (Map.Entry<Integer, Map<Integer, Integer>> cell : byCell.entrySet()) {
            if (selected.test(cell.getKey())) {
                for (int count : cell.getValue().values()) {
                    selection += count;
                }
                inside += cell.getValue().getOrDefault(label, 0);
            }
        }
        return new Overlap(selection, inside, area(label));
    }

    /** The cells that hold a label, with how much of it. */
    Map<Integer, Integer> cellsOf(int label) {
        Map<Integer, Integer> cells = new HashMap<>();
        byCell.forEach((cell, counts) -> {
            if (counts.containsKey(label)) {
                cells.put(cell, counts.get(label));
            }
        });
        return cells;
    }

    /** In pixels. */
    record Overlap(long selection, long inside, long region) {

        double iou() {
            return inside / (double) Math.max(1, selection + region - inside);
        }

        /** The share of the selection outside the region. */
        double outside() {
            return selection == 0 ? 0 : (selection - inside) / (double) selection;
        }
    }
}
