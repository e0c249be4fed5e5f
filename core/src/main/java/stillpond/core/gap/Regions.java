package stillpond.core.gap;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.IntStream;

/** The regions of a layer under some dams: cells joined through the openings that are not dammed. */
public final class Regions {

    /** Openings weaker than this matter to nobody who looks at a region. */
    private static final double LEAST_STRENGTH = 0.1;

    private final List<Opening> openings;
    private final int[] regionOfCell;

    private Regions(List<Opening> openings, int[] regionOfCell) {
        this.openings = openings;
        this.regionOfCell = regionOfCell;
    }

    /** Cost: linear in cells and openings. */
    public static Regions of(Openings openings, Dams dams) {
        return of(openings.openings(), openings.cells().cells().size(), dams);
    }

    /** @param cells how many the layer has */
    public static Regions of(List<Opening> openings, int cells, Dams dams) {
        DisjointSets sets = new DisjointSets(cells);
        for (int i = 0; i < openings.size(); i++) {
            Opening opening = openings.get(i);
            if (!dams.isShut(i, opening)) {
                sets.join(opening.first(), opening.second());
            }
        }
        return new Regions(openings, sets.numbered());
    }

    /** Regions are numbered from 0 by their lowest cells. */
    public int of(int cell) {
        return regionOfCell[cell];
    }

    /** The openings at the border of a region, or inside it, that somebody might care about, by index. */
    public Set<Integer> openingsAt(int region) {
        Set<Integer> at = new TreeSet<>();
        for (int i = 0; i < openings.size(); i++) {
            Opening opening = openings.get(i);
            boolean touches = of(opening.first()) == region || of(opening.second()) == region;
            if (touches && opening.strength() >= LEAST_STRENGTH) {
                at.add(i);
            }
        }
        return at;
    }

    /**
     * One step up: the openings to leave open so that a cell's region becomes the next larger one that stands out. Of the regions that it grows through as its weakest dams
     * are lifted one by one, that is the one which the strongest rise of level holds together.
     *
     * @return indices; empty if no dam bounds the region
     */
    public Set<Integer> bigger(int cell) {
        DisjointSets sets = new DisjointSets(regionOfCell.length);
        joinRegions(sets);
        double level = weakestAround(sets, cell);
        List<Set<Integer>> lifted = new ArrayList<>();
        Set<Integer> sofar = new TreeSet<>();
        double rise = -1;
        int best = -1;
        while (level >= 0 && lifted.size() < MOST_MERGES) {
            liftUpTo(sets, cell, level, sofar);
            lifted.add(new TreeSet<>(sofar));
            double next = weakestAround(sets, cell);
            double gap = (next < 0 ? 1 : next) - level;
            if (gap > rise) {
                rise = gap;
                best = lifted.size() - 1;
            }
            level = next;
        }
        return best < 0 ? Set.of() : lifted.get(best);
    }

    /** How many dams one step up may lift one after the other, and how many one step down may raise. */
    private static final int MOST_MERGES = 9;

    private void joinRegions(DisjointSets sets) {
        int[] first = new int[regionOfCell.length];
        Arrays.fill(first, -1);
        for (int each = 0; each < regionOfCell.length; each++) {
            if (first[regionOfCell[each]] < 0) {
                first[regionOfCell[each]] = each;
            }
            sets.join(each, first[regionOfCell[each]]);
        }
    }

    /** The strength of the weakest opening around a cell's set; negative if there is none. */
    private double weakestAround(DisjointSets sets, int cell) {
        int own = sets.find(cell);
        double weakest = -1;
        for (Opening opening : openings) {
            boolean bounds = (sets.find(opening.first()) == own) != (sets.find(opening.second()) == own);
            if (bounds && (weakest < 0 || opening.strength() < weakest)) {
                weakest = opening.strength();
            }
        }
        return weakest;
    }

    /** Takes in all that lies behind openings of at most a strength around a cell's set, with all openings that are inside then. */
    private void liftUpTo(DisjointSets sets, int cell, double level, Set<Integer> lifted) {
        boolean grows = true;
        while (grows) {
            grows = false;
            int own = sets.find(cell);
            for (Opening opening : openings) {
                boolean bounds = (sets.find(opening.first()) == own) != (sets.find(opening.second()) == own);
                if (bounds && opening.strength() <= level) {
                    sets.join(opening.first(), opening.second());
                    own = sets.find(cell);
                    grows = true;
                }
            }
        }
        int own = sets.find(cell);
        for (int i = 0; i < openings.size(); i++) {
            Opening opening = openings.get(i);
            boolean isInside = sets.find(opening.first()) == own && sets.find(opening.second()) == own;
            if (isInside && of(opening.first()) != of(opening.second())) {
                lifted.add(i);
            }
        }
    }

    /**
     * One step down: the openings to dam so that a cell's region becomes the next smaller one that stands out.
     *
     * @return indices; empty if the region is a single piece
     */
    public Set<Integer> smaller(int cell) {
        int region = of(cell);
        double level = strongestWithin(regionOfCell, region, cell);
        double fall = -1;
        double best = -1;
        for (int step = 0; level >= 0 && step < MOST_MERGES; step++) {
            int[] pieces = piecesBelow(level, region);
            double next = strongestWithin(pieces, pieces[cell], cell);
            double gap = level - Math.max(0, next);
            if (gap > fall) {
                fall = gap;
                best = level;
            }
            level = next;
        }
        if (best < 0) {
            return Set.of();
        }
        int[] pieces = piecesBelow(best, region);
        Set<Integer> around = new TreeSet<>();
        for (int i = 0; i < openings.size(); i++) {
            Opening opening = openings.get(i);
            boolean isWithin = of(opening.first()) == region && of(opening.second()) == region;
            if (isWithin && (pieces[opening.first()] == pieces[cell]) != (pieces[opening.second()] == pieces[cell])) {
                around.add(i);
            }
        }
        return around;
    }

    /** The pieces that a region falls into if all its openings of a strength or more were dammed: equal numbers, one piece. */
    private int[] piecesBelow(double strength, int region) {
        DisjointSets kept = new DisjointSets(regionOfCell.length);
        for (Opening opening : openings) {
            if (of(opening.first()) == region && of(opening.second()) == region && opening.strength() < strength) {
                kept.join(opening.first(), opening.second());
            }
        }
        return kept.numbered();
    }

    /** The strength of the strongest opening within a piece; negative if there is none. */
    private double strongestWithin(int[] pieces, int piece, int cell) {
        double strongest = -1;
        for (Opening opening : openings) {
            boolean isWithin = pieces[opening.first()] == piece && pieces[opening.second()] == piece;
            if (isWithin && of(opening.first()) == of(cell) && opening.first() != opening.second()) {
                strongest = Math.max(strongest, opening.strength());
            }
        }
        return strongest;
    }

    /** All cells of the region that a cell lies in: what one click fills. */
    public List<Integer> with(int cell) {
        return IntStream.range(0, regionOfCell.length)
                .filter(each -> of(each) == of(cell))
                .boxed()
                .toList();
    }

    /** The region of every cell; a copy. */
    public int[] ofCells() {
        return regionOfCell.clone();
    }

    public int count() {
        return regionOfCell.length == 0 ? 0 : Arrays.stream(regionOfCell).max().orElseThrow() + 1;
    }
}
