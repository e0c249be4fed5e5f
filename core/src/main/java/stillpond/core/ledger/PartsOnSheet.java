package stillpond.core.ledger;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import stillpond.core.cell.CellPlane;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.palette.Card;
import stillpond.core.palette.Palette;

/**
 * Where the swatches of cards are worn on one sheet, told from a small map of its cells; regions too small to be on the map are left out.
 *
 * @param worn by swatch: its largest region, or where it is on ink
 * @param beside by swatch: the cards whose parts it touches here
 * @param strangers regions that lie among those of another card than their own
 * @param spanning swatches that go from the left edge of the page to the right one, as a sky and a floor do, whatever stands before them
 */
public record PartsOnSheet(
        Map<UUID, Place> worn, Map<UUID, Set<UUID>> beside, List<Stranger> strangers, Set<UUID> spanning) {

    /** How much of its border a region must share with one card to lie among its parts. Set by hand, on the demo. */
    private static final double AMONG = 0.6;

    /** So many parts of the card must take part in that border, each with so much of it: one alone, such as sand behind a sleeve, is a background. */
    private static final int PARTS = 2;

    private static final double EACH = 0.08;
    /** A border this short, in pixels of the small map, says nothing. */
    private static final int SHORTEST_BORDER = 8;

    /**
     * A region, in pixels of the small map.
     *
     * @param layer that it is on, counted from the front
     * @param cell one of its cells
     * @param x inside it
     * @param pixels that it has
     */
    public record Place(int layer, int cell, int x, int y, int xStart, int yStart, int width, int height, int pixels) {

        /** The same region of a layer that lies elsewhere on its page. */
        Place on(int ofLayer, int dx, int dy) {
            return new Place(ofLayer, cell, x + dx, y + dy, xStart + dx, yStart + dy, width, height, pixels);
        }
    }

    /** @param card among whose parts it lies */
    public record Stranger(UUID swatch, UUID card, Place place) {}

    /**
     * @param regionOfCell the number of the region of each cell
     * @param ink empty if nothing of it is coloured
     */
    public static PartsOnSheet of(
            CellPlane small, int[] regionOfCell, Fills fills, Optional<InkOnSheet> ink, Palette palette) {
        Survey survey = new Survey(small, regionOfCell, fills);
        Map<UUID, Card> cardOf = new HashMap<>();
        palette.cards().forEach(card -> card.swatches().forEach(swatch -> cardOf.put(swatch.id(), card)));
        Map<UUID, Place> worn = new HashMap<>();
        Map<UUID, Set<UUID>> beside = new HashMap<>();
        List<Stranger> strangers = new ArrayList<>();
        for (Patch patch : survey.patches()) {
            Place place = patch.place();
            Map<Fill, Integer> border = survey.borderOf(patch);
            for (UUID swatch : patch.fill.swatches()) {
                worn.merge(swatch, place, (one, other) -> one.pixels() >= other.pixels() ? one : other);
                Set<UUID> touched = beside.computeIfAbsent(swatch, any -> new HashSet<>());
                border.keySet()
                        .forEach(fill -> fill.swatches().stream()
                                .filter(cardOf::containsKey)
                                .forEach(other -> touched.add(cardOf.get(other).id())));
            }
            UUID first = firstOf(patch.fill);
            among(border, cardOf)
                    .filter(card -> !cardOf.containsKey(first)
                            || !cardOf.get(first).id().equals(card))
                    .ifPresent(card -> strangers.add(new Stranger(first, card, place)));
        }
        ink.map(each -> each.bySwatch(small, fills)).orElse(Map.of()).forEach((swatch, onInk) -> {
            // A region shows what a part looks like better than a line does.
            worn.putIfAbsent(swatch, onInk.place());
            Set<UUID> touched = beside.computeIfAbsent(swatch, any -> new HashSet<>());
            onInk.besides().stream()
                    .filter(cardOf::containsKey)
                    .forEach(other -> touched.add(cardOf.get(other).id()));
        });
        return new PartsOnSheet(worn, beside, strangers, spanning(small, fills));
    }

    private static Set<UUID> spanning(CellPlane small, Fills fills) {
        Set<UUID> left = new HashSet<>();
        Set<UUID> right = new HashSet<>();
        for (int y = 0; y < small.heightPx(); y++) {
            left.addAll(fills.of(small.numberAt(0, y)).swatches());
            right.addAll(fills.of(small.numberAt(small.widthPx() - 1, y)).swatches());
        }
        left.retainAll(right);
        return left;
    }

    /** The parts of one layer as they lie on the page. @param index of the layer, from the front @param dx how far it is moved, in pixels of the small map */
    public PartsOnSheet onLayer(int index, int dx, int dy) {
        Map<UUID, Place> placed = new HashMap<>();
        worn.forEach((swatch, place) -> placed.put(swatch, place.on(index, dx, dy)));
        List<Stranger> moved = strangers.stream()
                .map(each ->
                        new Stranger(each.swatch(), each.card(), each.place().on(index, dx, dy)))
                .toList();
        return new PartsOnSheet(placed, beside, moved, spanning);
    }

    /** The parts on several layers of one sheet as those of the sheet. */
    public static PartsOnSheet together(List<PartsOnSheet> layers) {
        Map<UUID, Place> worn = new HashMap<>();
        Map<UUID, Set<UUID>> beside = new HashMap<>();
        List<Stranger> strangers = new ArrayList<>();
        Set<UUID> spanning = new HashSet<>();
        for (PartsOnSheet layer : layers) {
            spanning.addAll(layer.spanning);
            layer.worn.forEach((swatch, place) ->
                    worn.merge(swatch, place, (one, other) -> one.pixels() >= other.pixels() ? one : other));
            layer.beside.forEach((swatch, cards) ->
                    beside.computeIfAbsent(swatch, any -> new HashSet<>()).addAll(cards));
            strangers.addAll(layer.strangers);
        }
        return new PartsOnSheet(worn, beside, strangers, spanning);
    }

    /** The swatch that stands for a fill; null for none. */
    private static UUID firstOf(Fill fill) {
        return fill.swatches().stream().findFirst().orElse(null);
    }

    /** The card to which most of a border belongs. */
    private static Optional<UUID> among(Map<Fill, Integer> border, Map<UUID, Card> cardOf) {
        int whole = border.values().stream().mapToInt(length -> length).sum();
        Map<UUID, Integer> shares = new HashMap<>();
        Map<UUID, Set<UUID>> parts = new HashMap<>();
        border.forEach((fill, length) -> {
            UUID swatch = firstOf(fill);
            Card card = cardOf.get(swatch);
            if (card != null && card.kind() == Card.Kind.CAST) {
                shares.merge(card.id(), length, Integer::sum);
                if (length >= EACH * whole) {
                    parts.computeIfAbsent(card.id(), any -> new HashSet<>()).add(swatch);
                }
            }
        });
        return shares.entrySet().stream()
                .filter(each -> whole >= SHORTEST_BORDER && each.getValue() >= AMONG * whole)
                .map(Map.Entry::getKey)
                .filter(card -> parts.getOrDefault(card, Set.of()).size() >= PARTS)
                .findFirst();
    }

    /** A region as it is surveyed, run by run. */
    private static final class Patch {
        private final int number;
        private final int cell;
        private final Fill fill;
        private final RunSurvey runs = new RunSurvey();

        private Patch(int number, int cell, Fill fill) {
            this.number = number;
            this.cell = cell;
            this.fill = fill;
        }

        private Place place() {
            return runs.place(cell);
        }
    }

    /** Two passes over the map: who is on it, then who touches whom. Fills are told by number meanwhile, since comparing them at every pixel is what costs. */
    private static final class Survey {
        private final Patch[] patchOfRegion;
        private final List<Patch> patches = new ArrayList<>();
        private final List<Fill> fills = new ArrayList<>();
        private final int[] fillOfPatch;
        /** Pixel sides, by patch and by the fill on the other side. */
        private final int[][] borders;

        private Survey(CellPlane small, int[] regionOfCell, Fills worn) {
            patchOfRegion = new Patch[Arrays.stream(regionOfCell).max().orElse(-1) + 1];
            for (int cell : small.numbers()) {
                int region = regionOfCell[cell];
                if (patchOfRegion[region] == null) {
                    patchOfRegion[region] = new Patch(patches.size(), cell, worn.of(cell));
                    patches.add(patchOfRegion[region]);
                }
            }
            Map<Fill, Integer> numbers = new HashMap<>();
            fillOfPatch = new int[patches.size()];
            for (Patch patch : patches) {
                fillOfPatch[patch.number] = numbers.computeIfAbsent(patch.fill, fill -> {
                    fills.add(fill);
                    return fills.size() - 1;
                });
            }
            borders = new int[patches.size()][fills.size()];
            for (int y = 0; y < small.heightPx(); y++) {
                surveyRow(small, regionOfCell, y);
            }
        }

        private void surveyRow(CellPlane small, int[] regionOfCell, int y) {
            int[] cells = small.numbers();
            int width = small.widthPx();
            boolean hasRowBelow = y + 1 < small.heightPx();
            int from = 0;
            for (int x = 0, i = y * width; x < width; x++, i++) {
                int here = regionOfCell[cells[i]];
                if (hasRowBelow) {
                    meet(here, regionOfCell[cells[i + width]]);
                }
                int right = x + 1 < width ? regionOfCell[cells[i + 1]] : -1;
                if (right != here) {
                    patchOfRegion[here].runs.addRun(from, x + 1, y);
                    from = x + 1;
                    if (right >= 0) {
                        meet(here, right);
                    }
                }
            }
        }

        private void meet(int region, int other) {
            if (region != other) {
                int one = patchOfRegion[region].number;
                int two = patchOfRegion[other].number;
                if (fillOfPatch[one] != fillOfPatch[two]) {
                    borders[one][fillOfPatch[two]]++;
                    borders[two][fillOfPatch[one]]++;
                }
            }
        }

        /** Those that wear something. */
        private List<Patch> patches() {
            return patches.stream()
                    .filter(patch -> !patch.fill.equals(Fill.NONE))
                    .toList();
        }

        /** Lengths by the fill on the other side; its own is not among them. */
        private Map<Fill, Integer> borderOf(Patch patch) {
            Map<Fill, Integer> border = new HashMap<>();
            int[] lengths = borders[patch.number];
            for (int fill = 0; fill < lengths.length; fill++) {
                if (lengths[fill] > 0) {
                    border.put(fills.get(fill), lengths[fill]);
                }
            }
            return border;
        }
    }
}
