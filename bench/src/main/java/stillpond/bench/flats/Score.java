package stillpond.bench.flats;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.IntPredicate;
import java.util.stream.Collectors;
import stillpond.core.gap.Dams;
import stillpond.core.gap.Openings;
import stillpond.core.gap.Regions;

/** What one click at the deepest point of each region of a case selects, under default settings. */
final class Score {

    private static final double HIT = 0.85;
    private static final double LEAK = 0.25;
    private static final double COVERS = 0.02;

    private Score() {}

    /**
     * @param iou intersection over union with the truth, over pixels whose truth is known
     * @param bestWithinAStep the best of the click, one step bigger and one step smaller
     */
    record Click(String name, Case.TruthRegion region, double iou, double bestWithinAStep, double outside, int pieces) {

        boolean isHit() {
            return iou >= HIT;
        }

        boolean isHitWithinAStep() {
            return bestWithinAStep >= HIT;
        }

        boolean isLeak() {
            return outside > LEAK;
        }
    }

    static List<Click> of(Case drawn, Openings openings) {
        int[] cells = openings.cells().plane().numbers();
        Map<Integer, Map<Integer, Integer>> areas = new HashMap<>();
        for (int i = 0; i < cells.length; i++) {
            if (drawn.truth()[i] != 0) {
                areas.computeIfAbsent(cells[i], cell -> new HashMap<>()).merge(drawn.truth()[i], 1, Integer::sum);
            }
        }
        Dams dams = Dams.at(openings.defaultReach());
        Regions regions = Regions.of(openings, dams);
        List<Click> clicks = new ArrayList<>();
        for (Case.TruthRegion region : drawn.regions()) {
            int cell = openings.cells().plane().numberAt(region.x(), region.y());
            double[] now = measure(areas, region, each -> regions.of(each) == regions.of(cell));
            double best = now[0];
            for (Dams step : List.of(dams.opening(regions.bigger(cell)), dams.shutting(regions.smaller(cell)))) {
                Regions stepped = Regions.of(openings, step);
                best = Math.max(best, measure(areas, region, each -> stepped.of(each) == stepped.of(cell))[0]);
            }
            clicks.add(new Click(drawn.name(), region, now[0], best, now[1], pieces(areas, region, regions)));
        }
        return clicks;
    }

    /** Intersection over union, and the share of the selection outside the region. */
    private static double[] measure(
            Map<Integer, Map<Integer, Integer>> areas, Case.TruthRegion region, IntPredicate selected) {
        long selection = 0;
        long inside = 0;
        for (Map.Entry<Integer, Map<Integer, Integer>> cell : areas.entrySet()) {
            if (selected.test(cell.getKey())) {
                selection += cell.getValue().values().stream()
                        .mapToInt(Integer::intValue)
                        .sum();
                inside += cell.getValue().getOrDefault(region.id(), 0);
            }
        }
        double union = selection + region.area() - inside;
        return new double[] {inside / union, selection == 0 ? 0 : (selection - inside) / (double) selection};
    }

    private static int pieces(Map<Integer, Map<Integer, Integer>> areas, Case.TruthRegion region, Regions regions) {
        Map<Integer, Integer> covered = new HashMap<>();
        areas.forEach(
                (cell, byLabel) -> covered.merge(regions.of(cell), byLabel.getOrDefault(region.id(), 0), Integer::sum));
        return (int) covered.values().stream()
                .filter(area -> area >= COVERS * region.area())
                .count();
    }

    /** One line of figures for some clicks. */
    static String line(String what, List<Click> clicks) {
        if (clicks.isEmpty()) {
            return String.format("%-14s n 0", what);
        }
        double n = clicks.size();
        return String.format(
                "%-14s n %-5d one-click %.3f  within a step %.3f  mean IoU %.3f  leak %.3f  pieces %.2f",
                what,
                clicks.size(),
                clicks.stream().filter(Click::isHit).count() / n,
                clicks.stream().filter(Click::isHitWithinAStep).count() / n,
                clicks.stream().mapToDouble(Click::iou).average().orElse(0),
                clicks.stream().filter(Click::isLeak).count() / n,
                clicks.stream().mapToInt(Click::pieces).average().orElse(0));
    }

    static String csv(List<Click> clicks) {
        return clicks.stream()
                .map(click -> String.format(
                        "%s,%d,%d,%.4f,%.4f,%.4f,%.4f,%d",
                        click.name(),
                        click.region().id(),
                        click.region().area(),
                        click.region().support(),
                        click.iou(),
                        click.bestWithinAStep(),
                        click.outside(),
                        click.pieces()))
                .collect(Collectors.joining(
                        "\n", "case,region,area,support,iou,iou_within_a_step,outside,pieces\n", "\n"));
    }
}
