package stillpond.core.gap;

import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.IntStream;

/** The regions of a layer under some dams: cells joined through the openings that are not dammed. */
public final class Regions {

    private final Openings openings;
    private final int[] regionOfCell;

    private Regions(Openings openings, int[] regionOfCell) {
        this.openings = openings;
        this.regionOfCell = regionOfCell;
    }

    /** Cost: linear in cells and openings. */
    public static Regions of(Openings openings, Dams dams) {
        DisjointSets sets = new DisjointSets(openings.cells().cells().size());
        for (int i = 0; i < openings.openings().size(); i++) {
            Opening opening = openings.openings().get(i);
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

    /**
     * One step up: the openings to leave open so that a cell's region takes in the piece behind its weakest dam.
     *
     * @return indices; empty if no dam bounds the region
     */
    public Set<Integer> bigger(int cell) {
        int region = of(cell);
        int weakest = -1;
        for (int i = 0; i < openings.openings().size(); i++) {
            Opening opening = openings.openings().get(i);
            boolean bounds = (of(opening.first()) == region) != (of(opening.second()) == region);
            if (bounds && (weakest < 0 || opening.strength() < strength(weakest))) {
                weakest = i;
            }
        }
        return weakest < 0 ? Set.of() : between(region, beyond(weakest, region));
    }

    /**
     * One step down: the openings to dam so that a cell's region leaves out what hangs on it by its strongest opening that is not dammed.
     *
     * @return indices; empty if the region is a single piece
     */
    public Set<Integer> smaller(int cell) {
        int region = of(cell);
        double strongest = -1;
        for (Opening opening : openings.openings()) {
            if (of(opening.first()) == region
                    && of(opening.second()) == region
                    && opening.first() != opening.second()) {
                strongest = Math.max(strongest, opening.strength());
            }
        }
        if (strongest < 0) {
            return Set.of();
        }
        DisjointSets kept = new DisjointSets(regionOfCell.length);
        for (Opening opening : openings.openings()) {
            if (of(opening.first()) == region && of(opening.second()) == region && opening.strength() < strongest) {
                kept.join(opening.first(), opening.second());
            }
        }
        Set<Integer> around = new TreeSet<>();
        int own = kept.find(cell);
        for (int i = 0; i < openings.openings().size(); i++) {
            Opening opening = openings.openings().get(i);
            boolean inRegion = of(opening.first()) == region && of(opening.second()) == region;
            if (inRegion && (kept.find(opening.first()) == own) != (kept.find(opening.second()) == own)) {
                around.add(i);
            }
        }
        return around;
    }

    private double strength(int opening) {
        return openings.openings().get(opening).strength();
    }

    private int beyond(int opening, int region) {
        Opening crossed = openings.openings().get(opening);
        return of(crossed.first()) == region ? of(crossed.second()) : of(crossed.first());
    }

    private Set<Integer> between(int region, int other) {
        Set<Integer> between = new TreeSet<>();
        for (int i = 0; i < openings.openings().size(); i++) {
            Opening opening = openings.openings().get(i);
            int a = of(opening.first());
            int b = of(opening.second());
            if (a == region && b == other || a == other && b == region) {
                between.add(i);
            }
        }
        return between;
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
