package stillpond.app.demo;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;
import stillpond.app.palette.Palettes;
import stillpond.app.sheet.ChangeRequest;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.SheetChanges;
import stillpond.app.sheet.Sheets;
import stillpond.core.colour.Srgb;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.fill.Places;
import stillpond.core.line.DarkerThanBeside;
import stillpond.core.palette.Card;
import stillpond.core.palette.Palette;
import stillpond.core.palette.Swatch;

/** Gives the ink of a scene shades of what lies beside it. */
@Component
@ConditionalOnProperty("pond.demo-into")
class DemoLines {

    private static final double DARKER = 0.2;

    private final Sheets sheets;
    private final SheetChanges changes;
    private final Palettes palettes;

    DemoLines(Sheets sheets, SheetChanges changes, Palettes palettes) {
        this.sheets = sheets;
        this.changes = changes;
        this.palettes = palettes;
    }

    /** @param card on which the shades are, each tied to its swatch */
    void colour(UUID project, UUID author, List<Sheet> scene, String card) {
        Palette palette = palettes.of(project);
        Map<Sheet, Map<Integer, UUID>> sources = new LinkedHashMap<>();
        scene.forEach(sheet -> sources.put(sheet, sources(sheet, palette)));
        Map<UUID, Swatch> shades = new LinkedHashMap<>();
        sources.values()
                .forEach(byStroke -> byStroke.values()
                        .forEach(source -> shades.computeIfAbsent(source, any -> shade(source, palette))));
        palettes.add(project, new Card(UUID.randomUUID(), card, "ink", new ArrayList<>(shades.values())));
        sources.forEach((sheet, byStroke) -> {
            Map<Integer, Fill> laid = new LinkedHashMap<>();
            byStroke.forEach((stroke, source) -> laid.put(
                    Places.ofStroke(stroke), Fill.flat(shades.get(source).id())));
            changes.make(
                    sheet.id(),
                    author,
                    new ChangeRequest.Lay(UUID.randomUUID(), sheet.layer().id(), laid));
        });
    }

    private Map<Integer, UUID> sources(Sheet sheet, Palette palette) {
        Fills worn = sheets.fills(sheet.layer());
        return new DarkerThanBeside(DarkerThanBeside.Basis.DARKER, true, worn::of, cell -> 1, palette)
                .sources(sheets.strokes(sheet.layer()));
    }

    private static Swatch shade(UUID source, Palette palette) {
        Srgb colour = palette.colourOf(source).orElseThrow();
        String name =
                DarkerThanBeside.nameOf(palette.swatch(source).orElseThrow().name());
        return new Swatch(UUID.randomUUID(), name, colour).painted(DarkerThanBeside.darker(source, DARKER));
    }
}
