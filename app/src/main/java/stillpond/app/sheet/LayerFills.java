package stillpond.app.sheet;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import stillpond.core.fill.Change;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.fill.Opacity;
import stillpond.core.fill.Swap;

/** The fills of each layer as they are stored. */
@Component
class LayerFills {

    private final CellFillRepository fills;
    private final JdbcClient database;

    LayerFills(CellFillRepository fills, JdbcClient database) {
        this.fills = fills;
        this.database = database;
    }

    /** All that a layer wears. */
    Fills worn(UUID layer) {
        return Fills.of(worn(List.of(layer)).getOrDefault(layer, Map.of()));
    }

    /** All that some layers wear, of those that wear something. Native: a page of thousands of regions wears a handful of fills, which come as so many rows. */
    Map<UUID, Map<Integer, Fill>> worn(Collection<UUID> layers) {
        Map<UUID, Map<Integer, Fill>> worn = new HashMap<>();
        database.sql("""
                        select layer_id, coalesce(made, cast(swatch_id as text)), array_agg(cell) from cell_fill
                        where layer_id = any(cast(:layers as uuid[])) group by 1, 2""")
                .param("layers", layers.toArray(UUID[]::new))
                .query((row, number) -> {
                    Fill fill = Fill.ofText(row.getString(2));
                    Map<Integer, Fill> ofLayer =
                            worn.computeIfAbsent(row.getObject(1, UUID.class), layer -> new HashMap<>());
                    for (Integer cell : (Integer[]) row.getArray(3).getArray()) {
                        ofLayer.put(cell, fill);
                    }
                    return ofLayer.size();
                })
                .list();
        return worn;
    }

    /** What a layer that was put aside would wear now: in the place of swatches that were removed since, what was worn instead of them, or nothing. */
    Fills wornAside(UUID layer) {
        Fills then = worn(layer);
        Map<Integer, Fill> now = new HashMap<>();
        Map<UUID, Optional<UUID>> removed = removed(then.filled().stream().map(then::of));
        then.filled().forEach(cell -> now.put(cell, then.of(cell).without(removed)));
        return Fills.of(now);
    }

    /** What some cells of a layer wear. */
    Fills current(UUID layer, Collection<Integer> cells) {
        return Fills.of(
                fills.findInLayer(layer, cells).stream().collect(Collectors.toMap(CellFill::cell, CellFill::fill)));
    }

    void write(UUID layer, Change change) {
        Map<Integer, UUID> swatches = new TreeMap<>();
        Map<Integer, Fill> made = new TreeMap<>();
        List<Integer> cleared = new ArrayList<>();
        for (Swap swap : change.swaps()) {
            Fill fill = swap.after();
            if (fill.equals(Fill.NONE)) {
                cleared.add(swap.place());
            } else if (fill instanceof Fill.Flat flat && flat.opacity().equals(Opacity.FULL)) {
                swatches.put(swap.place(), flat.swatch());
            } else {
                made.put(swap.place(), fill);
            }
        }
        if (!swatches.isEmpty()) {
            fills.lay(layer, cellsOf(swatches), swatches.values().toArray(UUID[]::new));
        }
        if (!made.isEmpty()) {
            noteSwatches(made.values());
            fills.layMade(
                    layer, cellsOf(made), made.values().stream().map(Fill::text).toArray(String[]::new));
        }
        if (!cleared.isEmpty()) {
            fills.clear(layer, cleared.toArray(Integer[]::new));
        }
    }

    private static Integer[] cellsOf(Map<Integer, ?> byCell) {
        return byCell.keySet().toArray(Integer[]::new);
    }

    /** A change as it can be made now: where it lays a swatch that was removed meanwhile, it lays what is worn in its place. */
    Change withPresentSwatches(Change change) {
        Map<UUID, Optional<UUID>> removed = removed(change.swaps().stream().map(Swap::after));
        return removed.isEmpty()
                ? change
                : new Change(change.swaps().stream()
                        .map(swap -> new Swap(
                                swap.place(), swap.before(), swap.after().without(removed)))
                        .filter(swap -> !swap.before().equals(swap.after()))
                        .toList());
    }

    private Map<UUID, Optional<UUID>> removed(Stream<Fill> laid) {
        UUID[] named = laid.flatMap(fill -> fill.swatches().stream()).distinct().toArray(UUID[]::new);
        return fills.findRemoved(named).stream()
                .collect(Collectors.toMap(
                        CellFillRepository.Removed::getSwatch, row -> Optional.ofNullable(row.getInstead())));
    }

    private void noteSwatches(Collection<Fill> made) {
        List<String> texts = new ArrayList<>();
        List<UUID> swatches = new ArrayList<>();
        for (Fill fill : Set.copyOf(made)) {
            for (UUID swatch : fill.swatches()) {
                texts.add(fill.text());
                swatches.add(swatch);
            }
        }
        fills.noteSwatches(texts.toArray(String[]::new), swatches.toArray(UUID[]::new));
    }
}
