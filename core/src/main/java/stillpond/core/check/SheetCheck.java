package stillpond.core.check;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.IntStream;
import stillpond.core.cell.Border;
import stillpond.core.cell.CellMap;
import stillpond.core.colour.Ciede2000;
import stillpond.core.colour.Srgb;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.gap.Opening;
import stillpond.core.gap.Openings;
import stillpond.core.gap.Regions;
import stillpond.core.palette.Card;
import stillpond.core.palette.Palette;

/** Looks a sheet over as somebody does before handing it on: what was missed, and what is hard to see. */
public final class SheetCheck {

    /** Colours nearer than this CIEDE2000 difference are hard to tell apart. */
    private static final double HARD_TO_TELL = 2.3;
    /** A pocket has at least this share of its border with the fill that it likely gets, and at most so much of its area. */
    private static final double POCKET_BORDER = 0.6;

    private static final double POCKET_AREA = 0.12;
    /** In square stroke widths: larger regions that ink closes all round, such as pebbles, are things of their own. */
    private static final double LARGEST_CLOSED_POCKET = 20;

    private static final double LARGEST_POCKET_BEHIND_A_GAP = 150;

    private final CellMap map;
    private final Openings openings;
    private final Regions regions;
    private final Fills fills;
    private final Palette palette;
    private final Map<Integer, List<Integer>> cellsByRegion = new TreeMap<>();

    private SheetCheck(Openings openings, Regions regions, Fills fills, Palette palette) {
        this.map = openings.cells();
        this.openings = openings;
        this.regions = regions;
        this.fills = fills;
        this.palette = palette;
        IntStream.range(0, map.cells().size())
                .forEach(cell -> cellsByRegion
                        .computeIfAbsent(regions.of(cell), any -> new ArrayList<>())
                        .add(cell));
    }

    /** Regions without a fill first, pockets before the others and small before large; then colours hard to tell apart, then those on no card. */
    public static List<Finding> of(Openings openings, Regions regions, Fills fills, Palette palette) {
        SheetCheck check = new SheetCheck(openings, regions, fills, palette);
        List<Finding> findings = new ArrayList<>(check.unfilled());
        findings.addAll(check.tooNear());
        findings.addAll(check.offCard());
        return List.copyOf(findings);
    }

    private List<Finding.Unfilled> unfilled() {
        Map<Integer, Map<UUID, Integer>> bordersByRegion = bordersWithFills();
        Map<Integer, Long> borderByRegion = borderByRegion();
        Map<UUID, Long> areaByFill = areaByFill();
        List<Finding.Unfilled> found = new ArrayList<>();
        cellsByRegion.forEach((region, cells) -> {
            List<Integer> empty = cells.stream().filter(this::isEmpty).toList();
            if (!empty.isEmpty()) {
                Map<UUID, Integer> around = bordersByRegion.getOrDefault(region, Map.of());
                Optional<UUID> likely = around.entrySet().stream()
                        .max(Map.Entry.<UUID, Integer>comparingByValue().thenComparing(Map.Entry.comparingByKey()))
                        .map(Map.Entry::getKey);
                boolean isPocket = likely.isPresent()
                        && around.get(likely.get()) >= POCKET_BORDER * borderByRegion.get(region)
                        && area(empty) <= POCKET_AREA * areaByFill.get(likely.get())
                        && area(empty) <= largestPocket(region, likely.get());
                found.add(new Finding.Unfilled(empty, likely, isPocket));
            }
        });
        found.sort(Comparator.comparing((Finding.Unfilled each) -> !each.isPocket())
                .thenComparingLong(each -> area(each.cells())));
        return found;
    }

    private double largestPocket(int region, UUID fill) {
        boolean isBehindAGap = openings.openings().stream()
                .anyMatch(opening -> isBeside(opening.first(), opening.second(), region, fill)
                        || isBeside(opening.second(), opening.first(), region, fill));
        double strokes = isBehindAGap ? LARGEST_POCKET_BEHIND_A_GAP : LARGEST_CLOSED_POCKET;
        return strokes * openings.strokePx() * openings.strokePx();
    }

