package stillpond.core.ledger;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.IntFunction;
import stillpond.core.cell.Border;
import stillpond.core.cell.CellGraph;
import stillpond.core.fill.Fill;

/**
 * The swatches that are likeliest for a region, in order: what the regions beside it wear, the longest border first; what the cards of these hold and the sheets beside wear; the rest of
 * those cards; and what was in the hand last. Where nothing is worn beside it, the sheets beside and the hand are all there is to go by, and then the palette in its order.
 */
public final class Handful {

    /** As many as there are digits for. */
    public static final int MOST = 9;

    private final Set<UUID> likely = new LinkedHashSet<>();

    private Handful() {}

    /**
     * A region among the others.
     *
     * @param regionOfCell by cell
     * @param fills what a cell wears
     */
    public record Here(CellGraph graph, int[] regionOfCell, IntFunction<Fill> fills, int region) {}

    /** A swatch of the palette. @param card the number of the card of a figure or a place that it is on; below 0 if it is on none */
    public record Known(UUID swatch, int card) {}

    /**
     * @param palette in its order; nothing else is in the handful
     * @param beside what the sheets beside wear, most of it first
     * @param used what was in the hand, latest first
     */
    public static List<UUID> of(Here here, List<Known> palette, List<UUID> beside, List<UUID> used) {
        Handful handful = new Handful();
        Map<UUID, Integer> worn = wornBeside(here);
        List<UUID> neighbours = byLength(worn);
        Map<UUID, Integer> cards = new LinkedHashMap<>();
        palette.forEach(known -> cards.put(known.swatch(), known.card()));
        List<Integer> figures = figures(neighbours, worn, cards);
        handful.likely.addAll(neighbours);
        beside.stream()
                .filter(swatch -> figures.isEmpty() || figures.contains(cards.getOrDefault(swatch, -1)))
                .forEach(handful.likely::add);
        for (int figure : figures) {
            palette.stream()
                    .filter(known -> known.card() == figure)
                    .map(Known::swatch)
                    .forEach(handful.likely::add);
        }
        handful.likely.addAll(used);
        if (figures.isEmpty()) {
            palette.stream()
                    .filter(known -> known.card() >= 0)
                    .map(Known::swatch)
                    .forEach(handful.likely::add);
        }
        return handful.likely.stream()
                .filter(cards::containsKey)
                .filter(swatch -> !isAlone(here, swatch))
                .limit(MOST)
                .toList();
    }

    /** Whether the region wears this swatch already, and nothing else. */
    private static boolean isAlone(Here here, UUID swatch) {
        Fill laid = Fill.flat(swatch);
        for (int cell = 0; cell < here.regionOfCell().length; cell++) {
            if (here.regionOfCell()[cell] == here.region()
                    && !here.fills().apply(cell).equals(laid)) {
                return false;
            }
        }
        return true;
    }

    private static Map<UUID, Integer> wornBeside(Here here) {
        Map<UUID, Integer> lengths = new LinkedHashMap<>();
        for (Border border : here.graph().borders()) {
            int first = here.regionOfCell()[border.first()];
            int second = here.regionOfCell()[border.second()];
            if (first != second && (first == here.region() || second == here.region())) {
                int other = first == here.region() ? border.second() : border.first();
                here.fills()
                        .apply(other)
                        .swatches()
                        .forEach(swatch -> lengths.merge(swatch, border.lengthPx(), Integer::sum));
            }
        }
        return lengths;
    }

    private static List<UUID> byLength(Map<UUID, Integer> lengths) {
        List<UUID> all = new ArrayList<>(lengths.keySet());
        all.sort(Comparator.comparing((UUID swatch) -> -lengths.get(swatch)));
        return all;
    }

    /** The cards that the neighbours wear, the one with the longest border first. */
    private static List<Integer> figures(List<UUID> neighbours, Map<UUID, Integer> lengths, Map<UUID, Integer> cards) {
        Map<Integer, Integer> byCard = new LinkedHashMap<>();
        for (UUID swatch : neighbours) {
            int card = cards.getOrDefault(swatch, -1);
            if (card >= 0) {
                byCard.merge(card, lengths.get(swatch), Integer::sum);
            }
        }
        List<Integer> figures = new ArrayList<>(byCard.keySet());
        figures.sort(Comparator.comparing((Integer card) -> -byCard.get(card)));
        return figures;
    }
}
