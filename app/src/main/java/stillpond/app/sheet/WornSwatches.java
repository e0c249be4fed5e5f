package stillpond.app.sheet;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Where swatches are worn, over all sheets of a project. */
@Service
@Transactional
public class WornSwatches {

    private final CellFillRepository fills;

    WornSwatches(CellFillRepository fills) {
        this.fills = fills;
    }

    /** How many regions of a sheet wear some swatches. */
    public record Worn(UUID sheet, String title, long regions) {}

    /** How much of one sheet wears a swatch. @param share of the sheet, 0 to 1 */
    public record Use(UUID swatch, UUID sheet, String title, long regions, double share) {}

    /** Every swatch that something wears, sheet by sheet, in a project or one of its scenes. */
    @Transactional(readOnly = true)
    public List<Use> inUse(UUID project, Optional<UUID> scene) {
        return fills.countBySwatch(project, scene.orElse(null)).stream()
                .map(each ->
                        new Use(each.getSwatch(), each.getSheet(), each.getTitle(), each.getRegions(), each.getShare()))
                .toList();
    }

    /** Only sheets that wear one of them. */
    @Transactional(readOnly = true)
    public List<Worn> where(Collection<UUID> swatches) {
        return fills.countWearing(swatches.toArray(UUID[]::new)).stream()
                .map(each -> new Worn(each.getSheet(), each.getTitle(), each.getRegions()))
                .toList();
    }

    /**
     * Lets whatever wears a swatch wear another, or nothing.
     *
     * @param change of the palette that removes it, by which {@link #restore} finds the cells again
     */
    public void replace(UUID change, UUID swatch, Optional<UUID> other) {
        fills.noteWearing(change, swatch);
        if (other.isPresent()) {
            fills.wearInstead(swatch, other.get());
            fills.replace(swatch, other.get());
        } else {
            fills.wearNothing(swatch);
        }
    }

    /** Takes {@link #replace} back, while the swatch is still removed; cells filled since stay as they are. */
    public void restore(UUID change) {
        fills.wearAgain(change);
    }
}
