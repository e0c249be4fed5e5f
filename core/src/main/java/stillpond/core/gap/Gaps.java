package stillpond.core.gap;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;

/**
 * The gaps of a layer under some dams, in the order in which they are worth a look: by how unsure it is whether each is dammed rightly, weighed by how much would run
 * where.
 */
public final class Gaps {

    /** Weaker openings are no gaps that anybody would think of. */
    private static final double LEAST_STRENGTH = 0.03;

    /** From this doubt on a gap is worth a look. */
    private static final double IN_DOUBT = 0.5;

    /** What is dammed over more stroke widths than this is worth a look, however sure it seems. */
    private static final double LONG_DAM_STROKES = 6;

    /** Pieces of fewer square stroke widths hardly show. */
    private static final double LEAST_EFFECT_STROKES = 12;

    /** Nobody is asked about slivers of fewer: whichever way it goes, hardly anything changes its colour. */
    private static final double LEAST_ASKED_STROKES = 40;

    private static final int MOST_OPEN = 250;

    private static final Comparator<Gap> MOST_WORTH_A_LOOK = Comparator.comparingDouble((Gap gap) -> -worth(gap))
            .thenComparingDouble(gap -> -gap.widthPx())
            .thenComparingInt(gap -> gap.openings().get(0));

    private final OpeningList openings;
    private final int[] areas;
    private final Dams dams;
    private final DisjointSets regions;
    private final long[] areaOfRegion;

    private Gaps(OpeningList openings, int[] areas, Dams dams) {
        this.openings = openings;
        this.areas = areas;
        this.dams = dams;
        this.regions = new DisjointSets(areas.length);
        for (int i = 0; i < openings.all().size(); i++) {
            Opening opening = openings.all().get(i);
            if (!dams.isShut(i, opening)) {
                regions.join(opening.first(), opening.second());
            }
        }
        this.areaOfRegion = areasOf(regions);
    }

    /** @param areasPx of the cells */
    public static List<Gap> of(OpeningList openings, int[] areasPx, Dams dams) {
        Gaps gaps = new Gaps(openings, areasPx, dams);
        List<Gap> all = new ArrayList<>(gaps.dammed());
        all.addAll(gaps.open());
        double least = LEAST_EFFECT_STROKES * openings.strokePx() * openings.strokePx();
        all.removeIf(gap -> gap.effectPx() < least && !gap.isSaid());
        all.sort(MOST_WORTH_A_LOOK);
        return all;
    }

    /** Eight times the area is worth twice as much: by the area itself slivers would never come, by its logarithm they would come first. */
    private static double worth(Gap gap) {
        return (0.05 + gap.doubt()) * Math.cbrt(gap.effectPx());
    }

    private long[] areasOf(DisjointSets sets) {
        long[] sum = new long[areas.length];
        for (int cell = 0; cell < areas.length; cell++) {
            sum[sets.find(cell)] += areas[cell];
        }
        return sum;
    }

    private List<Gap> dammed() {
        Map<Long, List<Integer>> byRegions = new TreeMap<>();
        for (int i = 0; i < openings.all().size(); i++) {
            Opening opening = openings.all().get(i);
            int a = regions.find(opening.first());
            int b = regions.find(opening.second());
            if (a != b) {
                byRegions
                        .computeIfAbsent((long) Math.min(a, b) << 32 | Math.max(a, b), pair -> new ArrayList<>())
                        .add(i);
            }
        }
        return byRegions.values().stream().map(this::dammed).toList();
    }

    private Gap dammed(List<Integer> indices) {
        Opening one = openings.all().get(indices.get(0));
        return gap(indices, true, List.of(side(one.first()), side(one.second())));
    }

    private Gap.Side side(int cell) {
        return new Gap.Side(cell, areaOfRegion[regions.find(cell)]);
    }

    /** For each open one the two pieces that its region would fall into if it and all stronger ones were dammed. */
    private List<Gap> open() {
        List<Integer> candidates = new ArrayList<>();
        for (int i = 0; i < openings.all().size(); i++) {
            Opening opening = openings.all().get(i);
            boolean counts = opening.strength() >= LEAST_STRENGTH && opening.first() != opening.second();
            if (counts && !dams.isShut(i, opening)) {
                candidates.add(i);
            }
        }
        candidates.sort(Comparator.comparingDouble((Integer i) -> -strength(i)).thenComparingInt(i -> i));
        List<Integer> looked = candidates.subList(0, Math.min(MOST_OPEN, candidates.size()));
        Map<Integer, Parting> partings = partings(looked);
        Set<Integer> taken = new HashSet<>();
        List<Gap> gaps = new ArrayList<>();
        for (int index : looked) {
            Parting parting = partings.get(index);
            if (parting != null && !taken.contains(index)) {
                taken.addAll(parting.same());
                gaps.add(gap(parting.same(), false, parting.sides()));
            }
        }
        return gaps;
    }

