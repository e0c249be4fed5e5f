package stillpond.app.check;

import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import stillpond.app.sheet.Layer;
import stillpond.app.sheet.Sheets;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;

/** What a sheet wears otherwise than others, as it was found last. Finding it takes seconds, so it is done while nobody waits. */
@Service
@Transactional
public class SheetDifferences {

    private final DifferenceRepository differences;
    private final SheetFindings findings;
    private final Sheets sheets;

    SheetDifferences(DifferenceRepository differences, SheetFindings findings, Sheets sheets) {
        this.differences = differences;
        this.findings = findings;
        this.sheets = sheets;
    }

    /** Keeps what was found on a layer, instead of what was before. */
    public void keep(Layer layer, List<Difference> found) {
        differences.deleteOf(layer.id());
        found.forEach(difference -> differences.save(new StoredDifference(layer.id(), difference)));
    }

    /** Those that still hold: what was mended or accepted since is left out. */
    @Transactional(readOnly = true)
    public List<Difference> of(Layer layer) {
        List<StoredDifference> kept = differences.findByKeyLayerIdOrderByKeyKey(layer.id());
        if (kept.isEmpty()) {
            return List.of();
        }
        Fills fills = sheets.fills(layer);
        Set<String> meant = findings.meant(layer);
        return kept.stream()
                .map(StoredDifference::asDifference)
                .filter(each -> !meant.contains(each.key()) && holds(each, fills))
                .toList();
    }

    private static boolean holds(Difference difference, Fills fills) {
        Fill like = Fill.ofText(difference.fill());
        return difference.cells().stream()
                .allMatch(cell ->
                        !fills.of(cell).equals(Fill.NONE) && !fills.of(cell).equals(like));
    }

    /** On all layers of a sheet. */
    @Transactional(readOnly = true)
    public long count(UUID project, UUID sheet) {
        return sheets.get(project, sheet).layers().stream()
                .mapToLong(layer -> of(layer).size())
                .sum();
    }
}
