package stillpond.app.adopt;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import stillpond.app.history.Effect;
import stillpond.app.history.History;
import stillpond.app.palette.Palettes;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.SheetChanges;
import stillpond.core.colour.Srgb;
import stillpond.core.fill.Fill;
import stillpond.core.palette.Card;
import stillpond.core.palette.PaletteEdit;

/** Lays colours that were found in a file on the cells or strokes of a sheet, as one change; those that no swatch has come on a card of their own. */
@Component
class AdoptedColours {

    private final SheetChanges changes;
    private final Palettes palettes;
    private final History history;

    AdoptedColours(SheetChanges changes, Palettes palettes, History history) {
        this.changes = changes;
        this.palettes = palettes;
        this.history = history;
    }

    FoundColours known(Sheet sheet) {
        return FoundColours.of(palettes.of(sheet.project()));
    }

    /**
     * @param colourByPlace see {@link stillpond.core.fill.Places}
     * @param subject of the card for new swatches
     * @param words what is done, for people
     * @return how many swatches are new
     */
    int lay(
            Sheet sheet,
            UUID author,
            Map<Integer, Srgb> colourByPlace,
            FoundColours found,
            String subject,
            String words) {
        List<Effect> effects = new ArrayList<>();
        Optional<Card> card = found.cardOf(colourByPlace.values(), sheet.title(), subject);
        card.ifPresent(each ->
                effects.add(palettes.edit(sheet.project(), author, List.of(new PaletteEdit.AddCard(each)), Map.of())));
        Map<Integer, Fill> laid = new HashMap<>();
        colourByPlace.forEach((place, colour) -> laid.put(place, Fill.flat(found.swatch(colour))));
        changes.lay(sheet.id(), sheet.layer().id(), laid).ifPresent(effects::add);
        if (!effects.isEmpty()) {
            history.keep(sheet.project(), author, words, effects);
        }
        return card.map(each -> each.swatches().size()).orElse(0);
    }
}
