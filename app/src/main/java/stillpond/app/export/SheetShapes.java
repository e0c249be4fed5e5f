package stillpond.app.export;

import java.util.List;
import org.springframework.stereotype.Service;
import stillpond.app.palette.Palettes;
import stillpond.app.sheet.LayerGroups;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.SheetColours;
import stillpond.app.sheet.SheetPictures;
import stillpond.app.sheet.SheetPictures.Coloured;
import stillpond.app.sheet.Sheets;
import stillpond.app.sheet.Showing;
import stillpond.core.handon.Arrangement;
import stillpond.core.handon.Faces;
import stillpond.core.palette.Palette;
import stillpond.core.palette.SwatchColours;

/** The shapes that a sheet is handed on in. */
@Service
class SheetShapes {

    private final Sheets sheets;
    private final LayerGroups groups;
    private final SheetPictures pictures;
    private final Palettes palettes;
    private final SheetColours colours;

    SheetShapes(Sheets sheets, LayerGroups groups, SheetPictures pictures, Palettes palettes, SheetColours colours) {
        this.sheets = sheets;
        this.groups = groups;
        this.pictures = pictures;
        this.palettes = palettes;
        this.colours = colours;
    }

    Faces of(Coloured coloured, Arrangement arrangement, Palette palette) {
        int[] regions = sheets.regions(coloured.layer()).ofCells();
        Faces.Laid laid = new Faces.Laid(
                coloured.fills(), regions, groups.of(coloured.layer().id()));
        return Faces.of(arrangement, laid, palette);
    }

    /** What the layers of a file will be called, from front to back. */
    List<LayerOutline> outline(Sheet sheet, Arrangement arrangement) {
        Palette palette = palettes.of(sheet.project());
        SwatchColours shown = colours.of(sheet, Showing.OWN);
        return pictures.colour(sheet, Showing.OWN).layers().stream()
                .map(coloured ->
                        LayerOutline.of(coloured.layer().standing().name(), of(coloured, arrangement, palette), shown))
                .toList();
    }
}
