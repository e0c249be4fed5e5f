package stillpond.app.export;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import stillpond.app.palette.Palettes;
import stillpond.app.project.Projects;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.SheetColours;
import stillpond.app.sheet.WornSwatches;
import stillpond.core.handon.WornPalette;
import stillpond.core.palette.Card;
import stillpond.core.palette.Palette;
import stillpond.core.palette.PaletteEdit;

/** What a sheet or its scene wears, as a palette of its own. */
@Service
class WornPalettes {

    private final WornSwatches worn;
    private final Palettes palettes;
    private final SheetColours colours;
    private final Projects projects;

    WornPalettes(WornSwatches worn, Palettes palettes, SheetColours colours, Projects projects) {
        this.worn = worn;
        this.palettes = palettes;
        this.colours = colours;
        this.projects = projects;
    }

    /** What is asked for. */
    enum Scope {
        SHEET,
        SCENE
    }

    WornPalette of(Sheet sheet, Scope scope) {
        List<WornSwatches.Use> uses = worn.inUse(sheet.project(), Optional.of(sheet.scene())).stream()
                .filter(use -> scope == Scope.SCENE || use.sheet().equals(sheet.id()))
                .toList();
        int sheets = (int) uses.stream().map(WornSwatches.Use::sheet).distinct().count();
        return WornPalette.of(
                uses.stream()
                        .map(use -> new WornPalette.Worn(use.swatch(), use.share()))
                        .toList(),
                sheets,
                palettes.of(sheet.project()));
    }

    String name(Sheet sheet, Scope scope) {
        return scope == Scope.SHEET
                ? sheet.title()
                : projects.scene(sheet.project(), sheet.scene()).title();
    }

    /** As a card to be written to a file: in the wardrobes that are worn on the sheet, as drawn. */
    Card settled(Sheet sheet, Scope scope) {
        return of(sheet, scope).settled("Worn in " + name(sheet, scope), palette(sheet, scope));
    }

    private Palette palette(Sheet sheet, Scope scope) {
        return scope == Scope.SHEET ? colours.dressed(sheet) : palettes.of(sheet.project());
    }

    /** Makes a card of it, whose swatches follow those that are worn. */
    UUID makeCard(Sheet sheet, Scope scope, UUID author) {
        Card card = of(sheet, scope).following("Worn in " + name(sheet, scope), palettes.of(sheet.project()));
        palettes.change(sheet.project(), author, List.of(new PaletteEdit.AddCard(card)));
        return card.id();
    }
}
