package stillpond.core.region;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import stillpond.core.gap.Dams;
import stillpond.core.gap.GapPlaces;
import stillpond.core.gap.LeakTrace;
import stillpond.core.gap.Opening;
import stillpond.core.gap.OpeningList;
import stillpond.core.gap.Regions;

/**
 * A fill that would run out of the piece that somebody points at, through gaps, over much more than that piece.
 *
 * <p>This asks before the fill is laid, and a question costs a click, so it asks of weak dams too; what has run out already is looked for by the check, which names only
 * what is likely.
 *
 * @param dam the openings, by index, that would keep it in; those that are seen, without crumbs where closures cross
 * @param places at how many places they lie
 * @param narrowestPx how wide the narrowest is
 * @param times as much as the piece would be filled
 * @param way the openings passed, by index, from the cell pointed at to the deepest place of the region
 */
public record Spill(
        Set<Integer> dam, List<Integer> gaps, int places, double narrowestPx, int times, List<Integer> way) {

    /** A region so many times as large as the piece is not what was meant. */
    private static final double MANY_TIMES = 4;

    /** The same, where the region reaches the edge of the sheet. */
    private static final double MANY_TIMES_TO_THE_EDGE = 1.5;

    /** Of the region that reaches the edge: a larger piece is most of it, so what is beyond may well be meant too. */
    private static final double MOST_OF_REGION = 0.5;

    private static final double LEAST_STRENGTH = 0.1;

    /** Empty if a fill laid on a cell would stay where it seems meant. */
    public static Optional<Spill> from(int cell, RegionMap map, OpeningList openings, Dams dams) {
        Set<Integer> dam = map.regions().smaller(cell);
        double strength = dam.stream()
                .mapToDouble(each -> openings.all().get(each).strength())
                .max()
                .orElse(0);
        if (strength < LEAST_STRENGTH) {
            return Optional.empty();
        }
        Region region = map.with(cell);
        long piece = pieceAreaPx(cell, map, openings, dams.shutting(dam));
        boolean runsToTheEdge = map.reachesEdge(region)
                && region.areaPx() > MANY_TIMES_TO_THE_EDGE * piece
                && piece < MOST_OF_REGION * region.areaPx();
        if (region.areaPx() <= MANY_TIMES * piece && !runsToTheEdge) {
            return Optional.empty();
        }
        List<Integer> gaps = GapPlaces.withoutCrumbs(openings, dam);
        double narrowest = gaps.stream()
                .map(openings.all()::get)
                .mapToDouble(Opening::widthPx)
                .min()
                .orElse(0);
        return Optional.of(new Spill(
                dam,
                gaps,
                GapPlaces.count(openings, gaps),
                narrowest,
                (int) Math.round((double) region.areaPx() / piece),
                LeakTrace.between(
                        openings,
                        map.graph().count(),
                        dams,
                        cell,
                        region.deepest().number())));
    }

    private static long pieceAreaPx(int cell, RegionMap map, OpeningList openings, Dams dammed) {
        Regions pieces = Regions.of(openings.all(), map.graph().count(), dammed);
        long area = 0;
        for (int each : map.with(cell).cells()) {
            area += pieces.of(each) == pieces.of(cell)
                    ? map.graph().cells().get(each).areaPx()
                    : 0;
        }
        return area;
    }
}
