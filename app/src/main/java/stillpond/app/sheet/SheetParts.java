package stillpond.app.sheet;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import stillpond.core.cell.CellPlane;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.format.PlaneCodec;
import stillpond.core.ledger.InkOnSheet;
import stillpond.core.ledger.PartsOnSheet;
import stillpond.core.palette.Palette;
import stillpond.core.stack.Standing;

/** Where the parts of cards are worn, for many sheets at once: from their small maps, without their large planes. */
@Service
@Transactional(readOnly = true)
public class SheetParts {

    private final JdbcClient jdbc;
    private final Planes planes;

    SheetParts(JdbcClient jdbc, Planes planes) {
        this.jdbc = jdbc;
        this.planes = planes;
    }

    /** @param palette by which swatches are told to be of a card */
    public List<PartsOnSheet> of(List<Sheet> sheets, Palette palette) {
        List<UUID> layers = sheets.stream()
                .flatMap(sheet -> sheet.layers().stream().map(Layer::id))
                .toList();
        Map<UUID, int[]> regions = regions(layers);
        Map<UUID, Map<Integer, Fill>> fills = fills(layers);
        List<List<Known>> known = new ArrayList<>();
        for (Sheet sheet : sheets) {
            known.add(sheet.layers().stream()
                    .map(layer -> known(layer, regions, fills))
                    .toList());
        }
        return known.parallelStream().map(each -> together(each, palette)).toList();
    }

    private Known known(Layer layer, Map<UUID, int[]> regions, Map<UUID, Map<Integer, Fill>> fills) {
        Fills worn = Fills.of(fills.getOrDefault(layer.id(), Map.of()));
        return new Known(
                layer, planes.content(layer.smallCells()), regions.get(layer.id()), worn, smallInk(layer, worn));
    }

    private static PartsOnSheet together(List<Known> layers, Palette palette) {
        List<PartsOnSheet> parts = new ArrayList<>();
        for (Known each : layers) {
            parts.add(each.parts(parts.size(), palette));
        }
        return parts.size() == 1 ? parts.get(0) : PartsOnSheet.together(parts);
    }

    private Optional<InkOnSheet> smallInk(Layer layer, Fills worn) {
        StrokePlanes strokes = layer.strokes();
        return strokes == null || worn.ofStrokes().filled().isEmpty()
                ? Optional.empty()
                : Optional.of(new InkOnSheet(
                        PlaneCodec.decodeCells(planes.content(strokes.small())),
                        PlaneCodec.decodeInk(planes.content(layer.smallInk()))));
    }

    private record Known(Layer layer, byte[] smallCells, int[] regions, Fills fills, Optional<InkOnSheet> ink) {

        /** @param index of the layer, from the front */
        PartsOnSheet parts(int index, Palette palette) {
            CellPlane small = PlaneCodec.decodeCells(smallCells);
            double scale = small.widthPx() / (double) layer.widthPx();
            Standing standing = layer.standing();
            return PartsOnSheet.of(small, regions, fills, ink, palette)
                    .onLayer(index, (int) Math.round(standing.xPx() * scale), (int) Math.round(standing.yPx() * scale));
        }
    }

    /** Native, as what follows: for every sheet of a project at once, without what else is known of a layer. */
    private Map<UUID, int[]> regions(List<UUID> layers) {
        Map<UUID, int[]> regions = new HashMap<>();
        jdbc.sql("select layer_id, regions from layer_cells where layer_id = any(cast(:layers as uuid[]))")
                .param("layers", layers.toArray(UUID[]::new))
                .query((row, number) -> regions.put(row.getObject(1, UUID.class), numbers((Integer[])
                        row.getArray(2).getArray())))
                .list();
        return regions;
    }

    private Map<UUID, Map<Integer, Fill>> fills(List<UUID> layers) {
        Map<UUID, Map<Integer, Fill>> fills = new HashMap<>();
        jdbc.sql("""
                        select layer_id, coalesce(made, cast(swatch_id as text)), array_agg(cell) from cell_fill
                        where layer_id = any(cast(:layers as uuid[])) group by 1, 2""")
                .param("layers", layers.toArray(UUID[]::new))
                .query((row, number) -> {
                    Fill fill = Fill.ofText(row.getString(2));
                    Map<Integer, Fill> ofLayer =
                            fills.computeIfAbsent(row.getObject(1, UUID.class), layer -> new HashMap<>());
                    for (Integer cell : (Integer[]) row.getArray(3).getArray()) {
                        ofLayer.put(cell, fill);
                    }
                    return ofLayer.size();
                })
                .list();
        return fills;
    }

    private static int[] numbers(Integer[] boxed) {
        int[] numbers = new int[boxed.length];
        for (int i = 0; i < boxed.length; i++) {
            numbers[i] = boxed[i];
        }
        return numbers;
    }
}