    /** Two pieces, and the openings between them. */
    private record Parting(List<Integer> same, List<Gap.Side> sides) {}

    /**
     * What each opening would part; nothing if its cells are joined by weaker ones. From the weakest up, the pieces of each are those of the one before it, joined
     * further.
     *
     * @param looked the strongest first
     */
    private Map<Integer, Parting> partings(List<Integer> looked) {
        List<Integer> rising = risingOpen();
        DisjointSets pieces = new DisjointSets(areas.length);
        long[] area = areasOf(pieces);
        Map<Integer, Parting> partings = new HashMap<>();
        int next = 0;
        for (int i = looked.size() - 1; i >= 0; i--) {
            int index = looked.get(i);
            while (next < rising.size() && strength(rising.get(next)) < strength(index)) {
                join(pieces, openings.all().get(rising.get(next++)), area);
            }
            Opening opening = openings.all().get(index);
            int a = pieces.find(opening.first());
            int b = pieces.find(opening.second());
            if (a != b) {
                List<Gap.Side> sides =
                        List.of(new Gap.Side(opening.first(), area[a]), new Gap.Side(opening.second(), area[b]));
                partings.put(index, new Parting(between(pieces, a, b, looked), sides));
            }
        }
        return partings;
    }

    /** Those that are not dammed, the weakest first. */
    private List<Integer> risingOpen() {
        List<Integer> rising = new ArrayList<>();
        for (int i = 0; i < openings.all().size(); i++) {
            if (!dams.isShut(i, openings.all().get(i))) {
                rising.add(i);
            }
        }
        rising.sort(Comparator.comparingDouble(this::strength));
        return rising;
    }

    private static void join(DisjointSets pieces, Opening opening, long[] area) {
        int a = pieces.find(opening.first());
        int b = pieces.find(opening.second());
        if (a != b) {
            long sum = area[a] + area[b];
            pieces.join(a, b);
            area[pieces.find(a)] = sum;
        }
    }

    private List<Integer> between(DisjointSets pieces, int a, int b, List<Integer> looked) {
        List<Integer> same = new ArrayList<>();
        for (int each : looked) {
            int c = pieces.find(openings.all().get(each).first());
            int d = pieces.find(openings.all().get(each).second());
            if (c == a && d == b || c == b && d == a) {
                same.add(each);
            }
        }
        return same;
    }

    private Gap gap(List<Integer> indices, boolean isShut, List<Gap.Side> sides) {
        List<Integer> whole = GapPlaces.withoutCrumbs(openings, indices);
        int narrowest = whole.stream()
                .min(Comparator.comparingDouble((Integer i) -> width(i)).thenComparingInt(i -> i))
                .orElseThrow();
        List<Integer> ordered = new ArrayList<>(List.of(narrowest));
        indices.stream().filter(i -> i != narrowest).forEach(ordered::add);
        boolean isSaid = indices.stream().anyMatch(i -> dams.of(i) != DamState.BY_REACH);
        double strongest = indices.stream().mapToDouble(this::strength).max().orElseThrow();
        double longest = whole.stream()
                .mapToDouble(i -> openings.all().get(i).widthStrokes())
                .max()
                .orElseThrow();
        double doubt = isSaid ? 0 : doubt(strongest, isShut);
        boolean isLong = isShut && longest > LONG_DAM_STROKES;
        long effect = Math.min(sides.get(0).areaPx(), sides.get(1).areaPx());
        boolean isSliver = effect < LEAST_ASKED_STROKES * openings.strokePx() * openings.strokePx();
        return new Gap(
                ordered,
                GapPlaces.count(openings, whole),
                width(narrowest),
                isShut,
                isSaid,
                sides,
                doubt,
                !isSaid && !isSliver && (doubt >= IN_DOUBT || isLong));
    }

    /** How near the strength lies to reach, beside how far from it it could lie on its side. */
    private double doubt(double strength, boolean isShut) {
        double reach = dams.reach();
        double sure =
                isShut ? (strength - reach) / Math.max(1e-9, 1 - reach) : (reach - strength) / Math.max(1e-9, reach);
        return Math.max(0, Math.min(1, 1 - sure));
    }

    private double strength(int index) {
        return openings.all().get(index).strength();
    }

    private double width(int index) {
        return openings.all().get(index).widthPx();
    }
}
