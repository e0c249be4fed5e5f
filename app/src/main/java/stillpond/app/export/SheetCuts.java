package stillpond.app.export;

import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Service;
import stillpond.app.palette.Palettes;
import stillpond.app.sheet.PageFrames;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.SheetPictures;
import stillpond.app.sheet.SheetPictures.Coloured;
import stillpond.app.sheet.Showing;
import stillpond.core.cell.CellPlane;
import stillpond.core.cut.CutJob;
import stillpond.core.cut.CutPlane;
import stillpond.core.cut.CutSettings;
import stillpond.core.format.Resolution;
import stillpond.core.handon.Arrangement;
import stillpond.core.handon.Faces;
import stillpond.core.palette.Palette;
import stillpond.core.refusal.Refusal;

/** The groups of a sheet as a cutter takes them: what of each can be seen, within the page frame. */
@Service
public class SheetCuts {

    private static final double MM_PER_METRE = 1000;

    private final SheetPictures pictures;
    private final SheetShapes shapes;
    private final Palettes palettes;
    private final PageFrames frames;

    SheetCuts(SheetPictures pictures, SheetShapes shapes, Palettes palettes, PageFrames frames) {
        this.pictures = pictures;
        this.shapes = shapes;
        this.palettes = palettes;
        this.frames = frames;
    }

    /** What can be cut, by name, from the front. */
    public List<String> groups(Sheet sheet, Arrangement by) {
        Palette palette = palettes.of(sheet.project());
        return pictures.colour(sheet, Showing.OWN).layers().stream()
                .flatMap(coloured -> shapes.of(coloured, by, palette).groups().stream())
                .distinct()
                .toList();
    }

    /** @throws Refusal if there is no such group, or nothing of it to cut */
    public CutJob of(Sheet sheet, Arrangement by, String group, CutSettings settings) {
        List<String> names = groups(sheet, by);
        if (!names.contains(group)) {
            throw new Refusal("Nothing on this sheet is called '" + group + "' any more, so it was not cut.");
        }
        return CutJob.of(plane(sheet, by, names), names, names.indexOf(group) + 1, mmPerPx(sheet), settings);
    }

    public double mmPerPx(Sheet sheet) {
        Resolution known = pictures.resolution(sheet).orElse(SheetPlates.USUAL);
        return MM_PER_METRE / known.xPerMetre();
    }

    private CellPlane plane(Sheet sheet, Arrangement by, List<String> names) {
        Palette palette = palettes.of(sheet.project());
        List<CutPlane.OnPage> layers = new ArrayList<>();
        for (Coloured coloured : pictures.colour(sheet, Showing.OWN).layers()) {
            Faces faces = shapes.of(coloured, by, palette);
            int[] numbers = faces.all().stream()
                    .mapToInt(face -> names.indexOf(face.group()) + 1)
                    .toArray();
            layers.add(new CutPlane.OnPage(
                    pictures.cells(coloured),
                    cell -> faces.of(cell) == Faces.UNFILLED ? CutPlane.NOTHING : numbers[faces.of(cell) - 1],
                    coloured.layer().standing().xPx(),
                    coloured.layer().standing().yPx()));
        }
        return CutPlane.of(sheet.widthPx(), sheet.heightPx(), layers, frames.of(sheet.id()));
    }
}
