package stillpond.core.check;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Stream;
import stillpond.core.colour.Ciede2000;
import stillpond.core.colour.Srgb;
import stillpond.core.fill.Fill;
import stillpond.core.gap.Opening;
import stillpond.core.ledger.NearTwins;
import stillpond.core.palette.Card;
import stillpond.core.palette.Swatch;
import stillpond.core.stroke.Stroke;

/** Colours that are hard to tell apart, or are on no card. */
final class ColourFindings {

    /** A loose colour nearer to a card colour than this was probably meant to be that one. */
    private static final double MEANT_FOR = 6;

    private ColourFindings() {}

    /** Across openings alone: where ink lies between, colours may be as near as they like. */
    static List<Finding.TooNear> tooNear(SheetToCheck sheet) {
        Map<Integer, List<Integer>> cellsByRegion = sheet.cellsByRegion();
        Map<String, Finding.TooNear> found = new TreeMap<>();
        for (Opening opening : sheet.openings().openings()) {
            int a = sheet.regions().of(opening.first());
            int b = sheet.regions().of(opening.second());
            Optional<UUID> first = sheet.swatch(opening.first());
            Optional<UUID> second = sheet.swatch(opening.second());
            if (a != b && first.isPresent() && second.isPresent() && !first.equals(second)) {
                double difference = sheet.difference(first.get(), second.get());
                if (difference < Ciede2000.HARD_TO_TELL) {
                    boolean firstIsSmaller = sheet.area(cellsByRegion.get(a)) <= sheet.area(cellsByRegion.get(b));
                    found.put(
                            Math.min(a, b) + "/" + Math.max(a, b),
                            firstIsSmaller
                                    ? new Finding.TooNear(cellsByRegion.get(a), first.get(), second.get(), difference)
                                    : new Finding.TooNear(cellsByRegion.get(b), second.get(), first.get(), difference));
                }
            }
        }
        return List.copyOf(found.values());
    }

    /** Pairs of colours on the sheet that are hard to tell apart, wherever they are; of each pair the one that less wears it. */
    static List<Finding.Twins> twins(SheetToCheck sheet) {
        Map<UUID, List<Integer>> cells = sheet.cellsBySwatch();
        List<UUID> swatches = cells.keySet().stream()
                .filter(swatch -> sheet.palette().colourOf(swatch).isPresent())
                .toList();
        List<Srgb> colours = swatches.stream()
                .map(swatch -> sheet.palette().colourOf(swatch).orElseThrow())
                .toList();
        return NearTwins.among(colours, Ciede2000.HARD_TO_TELL).stream()
                .map(pair -> twins(sheet, cells, swatches.get(pair.first()), swatches.get(pair.second()), pair))
                .toList();
    }

    private static Finding.Twins twins(
            SheetToCheck sheet, Map<UUID, List<Integer>> cells, UUID first, UUID second, NearTwins.Pair pair) {
        boolean firstIsSmaller = sheet.area(cells.get(first)) <= sheet.area(cells.get(second));
        UUID less = firstIsSmaller ? first : second;
        return new Finding.Twins(cells.get(less), less, firstIsSmaller ? second : first, pair.difference());
    }

    static List<Finding.OffCard> offCard(SheetToCheck sheet) {
        Map<UUID, List<Integer>> cells = sheet.cellsBySwatch();
        Map<UUID, List<Stroke>> strokes = sheet.strokesBySwatch();
        return Stream.concat(cells.keySet().stream(), strokes.keySet().stream())
                .distinct()
                .filter(swatch ->
                        sheet.palette().cardOf(swatch).filter(Card::isLoose).isPresent())
                .map(swatch -> new Finding.OffCard(
                        cells.getOrDefault(swatch, List.of()),
                        strokes.getOrDefault(swatch, List.of()),
                        swatch,
                        meant(sheet, swatch)))
                .toList();
    }

    /** Each fill, wherever it is worn, that takes a colour from a swatch that is on no card any more. */
    static List<Finding.LostStop> lostStops(SheetToCheck sheet) {
        Map<String, List<Integer>> cells = new TreeMap<>();
        for (int cell = 0; cell < sheet.cellCount(); cell++) {
            Fill fill = sheet.fills().of(cell);
            if (!fill.swatches().stream().allMatch(sheet.palette()::has)) {
                cells.computeIfAbsent(fill.text(), any -> new ArrayList<>()).add(cell);
            }
        }
        return cells.values().stream().map(Finding.LostStop::new).toList();
    }

    private static Optional<UUID> meant(SheetToCheck sheet, UUID loose) {
        return sheet.palette().cards().stream()
                .filter(card -> !card.isLoose() && !card.isNeutral())
                .flatMap(card -> card.swatches().stream())
                .map(Swatch::id)
                .filter(swatch -> sheet.difference(loose, swatch) < MEANT_FOR)
                .min(Comparator.comparingDouble((UUID swatch) -> sheet.difference(loose, swatch))
                        .thenComparing(Comparator.naturalOrder()));
    }
}
