package stillpond.app.sheet;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import stillpond.app.palette.Palettes;
import stillpond.app.palette.Stagings;
import stillpond.core.colour.Gamut;
import stillpond.core.colour.Mixing;
import stillpond.core.colour.Oklab;
import stillpond.core.colour.Srgb;
import stillpond.core.palette.Light;
import stillpond.core.palette.LitPalette;
import stillpond.core.palette.Palette;
import stillpond.core.palette.Staging;
import stillpond.core.palette.SwatchColours;

/** The colours of a project on each of its sheets: in the wardrobes that are worn there, under its light. */
@Service
@Transactional(readOnly = true)
public class SheetColours {

    /** How much white greys get beside what is lit. */
    private static final double PALE_PERCENT = 45;

    private final Palettes palettes;
    private final Stagings stagings;

    SheetColours(Palettes palettes, Stagings stagings) {
        this.palettes = palettes;
        this.stagings = stagings;
    }

    /** As drawn, in the wardrobes worn on the sheet. */
    public Palette dressed(Sheet sheet) {
        return dressed(sheet, stagings.of(sheet.project()), palettes.of(sheet.project()));
    }

    /** What the swatches show on the sheet when it is shown in some way. */
    public SwatchColours of(Sheet sheet, Showing showing) {
        return of(List.of(sheet), showing).get(0);
    }

    /** As above, for sheets of one project. */
    public List<SwatchColours> of(List<Sheet> sheets, Showing showing) {
        if (sheets.isEmpty()) {
            return List.of();
        }
        UUID project = sheets.get(0).project();
        Staging staging =
                showing.at().map(moment -> stagings.at(project, moment)).orElseGet(() -> stagings.of(project));
        Palette palette = showing.at()
                .map(moment -> palettes.at(project, moment))
                .orElseGet(() -> palettes.of(project))
                .trying(showing.tried());
        return sheets.stream()
                .map(sheet -> shown(sheet, showing, staging, palette))
                .toList();
    }

    private static SwatchColours shown(Sheet sheet, Showing showing, Staging kept, Palette palette) {
        Staging staging = kept;
        for (Map.Entry<UUID, Staging.Choice> each : showing.wears().entrySet()) {
            staging = staging.dressing(sheet.id(), each.getKey(), each.getValue());
        }
        Light light = showing.light().orElse(staging.lit(sheet.scene(), sheet.id()));
        SwatchColours colours = new LitPalette(dressed(sheet, staging, palette), light);
        return showing.lit().isEmpty() ? colours : greyBut(showing.lit(), colours);
    }

    private static Palette dressed(Sheet sheet, Staging staging, Palette palette) {
        return palette.wearing(staging.worn(sheet.scene(), sheet.id()));
    }

    private static SwatchColours greyBut(Set<UUID> lit, SwatchColours colours) {
        return swatch -> {
            Optional<Srgb> colour = colours.colourOf(swatch);
            return lit.contains(swatch) ? colour : colour.map(SheetColours::paleGrey);
        };
    }

    private static Srgb paleGrey(Srgb colour) {
        Oklab grey = new Oklab(Oklab.of(colour).lightness(), 0, 0);
        return Mixing.tint(Gamut.show(grey).colour(), PALE_PERCENT);
    }
}
