package stillpond.app.sheet;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import stillpond.core.fill.Change;
import stillpond.core.fill.Fill;
import stillpond.core.gap.Regions;

/** Lets what wears one swatch wear another, on many sheets; both swatches stay on their cards. On each sheet it is one change. */
@Service
@Transactional
public class Replacing {

    private final Sheets sheets;
    private final SheetChanges changes;

    Replacing(Sheets sheets, SheetChanges changes) {
        this.sheets = sheets;
        this.changes = changes;
    }

    /** How much was replaced. */
    public record Replaced(long regions, long sheets) {}

    /** @throws IllegalArgumentException if a sheet does not take the change; then nothing is changed anywhere */
    public Replaced replace(List<Sheet> scope, UUID author, UUID worn, UUID by) {
        long regions = 0;
        long changed = 0;
        for (Sheet sheet : scope) {
            Set<Integer> found = new HashSet<>();
            for (Layer layer : sheet.layers()) {
                Change change = sheets.fills(layer).replacing(worn, by);
                if (!change.isEmpty()) {
                    Regions joined = sheets.regions(layer);
                    Map<Integer, Fill> laid = new HashMap<>();
                    change.swaps().forEach(swap -> {
                        found.add(joined.of(swap.cell()));
                        laid.put(swap.cell(), swap.after());
                    });
                    lay(sheet, author, new ChangeRequest.Lay(UUID.randomUUID(), layer.id(), laid));
                }
            }
            regions += found.size();
            changed += found.isEmpty() ? 0 : 1;
        }
        return new Replaced(regions, changed);
    }

    private void lay(Sheet sheet, UUID author, ChangeRequest.Lay lay) {
        if (changes.make(sheet.id(), author, lay) instanceof ChangeOutcome.Refused refused) {
            throw new IllegalArgumentException(sheet.title() + ": " + refused.reason());
        }
    }
}
