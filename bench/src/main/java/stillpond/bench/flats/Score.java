package stillpond.bench.flats;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import stillpond.core.gap.Dams;
import stillpond.core.gap.Openings;
import stillpond.core.gap.Regions;

/** What one click at the deepest point of each region of a case selects, under default settings and where nothing is dammed. */
final class Score {

    private static final double HIT = 0.85;
    private static final double LEAK = 0.25;
    private static final double COVERS = 0.02;

    private Score() {}

    /**
     * @param support how far ink backs the region's border
     * @param areaPx the region's, counted from the labels
     * @param iou intersection over union with the truth, over pixels whose truth is known
     * @param bestWithinAStep the best of the click, one step bigger and one step smaller
     * @param plainIou that of the paper connected to the click, with no dam at all
     * @param outside the share of the selection outside the region
     * @param pieces how many regions of the segmentation cover a share of it that counts
     */
    record Click(
            String name,
            int region,
            Support support,
            int areaPx,
            double iou,
            double bestWithinAStep,
            double plainIou,
            double outside,
            int pieces) {

        boolean isHit() {
            return iou >= HIT;
        }

        boolean isHitWithinAStep() {
            return bestWithinAStep >= HIT;
        }

        boolean isHitPlain() {
            return plainIou >= HIT;
        }

        boolean isLeak() {
            return outside > LEAK;
        }

        /** No dam at all would have been better. */
        boolean isCutNeedlessly() {
            return isHitPlain() && !isHit();
        }

        boolean isSavedByDams() {
            return isHit() && !isHitPlain();
        }
    }

    static List<Click> of(Case drawn, Openings openings) {
        LabelCounts counts = new LabelCounts(openings.cells().plane().numbers(), drawn.truth());
        Dams dams = Dams.at(openings.defaultReach());
        Regions regions = Regions.of(openings, dams);
        Regions plain = Regions.of(openings, Dams.at(1));
        List<Click> clicks = new ArrayList<>();
        for (Case.TruthRegion region : drawn.regions()) {
            int cell = openings.cells().plane().numberAt(region.x(), region.y());
            LabelCounts.Overlap now = counts.overlap(region.id(), same(regions, cell));
            double best = now.iou();
            for (Set<Integer> step : List.of(regions.bigger(cell), regions.smaller(cell))) {
                Dams stepped = step.equals(regions.bigger(cell)) ? dams.opening(step) : dams.shutting(step);
                best = Math.max(
                        best,
                        counts.overlap(region.id(), same(Regions.of(openings, stepped), cell))
                                .iou());
            }
            clicks.add(new Click(
                    drawn.name(),
                    region.id(),
                    Support.of(region.support()),
                    counts.area(region.id()),
                    now.iou(),
                    best,
                    counts.overlap(region.id(), same(plain, cell)).iou(),
                    now.outside(),
                    pieces(counts, region.id(), regions)));
        }
        return clicks;
    }

    private static java.util.function.IntPredicate same(Regions regions, int cell) {
        return each -> regions.of(each) == regions.of(cell);
    }

    private static int pieces(LabelCounts counts, int region, Regions regions) {
        Map<Integer, Integer> covered = new HashMap<>();
        counts.cellsOf(region).forEach((cell, pixels) -> covered.merge(regions.of(cell), pixels, Integer::sum));
        return (int) covered.values().stream()
                .filter(area -> area >= COVERS * counts.area(region))
                .count();
    }

    /** A line of figures for each class of regions, the others than closed and open ones together, and how many dams helped or harmed. */
    static String report(String what, List<Click> clicks) {
        StringBuilder text = new StringBuilder();
        for (Support support : Support.values()) {
            text.append(
                    line(what + support.name().toLowerCase(Locale.ROOT), clicks, click -> click.support() == support));
        }
        text.append(line(
                what + "others",
                clicks,
                click -> click.support() == Support.HAIRLINE || click.support() == Support.GAPPED));
        List<Click> closed = clicks.stream()
                .filter(click -> click.support() == Support.CLOSED)
                .toList();
        text.append(String.format(
                "%sclosed: %d cut where no dam at all would have hit, %d saved by dams%n",
                what,
                closed.stream().filter(Click::isCutNeedlessly).count(),
                closed.stream().filter(Click::isSavedByDams).count()));
        return text.toString();
    }

    private static String line(String what, List<Click> all, Predicate<Click> wanted) {
        List<Click> clicks = all.stream().filter(wanted).toList();
        if (clicks.isEmpty()) {
            return String.format("%-20s n 0%n", what);
        }
        return String.format(
                Locale.ROOT,
                "%-20s n %-5d one-click %.3f  within a step %.3f  mean IoU %.3f  leak %.3f  pieces %.2f  | no dams %.3f%n",
                what,
                clicks.size(),
                share(clicks, Click::isHit),
                share(clicks, Click::isHitWithinAStep),
                clicks.stream().mapToDouble(Click::iou).average().orElse(0),
                share(clicks, Click::isLeak),
                clicks.stream().mapToInt(Click::pieces).average().orElse(0),
                share(clicks, Click::isHitPlain));
    }

    private static double share(List<Click> clicks, Predicate<Click> of) {
        return clicks.stream().filter(of).count() / (double) clicks.size();
    }

    static String csv(List<Click> clicks) {
        return clicks.stream()
                .map(click -> String.format(
                        Locale.ROOT,
                        "%s,%d,%s,%d,%.4f,%.4f,%.4f,%.4f,%d",
                        click.name(),
                        click.region(),
                        click.support(),
                        click.areaPx(),
                        click.iou(),
                        click.bestWithinAStep(),
                        click.plainIou(),
                        click.outside(),
                        click.pieces()))
                .collect(Collectors.joining(
                        "\n", "case,region,support,area,iou,iou_within_a_step,iou_no_dams,outside,pieces\n", "\n"));
    }
}
