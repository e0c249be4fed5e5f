package stillpond.core.fill;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.UUID;
import java.util.function.IntPredicate;
import java.util.function.IntUnaryOperator;
import stillpond.core.refusal.Refusal;

/** The fills of a layer's cells, strokes and shadows at one moment, by {@link Places place}; what is not in it wears {@link Fill#NONE}. */
public final class Fills {

    private final Map<Integer, Fill> fillOfPlace;

    private Fills(Map<Integer, Fill> fillOfPlace) {
        this.fillOfPlace = fillOfPlace;
    }

    public static Fills none() {
        return new Fills(Map.of());
    }

    public static Fills of(Map<Integer, Fill> fillOfPlace) {
        Map<Integer, Fill> filled = new HashMap<>(fillOfPlace);
        filled.values().removeIf(Fill.NONE::equals);
        return new Fills(filled);
    }

    public Fill of(int place) {
        return fillOfPlace.getOrDefault(place, Fill.NONE);
    }

    /** What wears a fill. */
    public Set<Integer> filled() {
        return Set.copyOf(fillOfPlace.keySet());
    }

    /** Those of cells alone. */
    public Fills ofCells() {
        Map<Integer, Fill> cells = new HashMap<>(fillOfPlace);
        cells.keySet().removeIf(place -> !Places.isCell(place));
        return new Fills(cells);
    }

    /** Those of strokes alone, by the numbers of the strokes. */
    public Fills ofStrokes() {
        return among(Places::isStroke, Places::stroke);
    }

    /** Those of shadows alone, by the numbers of the shadows. */
    public Fills ofShadows() {
        return among(Places::isShadow, Places::shadow);
    }

    /** These, together with what shadows wear. @param shadows by the numbers of the shadows */
    public Fills withShadows(Fills shadows) {
        return with(shadows, Places::ofShadow);
    }

    /** Widths of strokes alone, by the numbers of the strokes. */
    public Fills ofWidths() {
        return among(Places::isWidth, Places::strokeOfWidth);
    }

    /** These, together with widths of strokes. @param widths by the numbers of the strokes */
    public Fills withWidths(Fills widths) {
        return with(widths, Places::ofWidth);
    }

    /** Those in some places alone. */
    public Fills in(IntPredicate places) {
        return among(places, place -> place);
    }

    private Fills among(IntPredicate isMeant, IntUnaryOperator number) {
        Map<Integer, Fill> meant = new HashMap<>();
        fillOfPlace.forEach((place, fill) -> {
            if (isMeant.test(place)) {
                meant.put(number.applyAsInt(place), fill);
            }
        });
        return new Fills(meant);
    }

    private Fills with(Fills others, IntUnaryOperator place) {
        Map<Integer, Fill> all = new HashMap<>(fillOfPlace);
        others.fillOfPlace.forEach((number, fill) -> all.put(place.applyAsInt(number), fill));
        return new Fills(all);
    }

    /** These of cells, together with what strokes wear. @param strokes by the numbers of the strokes */
    public Fills withStrokes(Fills strokes) {
        return with(strokes, Places::ofStroke);
    }

    /** The change that lays one fill in some places; those that wear it already are left out. */
    public Change laying(Fill fill, List<Integer> places) {
        Map<Integer, Fill> laid = new LinkedHashMap<>();
        places.forEach(place -> laid.put(place, fill));
        return laying(laid);
    }

    /** The change that lays in each place a fill of its own; those that wear theirs already are left out. */
    public Change laying(Map<Integer, Fill> fillByPlace) {
        List<Swap> swaps = new ArrayList<>();
        fillByPlace.forEach((place, fill) -> {
            if (!of(place).equals(fill)) {
                swaps.add(new Swap(place, of(place), fill));
            }
        });
        return new Change(swaps);
    }

    /** The change that lets whatever wears one of some swatches, in a flat fill or in any other, wear another. */
    public Change replacing(Set<UUID> swatches, UUID by) {
        Map<Integer, Fill> replaced = new TreeMap<>();
        fillOfPlace.forEach((place, fill) -> {
            if (fill.swatches().stream().anyMatch(swatches::contains)) {
                replaced.put(place, fill.wearing(each -> swatches.contains(each) ? by : each));
            }
        });
        return laying(replaced);
    }

    /** The change that makes these fills wear what others wear. */
    public Change becoming(Fills others) {
        Set<Integer> places = new TreeSet<>(fillOfPlace.keySet());
        places.addAll(others.fillOfPlace.keySet());
        return new Change(places.stream()
                .filter(place -> !of(place).equals(others.of(place)))
                .map(place -> new Swap(place, of(place), others.of(place)))
                .toList());
    }

    /**
     * The change that takes another one back. What no longer wears what that change gave it was changed since, by
     * somebody else, and is left alone.
     */
    public Change takingBack(Change change) {
        return new Change(change.inverse().swaps().stream()
                .filter(swap -> of(swap.place()).equals(swap.before()))
                .toList());
    }

    /**
     * The fills after a change.
     *
     * @throws Refusal if anything does not wear what the change says it wore before
     */
    public Fills after(Change change) {
        Map<Integer, Fill> changed = new HashMap<>(fillOfPlace);
        for (Swap swap : change.swaps()) {
            if (!of(swap.place()).equals(swap.before())) {
                throw new Refusal("Place " + swap.place() + " wears "
                        + of(swap.place()).text() + ", not " + swap.before().text() + ".");
            }
            changed.put(swap.place(), swap.after());
        }
        return of(changed);
    }
}
