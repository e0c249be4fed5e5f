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

    /** How much of a project wears a swatch. */
    public record Use(UUID swatch, long regions, long sheets) {}

    /** Every swatch that something in a project wears. */
    @Transactional(readOnly = true)
    public List<Use> inUse(UUID project) {
        return fills.countBySwatch(project).stream()
                .map(each -> new Use(each.getSwatch(), each.getRegions(), each.getSheets()))
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