    private boolean isBeside(int cell, int other, int region, UUID fill) {
        return regions.of(cell) == region
                && regions.of(other) != region
                && fills.of(other).equals(Fill.flat(fill));
    }

    /** For each region the length of border that it shares with each fill beside it. */
    private Map<Integer, Map<UUID, Integer>> bordersWithFills() {
        Map<Integer, Map<UUID, Integer>> lengths = new HashMap<>();
        for (Border border : map.borders()) {
            addBorder(lengths, border.first(), border.second(), border.lengthPx());
            addBorder(lengths, border.second(), border.first(), border.lengthPx());
        }
        return lengths;
    }

    private void addBorder(Map<Integer, Map<UUID, Integer>> lengths, int cell, int beside, int length) {
        if (regions.of(cell) != regions.of(beside) && fills.of(beside) instanceof Fill.Flat flat) {
            lengths.computeIfAbsent(regions.of(cell), any -> new HashMap<>())
                    .merge(flat.swatch(), length, Integer::sum);
        }
    }

    private Map<Integer, Long> borderByRegion() {
        Map<Integer, Long> lengths = new HashMap<>();
        for (Border border : map.borders()) {
            int first = regions.of(border.first());
            int second = regions.of(border.second());
            if (first != second) {
                lengths.merge(first, (long) border.lengthPx(), Long::sum);
                lengths.merge(second, (long) border.lengthPx(), Long::sum);
            }
        }
        return lengths;
    }

    private Map<UUID, Long> areaByFill() {
        Map<UUID, Long> areas = new HashMap<>();
        map.cells().forEach(cell -> {
            if (fills.of(cell.number()) instanceof Fill.Flat flat) {
                areas.merge(flat.swatch(), (long) cell.areaPx(), Long::sum);
            }
        });
        return areas;
    }

    /** Across openings alone: where ink lies between, colours may be as near as they like. */
    private List<Finding.TooNear> tooNear() {
        Map<String, Finding.TooNear> found = new TreeMap<>();
        for (Opening opening : openings.openings()) {
            int a = regions.of(opening.first());
            int b = regions.of(opening.second());
            boolean bothFilled =
                    fills.of(opening.first()) instanceof Fill.Flat && fills.of(opening.second()) instanceof Fill.Flat;
            if (a != b && bothFilled) {
                UUID first = ((Fill.Flat) fills.of(opening.first())).swatch();
                UUID second = ((Fill.Flat) fills.of(opening.second())).swatch();
                double difference = difference(first, second);
                if (!first.equals(second) && difference < HARD_TO_TELL) {
                    boolean firstIsSmaller = area(cellsByRegion.get(a)) <= area(cellsByRegion.get(b));
                    found.put(
                            Math.min(a, b) + "/" + Math.max(a, b),
                            firstIsSmaller
                                    ? new Finding.TooNear(cellsByRegion.get(a), first, second, difference)
                                    : new Finding.TooNear(cellsByRegion.get(b), second, first, difference));
                }
            }
        }
        return List.copyOf(found.values());
    }

    private double difference(UUID first, UUID second) {
        Optional<Srgb> a = palette.colourOf(first);
        Optional<Srgb> b = palette.colourOf(second);
        return a.isPresent() && b.isPresent() ? Ciede2000.between(a.get(), b.get()) : Double.MAX_VALUE;
    }

    private List<Finding.OffCard> offCard() {
        Map<UUID, List<Integer>> cells = new TreeMap<>();
        for (int cell = 0; cell < map.cells().size(); cell++) {
            if (fills.of(cell) instanceof Fill.Flat flat
                    && palette.cardOf(flat.swatch()).filter(Card::isLoose).isPresent()) {
                cells.computeIfAbsent(flat.swatch(), any -> new ArrayList<>()).add(cell);
            }
        }
        return cells.entrySet().stream()
                .map(each -> new Finding.OffCard(each.getValue(), each.getKey()))
                .toList();
    }

    private boolean isEmpty(int cell) {
        return fills.of(cell).equals(Fill.NONE);
    }

    private long area(List<Integer> cells) {
        return cells.stream().mapToLong(cell -> map.cells().get(cell).areaPx()).sum();
    }
}
