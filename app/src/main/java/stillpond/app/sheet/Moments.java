package stillpond.app.sheet;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.fill.Swap;

/** What a sheet wore at earlier moments, told from its log. A swatch that was removed since shows what took its place. */
@Service
@Transactional(readOnly = true)
public class Moments {

    private final SheetRepository sheets;
    private final ChangeRepository changes;
    private final CellFillRepository fills;

    Moments(SheetRepository sheets, ChangeRepository changes, CellFillRepository fills) {
        this.sheets = sheets;
        this.changes = changes;
        this.fills = fills;
    }

    /** A layer with what it wore. */
    public record Worn(Layer layer, Fills fills) {}

    /** What somebody did to a sheet. @param cells how many it filled */
    public record Step(Instant at, UUID author, String kind, int cells) {}

    /** Latest first, at the most so many. */
    public List<Step> steps(UUID sheet, int most) {
        return changes.findBySheetIdOrderByRevision(sheet).stream()
                .sorted(Comparator.comparing(StoredChange::madeAt).reversed())
                .limit(most)
                .map(change -> new Step(
                        change.madeAt(),
                        change.authorId(),
                        change.kind().name(),
                        change.change().swaps().size()))
                .toList();
    }

    /** What the sheet wore at a moment, on the cells that it had then. */
    public Worn at(Sheet sheet, Instant moment) {
        List<StoredChange> log = changes.findBySheetIdOrderByRevision(sheet.id());
        UUID layer = layerAt(sheet, log, moment);
        Map<Integer, Fill> worn = fills.findByKeyLayerId(layer).stream()
                .collect(Collectors.toMap(CellFill::cell, CellFill::fill, (first, same) -> first, HashMap::new));
        List<StoredChange> since = new ArrayList<>(log.stream()
                .filter(change -> change.madeAt().isAfter(moment))
                .filter(change -> change.layerId().equals(layer))
                .toList());
        since.sort(Comparator.comparingLong(StoredChange::revision).reversed());
        for (StoredChange change : since) {
            for (Swap swap : change.change().swaps()) {
                worn.put(swap.cell(), swap.before());
            }
        }
        return new Worn(sheets.findById(sheet.id()).orElseThrow().layer(layer).asLayer(), Fills.of(worn));
    }

    /** Every change names the layer that stood after it, and a new cutting also the one whose place it took. */
    private static UUID layerAt(Sheet sheet, List<StoredChange> log, Instant moment) {
        UUID layer = log.stream()
                .findFirst()
                .map(first -> first.replaced().orElse(first.layerId()))
                .orElse(sheet.frontLayer().id());
        for (StoredChange change : log) {
            if (!change.madeAt().isAfter(moment)) {
                layer = change.layerId();
            }
        }
        return layer;
    }
}
