package stillpond.core.gap;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;

/** How openings are counted by somebody who looks at them. */
public final class GapPlaces {

    /** Openings nearer to each other than this share of the wider one are one place. */
    private static final double SAME_PLACE = 0.8;

    /** Where closures cross each other, crumbs shorter than this, in stroke widths, are left over. */
    private static final double CRUMB_STROKES = 0.45;

    private GapPlaces() {}

    /** Some openings, by index, without crumbs; all, if there are only crumbs. */
    public static List<Integer> withoutCrumbs(OpeningList openings, Collection<Integer> indices) {
        List<Integer> whole = indices.stream()
                .filter(i -> openings.all().get(i).widthPx() >= CRUMB_STROKES * openings.strokePx())
                .toList();
        return whole.isEmpty() ? List.copyOf(indices) : whole;
    }

    /** At how many places some openings, by index, lie: closures across one gap, only a little apart, are one place. */
    public static int count(OpeningList openings, Collection<Integer> indices) {
        List<Opening> places = new ArrayList<>();
        indices.stream()
                .map(openings.all()::get)
                .sorted(Comparator.comparingDouble(Opening::widthPx))
                .forEach(opening -> {
                    boolean isNew = places.stream()
                            .allMatch(place -> place.middle().distanceTo(opening.middle())
                                    > SAME_PLACE * Math.max(place.widthPx(), opening.widthPx()));
                    if (isNew) {
                        places.add(opening);
                    }
                });
        return places.size();
    }
}
