package stillpond.app.sheet;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import stillpond.core.cell.CellPlane;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.format.PlaneCodec;
import stillpond.core.ledger.InkOnSheet;
import stillpond.core.ledger.PartsOnSheet;
import stillpond.core.palette.Card;
import stillpond.core.palette.Palette;
import stillpond.core.stack.Standing;

/** Where the parts of cards are worn, for many sheets at once: from their small maps, without their large planes. */
@Service
@Transactional(readOnly = true)
public class SheetParts {

    /** Of layers; a few kilobytes each. */
    private static final long MOST_KEPT = 4000;

    private final JdbcClient jdbc;
    private final LayerFills fills;
    private final Planes planes;
    private final Cache<Version, Told> kept =
            Caffeine.newBuilder().maximumSize(MOST_KEPT).build();

    SheetParts(JdbcClient jdbc, LayerFills fills, Planes planes) {
        this.jdbc = jdbc;
        this.fills = fills;
        this.planes = planes;
    }

    /**
     * By what the parts of a layer are told, wherever it stands.
     *
     * @param version that its fills and regions had
     * @param cards by swatch
     */
    private record Version(UUID layer, long version, String smallCells, Map<UUID, Owner> cards) {}

    private record Owner(UUID card, Card.Kind kind) {}

    /** @param scale of the small map that they are told from, in its pixels for one of the layer */
    private record Told(PartsOnSheet parts, double scale) {}

    /** @param palette by which swatches are told to be of a card */
    public List<PartsOnSheet> of(List<Sheet> sheets, Palette palette) {
        List<Layer> layers =
                sheets.stream().flatMap(sheet -> sheet.layers().stream()).toList();
        Map<UUID, Owner> cards = new HashMap<>();
        palette.cards()
                .forEach(card ->
                        card.swatches().forEach(swatch -> cards.put(swatch.id(), new Owner(card.id(), card.kind()))));
        // Before the fills: were they read first, newer ones would be kept as those of this version for good.
        Map<UUID, Long> versions = versions(layers.stream().map(Layer::id).toList());
        Map<UUID, Version> keys = new HashMap<>();
        layers.forEach(layer -> keys.put(
                layer.id(), new Version(layer.id(), versions.getOrDefault(layer.id(), 0L), layer.smallCells(), cards)));
        Map<UUID, Told> told = new ConcurrentHashMap<>();
        keys.forEach(
                (layer, key) -> Optional.ofNullable(kept.getIfPresent(key)).ifPresent(each -> told.put(layer, each)));
        read(layers.stream().filter(layer -> !told.containsKey(layer.id())).toList()).parallelStream()
                .forEach(known -> {
                    Told fresh = known.told(palette);
                    told.put(known.layer().id(), fresh);
                    kept.put(keys.get(known.layer().id()), fresh);
                });
        return sheets.stream().map(sheet -> together(sheet, told)).toList();
    }

    private static PartsOnSheet together(Sheet sheet, Map<UUID, Told> told) {
        List<PartsOnSheet> parts = new ArrayList<>();
        for (Layer layer : sheet.layers()) {
            Standing standing = layer.standing();
            Told known = told.get(layer.id());
            parts.add(known.parts().onLayer(parts.size(), (int) Math.round(standing.xPx() * known.scale()), (int)
                    Math.round(standing.yPx() * known.scale())));
        }
        return parts.size() == 1 ? parts.get(0) : PartsOnSheet.together(parts);
    }

    private List<Known> read(List<Layer> layers) {
        List<UUID> ids = layers.stream().map(Layer::id).toList();
        Map<UUID, int[]> regions = regions(ids);
        Map<UUID, Map<Integer, Fill>> worn = fills.worn(ids);
        return layers.stream().map(layer -> known(layer, regions, worn)).toList();
    }

    private Known known(Layer layer, Map<UUID, int[]> regions, Map<UUID, Map<Integer, Fill>> byLayer) {
        Fills worn = Fills.of(byLayer.getOrDefault(layer.id(), Map.of()));
        return new Known(
                layer, planes.content(layer.smallCells()), regions.get(layer.id()), worn, smallInk(layer, worn));
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

        Told told(Palette palette) {
            CellPlane small = PlaneCodec.decodeCells(smallCells);
            return new Told(
                    PartsOnSheet.of(small, regions, fills, ink, palette), small.widthPx() / (double) layer.widthPx());
        }
    }

    /** Those that something was ever changed on. */
    private Map<UUID, Long> versions(List<UUID> layers) {
        Map<UUID, Long> versions = new HashMap<>();
        jdbc.sql("select layer_id, version from layer_version where layer_id = any(cast(:layers as uuid[]))")
                .param("layers", layers.toArray(UUID[]::new))
                .query((row, number) -> versions.put(row.getObject(1, UUID.class), row.getLong(2)))
                .list();
        return versions;
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

    private static int[] numbers(Integer[] boxed) {
        int[] numbers = new int[boxed.length];
        for (int i = 0; i < boxed.length; i++) {
            numbers[i] = boxed[i];
        }
        return numbers;
    }
}
