package stillpond.app.sheet;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import stillpond.app.history.Effect;
import stillpond.app.history.History;
import stillpond.app.palette.Palettes;
import stillpond.app.project.Projects;
import stillpond.app.project.Right;
import stillpond.core.fill.Change;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Places;
import stillpond.core.gap.Regions;
import stillpond.core.palette.Card;
import stillpond.core.palette.Palette;
import stillpond.core.palette.Swatch;
import stillpond.core.refusal.Refusal;

/** Lets what wears one swatch wear another, on many sheets; both swatches stay on their cards. It is one change, however many sheets it is about. */
@Service
@Transactional
public class Replacing {

    private final Sheets sheets;
    private final SheetChanges changes;
    private final History history;
    private final Palettes palettes;
    private final Projects projects;

    Replacing(Sheets sheets, SheetChanges changes, History history, Palettes palettes, Projects projects) {
        this.sheets = sheets;
        this.changes = changes;
        this.history = history;
        this.palettes = palettes;
        this.projects = projects;
    }

    /** How much was replaced. */
    public record Replaced(long regions, long sheets) {}

    /**
     * Lets whatever wears one of some swatches wear another, everywhere or nowhere.
     *
     * @param scope sheets of the project
     * @throws Refusal if a sheet does not take the change; then nothing is changed anywhere
     * @throws stillpond.app.project.NotAllowed if what is worn is on a locked card, and the author may not replace it
     */
    public Replaced replace(UUID project, List<Sheet> scope, UUID author, Set<UUID> worn, UUID by) {
        Palette palette = palettes.of(project);
        if (worn.stream()
                .anyMatch(each -> palette.cardOf(each).filter(Card::locked).isPresent())) {
            projects.require(project, author, Right.REPLACE_LOCKED_SWATCHES);
        }
        history.lockSheets(scope.stream().map(Sheet::id).toList());
        List<Effect> effects = new ArrayList<>();
        long regions = 0;
        long changed = 0;
        for (Sheet asked : scope) {
            // It may have got other cells while its lock was waited for.
            Sheet sheet = sheets.get(project, asked.id());
            Set<Integer> found = new HashSet<>();
            int before = effects.size();
            for (Layer layer : sheet.layers()) {
                Change change = sheets.fills(layer).replacing(worn, by);
                if (!change.isEmpty()) {
                    Regions joined = sheets.regions(layer);
                    Map<Integer, Fill> laid = new HashMap<>();
                    change.swaps().forEach(swap -> {
                        if (Places.isCell(swap.place())) {
                            found.add(joined.of(swap.place()));
                        }
                        laid.put(swap.place(), swap.after());
                    });
                    changes.lay(sheet.id(), layer.id(), laid).ifPresent(effects::add);
                }
            }
            regions += found.size();
            changed += effects.size() > before ? 1 : 0;
        }
        if (!effects.isEmpty()) {
            String where = changed == 1 ? "1 sheet" : changed + " sheets";
            String words = "Replaced " + names(palette, worn) + " by " + names(palette, Set.of(by)) + " on " + where;
            history.keep(project, author, words, effects);
        }
        return new Replaced(regions, changed);
    }

    private static String names(Palette palette, Set<UUID> swatches) {
        return swatches.size() == 1
                ? palette.swatch(swatches.iterator().next()).map(Swatch::name).orElse("a swatch")
                : swatches.size() + " swatches";
    }
}
