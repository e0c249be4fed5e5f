package stillpond.core.ledger;

import java.util.ArrayList;
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
 * @param worn by swatch: its largest region
 * @param beside by swatch: the cards whose parts it touches here
 * @param strangers regions that lie among those of another card than their own
 */
public record PartsOnSheet(Map<UUID, Place> worn, Map<UUID, Set<UUID>> beside, List<Stranger> strangers) {

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
     * @param cell one of its cells
     * @param x inside it
     * @param pixels that it has
     */
    public record Place(int cell, int x, int y, int xStart, int yStart, int width, int height, int pixels) {}

    /** @param card among whose parts it lies */
    public record Stranger(UUID swatch, UUID card, Place place) {}

    /** @param regionOfCell the number of the region of each cell */
    public static PartsOnSheet of(CellPlane small, int[] regionOfCell, Fills fills, Palette palette) {
        Survey survey = new Survey(small, regionOfCell, fills);
        Map<UUID, Place> worn = new HashMap<>();
        Map<UUID, Set<UUID>> beside = new HashMap<>();
        List<Stranger> strangers = new ArrayList<>();
        Map<UUID, Optional<Card>> cards = new HashMap<>();
        for (Patch patch : survey.patches) {
            if (patch == null || patch.fill().equals(Fill.NONE)) {
                continue;
            }
            Place place = patch.place();
            for (UUID swatch : patch.fill().swatches()) {
                worn.merge(swatch, place, (one, other) -> one.pixels() >= other.pixels() ? one : other);
                Set<UUID> touched = beside.computeIfAbsent(swatch, any -> new HashSet<>());
                patch.border.keySet().stream()
                        .flatMap(fill -> fill.swatches().stream())
                        .flatMap(other -> cardOf(other, palette, cards).stream())
                        .forEach(card -> touched.add(card.id()));
            }
            patch.fill().swatches().stream()
                    .findFirst()
                    .ifPresent(swatch -> among(patch, palette, cards)
                            .filter(card -> !card.id()
                                    .equals(cardOf(swatch, palette, cards)
                                            .map(Card::id)
                                            .orElse(null)))
                            .ifPresent(card -> strangers.add(new Stranger(swatch, card.id(), place))));
        }
        return new PartsOnSheet(worn, beside, strangers);
    }

    private static Optional<Card> cardOf(UUID swatch, Palette palette, Map<UUID, Optional<Card>> known) {
        return known.computeIfAbsent(swatch, palette::cardOf);
    }

    /** The card to which most of the border belongs, neighbours of the same fill aside. */
    private static Optional<Card> among(Patch patch, Palette palette, Map<UUID, Optional<Card>> known) {
        Map<Card, Integer> shares = new HashMap<>();
        Map<Card, Set<UUID>> parts = new HashMap<>();
        int whole = 0;
        for (Map.Entry<Fill, Integer> each : patch.border.entrySet()) {
            whole += each.getValue();
            each.getKey().swatches().stream()
                    .findFirst()
                    .flatMap(swatch -> cardOf(swatch, palette, known))
                    .filter(card -> card.kind() == Card.Kind.CAST)
                    .ifPresent(card -> shares.merge(card, each.getValue(), Integer::sum));
        }
        int border = whole;
        patch.border.forEach((fill, length) -> fill.swatches().stream()
                .findFirst()
                .filter(swatch -> length >= EACH * border)
                .ifPresent(swatch -> cardOf(swatch, palette, known)
                        .ifPresent(card -> parts.computeIfAbsent(card, any -> new HashSet<>())
                                .add(swatch))));
        return shares.entrySet().stream()
                .filter(each -> border >= SHORTEST_BORDER && each.getValue() >= AMONG * border)
                .filter(each -> parts.getOrDefault(each.getKey(), Set.of()).size() >= PARTS)
                .map(Map.Entry::getKey)
                .findFirst();
    }

    /** A region as it is surveyed, row by row. */
    private static final class Patch {
        private final int cell;
        private final Fill fill;
        private final Map<Fill, Integer> border = new HashMap<>();
        private int pixels;
        private int xStart = Integer.MAX_VALUE;
        private int xEnd;
        private int yStart = Integer.MAX_VALUE;
        private int yEnd;
        private int longestRun;
        private int x;
        private int y;

        private Patch(int cell, Fill fill) {
            this.cell = cell;
            this.fill = fill;
        }

        private Fill fill() {
            return fill;
        }

        private void addRun(int from, int endExclusive, int row) {
            int length = endExclusive - from;
            pixels += length;
            xStart = Math.min(xStart, from);
            xEnd = Math.max(xEnd, endExclusive);
            yStart = Math.min(yStart, row);
            yEnd = row + 1;
            if (length > longestRun) {
                longestRun = length;
                x = from + length / 2;
                y = row;
            }
        }

        private void meets(Fill other) {
            if (!other.equals(fill)) {
                border.merge(other, 1, Integer::sum);
            }
        }

        private Place place() {
            return new Place(cell, x, y, xStart, yStart, xEnd - xStart, yEnd - yStart, pixels);
        }
    }

    /** One pass over the map. */
    private static final class Survey {
        private final Patch[] patches;

        private Survey(CellPlane small, int[] regionOfCell, Fills fills) {
            int regions = 0;
            for (int region : regionOfCell) {
                regions = Math.max(regions, region + 1);
            }
            patches = new Patch[regions];
            int width = small.widthPx();
            int[] cells = small.numbers();
            for (int y = 0; y < small.heightPx(); y++) {
                int from = 0;
                for (int x = 0; x < width; x++) {
                    Patch here = patch(cells[y * width + x], regionOfCell, fills);
                    boolean isLast = x + 1 == width;
                    Patch right = isLast ? null : patch(cells[y * width + x + 1], regionOfCell, fills);
                    meet(here, right);
                    if (y + 1 < small.heightPx()) {
                        meet(here, patch(cells[(y + 1) * width + x], regionOfCell, fills));
                    }
                    if (right != here) {
                        here.addRun(from, x + 1, y);
                        from = x + 1;
                    }
                }
            }
        }

        private Patch patch(int cell, int[] regionOfCell, Fills fills) {
            int region = regionOfCell[cell];
            if (patches[region] == null) {
                patches[region] = new Patch(cell, fills.of(cell));
            }
            return patches[region];
        }

        private static void meet(Patch one, Patch other) {
            if (other != null && one != other) {
                one.meets(other.fill);
                other.meets(one.fill);
            }
        }
    }
}
