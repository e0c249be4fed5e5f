package stillpond.core.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import stillpond.core.cell.CellMap;
import stillpond.core.colour.Ciede2000;
import stillpond.core.colour.Srgb;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.fill.Places;
import stillpond.core.gap.Openings;
import stillpond.core.gap.Regions;
import stillpond.core.palette.Palette;
import stillpond.core.stroke.Stroke;

/** A sheet as the rules of the check look at it. */
record SheetToCheck(Openings openings, Regions regions, Fills fills, Palette palette, List<Stroke> strokes) {

    CellMap map() {
        return openings.cells();
    }

    int cellCount() {
        return map().cells().size();
    }

    /** By region, in rising order. */
    Map<Integer, List<Integer>> cellsByRegion() {
        Map<Integer, List<Integer>> cells = new TreeMap<>();
        for (int cell = 0; cell < cellCount(); cell++) {
            cells.computeIfAbsent(regions.of(cell), any -> new ArrayList<>()).add(cell);
        }
        return cells;
    }

    /** The cells that take a colour from each swatch, in rising order. */
    Map<UUID, List<Integer>> cellsBySwatch() {
        Map<UUID, List<Integer>> cells = new TreeMap<>();
        for (int cell = 0; cell < cellCount(); cell++) {
            int each = cell;
            fills.of(cell)
                    .swatches()
                    .forEach(swatch -> cells.computeIfAbsent(swatch, any -> new ArrayList<>())
                            .add(each));
        }
        return cells;
    }

    /** The strokes that wear each swatch, in rising order. */
    Map<UUID, List<Stroke>> strokesBySwatch() {
        Map<UUID, List<Stroke>> bySwatch = new TreeMap<>();
        for (Stroke stroke : strokes) {
            fills.of(Places.ofStroke(stroke.number()))
                    .swatches()
                    .forEach(swatch -> bySwatch.computeIfAbsent(swatch, any -> new ArrayList<>())
                            .add(stroke));
        }
        return bySwatch;
    }

    /** What a cell wears all over; empty for fills of several colours. */
    Optional<UUID> swatch(int cell) {
        return fills.of(cell) instanceof Fill.Flat flat ? Optional.of(flat.swatch()) : Optional.empty();
    }

    boolean isEmpty(int cell) {
        return fills.of(cell).equals(Fill.NONE);
    }

    long area(List<Integer> cells) {
        return cells.stream()
                .mapToLong(cell -> map().cells().get(cell).areaPx())
                .sum();
    }

    /** In square pixels, of so many square strokes. */
    double squareStrokes(double count) {
        return count * openings.strokePx() * openings.strokePx();
    }

    /** CIEDE2000; large if one of them is on no card any more. */
    double difference(UUID first, UUID second) {
        Optional<Srgb> a = palette.colourOf(first);
        Optional<Srgb> b = palette.colourOf(second);
        return a.isPresent() && b.isPresent() ? Ciede2000.between(a.get(), b.get()) : Double.MAX_VALUE;
    }
}
