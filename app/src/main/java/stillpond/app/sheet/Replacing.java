package stillpond.app.sheet;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import stillpond.app.palette.Palettes;
import stillpond.app.project.Projects;
import stillpond.app.project.Right;
import stillpond.core.fill.Change;
import stillpond.core.fill.Fill;
import stillpond.core.gap.Regions;
import stillpond.core.palette.Card;
import stillpond.core.palette.Palette;

/** Lets what wears one swatch wear another, on many sheets; both swatches stay on their cards. On each sheet it is one change. */
@Service
@Transactional
public class Replacing {

    private final Sheets sheets;
    private final SheetChanges changes;
    private final Palettes palettes;
    private final Projects projects;

    Replacing(Sheets sheets, SheetChanges changes, Palettes palettes, Projects projects) {
        this.sheets = sheets;
        this.changes = changes;
        this.palettes = palettes;
        this.projects = projects;
    }

    /** How much was replaced. */
    public record Replaced(long regions, long sheets) {}

    /**
     * Lets whatever wears one of some swatches wear another, everywhere or nowhere; on each sheet it is one step.
     *
     * @param scope sheets of the project
     * @throws IllegalArgumentException if a sheet does not take the change; then nothing is changed anywhere
     * @throws stillpond.app.project.NotAllowed if what is worn is on a locked card, and the author may not replace it
     */
    public Replaced replace(UUID project, List<Sheet> scope, UUID author, Set<UUID> worn, UUID by) {
        Palette palette = palettes.of(project);
        if (worn.stream()
                .anyMatch(each -> palette.cardOf(each).filter(Card::locked).isPresent())) {
            projects.require(project, author, Right.REPLACE_LOCKED_SWATCHES);
        }
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
