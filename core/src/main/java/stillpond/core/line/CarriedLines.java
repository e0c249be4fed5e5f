package stillpond.core.line;

import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.fill.Places;
import stillpond.core.stroke.Stroke;

/** What ink wears between which fills, learned on some sheets and brought over to others. Ink that wears nothing speaks too: between such fills ink is black. */
public final class CarriedLines {

    /** So much of the ink between two fills must wear the same for it to be brought over. */
    private static final double AGREEING = 0.75;

    /** Ink by what it wears, by the fills on its sides. */
    private final Map<Set<String>, Map<Fill, Double>> inks = new HashMap<>();

    /** Learns from one more sheet. @param worn by its cells and strokes */
    public void learn(List<Stroke> strokes, Fills worn) {
        for (Stroke stroke : strokes) {
            Set<String> beside = beside(stroke, worn);
            if (!beside.isEmpty()) {
                inks.computeIfAbsent(beside, any -> new HashMap<>())
                        .merge(worn.of(Places.ofStroke(stroke.number())), stroke.inkPx(), Double::sum);
            }
        }
    }

    /**
     * What strokes of another sheet get; those that wear something already keep it, and ink between fills that were met nowhere, or in several ways, is left alone.
     *
     * @param worn by the cells and strokes of that sheet
     * @return by stroke, as a {@link Places place}
     */
    public Map<Integer, Fill> on(Collection<Stroke> strokes, Fills worn) {
        Map<Integer, Fill> laid = new TreeMap<>();
        for (Stroke stroke : strokes) {
            int place = Places.ofStroke(stroke.number());
            if (worn.of(place).equals(Fill.NONE)) {
                Fill fill = agreed(inks.getOrDefault(beside(stroke, worn), Map.of()));
                if (!fill.equals(Fill.NONE)) {
                    laid.put(place, fill);
                }
            }
        }
        return laid;
    }

    private static Fill agreed(Map<Fill, Double> byFill) {
        double all = byFill.values().stream().mapToDouble(Double::doubleValue).sum();
        return byFill.entrySet().stream()
                .filter(each -> each.getValue() >= AGREEING * all)
                .map(Map.Entry::getKey)
                .findFirst()
                .orElse(Fill.NONE);
    }

    /** The fills on the sides of a stroke; empty if there is none at all. Spans do not count: a gradient lies otherwise on every sheet. */
    private static Set<String> beside(Stroke stroke, Fills worn) {
        Set<String> beside = stroke.sides().stream()
                .map(side -> worn.of(side.cell()))
                .map(fill -> fill.swatches().toString())
                .collect(Collectors.toCollection(TreeSet::new));
        return beside.equals(Set.of(Fill.NONE.swatches().toString())) ? Set.of() : beside;
    }
}
