package stillpond.app.sheet;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.IntStream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
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
    public Replaced replace(List<Sheet> scope, UUID author, Fill worn, Fill by) {
        long regions = 0;
        long changed = 0;
        for (Sheet sheet : scope) {
            Set<Integer> found = new HashSet<>();
            for (Layer layer : sheet.layers()) {
                List<Integer> cells = wearing(layer, worn);
                if (!cells.isEmpty()) {
                    Regions joined = sheets.regions(layer);
                    cells.forEach(cell -> found.add(joined.of(cell)));
                    lay(sheet, author, new ChangeRequest.Lay(UUID.randomUUID(), layer.id(), by, cells));
                }
            }
            regions += found.size();
            changed += found.isEmpty() ? 0 : 1;
        }
        return new Replaced(regions, changed);
    }

    private List<Integer> wearing(Layer layer, Fill worn) {
        Fills fills = sheets.fills(layer);
        return IntStream.range(0, layer.cellCount())
                .filter(cell -> fills.of(cell).equals(worn))
                .boxed()
                .toList();
    }

    private void lay(Sheet sheet, UUID author, ChangeRequest.Lay lay) {
        if (changes.make(sheet.id(), author, lay) instanceof ChangeOutcome.Refused refused) {
            throw new IllegalArgumentException(sheet.title() + ": " + refused.reason());
        }
    }
}
