package stillpond.app.sheet;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import stillpond.app.history.Effect;
import stillpond.app.history.History;
import stillpond.core.fill.Change;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;

/** Where swatches are worn, over all sheets of a project. */
@Service
@Transactional
public class WornSwatches {

    private final CellFillRepository fills;
    private final LayerFills layerFills;
    private final History history;
    private final KeptCounts counts;

    WornSwatches(CellFillRepository fills, LayerFills layerFills, History history, KeptCounts counts) {
        this.fills = fills;
        this.layerFills = layerFills;
        this.history = history;
        this.counts = counts;
    }

    /** How many regions, strokes and shadows of a sheet wear some swatches. */
    public record Worn(UUID sheet, String title, long regions, long strokes, long shadows) {

        /** Such as "4 regions and 1 stroke". */
        public String words() {
            return Counted.of(regions, strokes, shadows);
        }
    }

    /** How much of one sheet wears a swatch. @param share of the sheet that regions cover which wear it alone, 0 to 1 */
    public record Use(UUID swatch, UUID sheet, String title, long regions, long strokes, long shadows, double share) {}

    /** How much of one sheet wears gradients or patterns of the same swatches. @param share of the sheet, 0 to 1 */
    public record MadeUse(List<UUID> swatches, UUID sheet, String title, long regions, double share) {}

    /** See {@link #inUse}. */
    public List<MadeUse> madeInUse(UUID project, Optional<UUID> scene) {
        return counts.madeInUse(project, scene);
    }

    /** Every swatch that something wears, sheet by sheet, in a project or one of its scenes. */
    public List<Use> inUse(UUID project, Optional<UUID> scene) {
        return counts.inUse(project, scene);
    }

    /** Only sheets that wear one of them. */
    @Transactional(readOnly = true)
    public List<Worn> where(Collection<UUID> swatches) {
        return fills.countWearing(swatches.toArray(UUID[]::new)).stream()
                .map(each -> new Worn(
                        each.getSheet(), each.getTitle(), each.getRegions(), each.getStrokes(), each.getShadows()))
                .toList();
    }

    /**
     * Lets whatever wears a swatch wear another, or nothing, as a part of a change that the caller keeps. A layer that was put aside is left as it is, and
     * asked what it would wear when it comes back.
     *
     * @param other empty: nothing, but for gradients and patterns, which keep the swatch
     */
    public List<Effect> replace(UUID swatch, Optional<UUID> other) {
        return replace(() -> fills.findWearing(swatch), fill -> fill.without(Map.of(swatch, other)));
    }

    /**
     * Lets whatever in a project wears a fill that is kept on a card look like another, and lie where it lies, as a part of a change that the caller keeps.
     *
     * @param kept its id
     */
    public List<Effect> restyle(UUID project, UUID kept, Fill look) {
        return replace(
                () -> fills.findEnding(project, " as " + kept),
                fill -> fill.kept().equals(Optional.of(kept)) ? fill.like(look) : fill);
    }

    private List<Effect> replace(Supplier<List<CellFillRepository.WearingCell>> found, UnaryOperator<Fill> change) {
        history.lockSheets(found.get().stream()
                .map(CellFillRepository.WearingCell::getSheet)
                .collect(Collectors.toSet()));
        // Looked at again: a sheet may have got other cells while its lock was waited for.
        Map<UUID, List<CellFillRepository.WearingCell>> byLayer = found.get().stream()
                .collect(Collectors.groupingBy(
                        CellFillRepository.WearingCell::getLayer, LinkedHashMap::new, Collectors.toList()));
        List<Effect> effects = new ArrayList<>();
        byLayer.forEach((layer, wearing) -> {
            Fills present = layerFills.current(
                    layer,
                    wearing.stream()
                            .map(CellFillRepository.WearingCell::getCell)
                            .toList());
            Map<Integer, Fill> laid = new TreeMap<>();
            present.filled().forEach(cell -> laid.put(cell, change.apply(present.of(cell))));
            Change swaps = present.laying(laid);
            if (!swaps.isEmpty()) {
                layerFills.write(layer, swaps);
                effects.add(new Effect.Filled(wearing.get(0).getSheet(), layer, swaps));
            }
        });
        return effects;
    }
}
