package stillpond.app.sheet;

import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import stillpond.app.palette.Palettes;
import stillpond.core.cell.CellPlane;
import stillpond.core.format.PlaneCodec;
import stillpond.core.gap.Openings;
import stillpond.core.ink.InkPlane;
import stillpond.core.ink.Picture;
import stillpond.core.render.AddedInk;
import stillpond.core.render.CellColours;
import stillpond.core.render.SheetPainter;
import stillpond.core.render.SmallSheet;

/** Paints sheets as they are now. */
@Service
public class SheetPictures {

    private final Sheets sheets;
    private final Planes planes;
    private final Palettes palettes;
    private final LayerDams dams;

    SheetPictures(Sheets sheets, Planes planes, Palettes palettes, LayerDams dams) {
        this.sheets = sheets;
        this.planes = planes;
        this.palettes = palettes;
        this.dams = dams;
    }

    /** Changes whenever the small picture of a sheet does. */
    public String smallVersion(Sheet sheet) {
        Layer layer = sheet.frontLayer();
        return layer.smallInk()
                + layer.smallCells()
                + colours(sheet.project(), layer).version();
    }

    /** Small enough for a strip of sheets. */
    public Picture small(Sheet sheet) {
        Layer layer = sheet.frontLayer();
        CellPlane cells = PlaneCodec.decodeCells(planes.content(layer.smallCells()));
        SmallSheet small = new SmallSheet(cells, PlaneCodec.decodeInk(planes.content(layer.smallInk())));
        return small.paint(colours(sheet.project(), layer));
    }

    /** The flats at full size, without ink and without antialiasing. */
    public Picture flats(Sheet sheet) {
        Layer layer = sheet.frontLayer();
        return SheetPainter.flats(
                PlaneCodec.decodeCells(planes.content(layer.cells())), colours(sheet.project(), layer));
    }

    /** The sheet at full size, ink over flats over paper. */
    public Picture composed(Sheet sheet) {
        Layer layer = sheet.frontLayer();
        return SheetPainter.composed(
                PlaneCodec.decodeCells(planes.content(layer.cells())),
                withAddedInk(layer, PlaneCodec.decodeInk(planes.content(layer.ink()))),
                colours(sheet.project(), layer));
    }

    private InkPlane withAddedInk(Layer layer, InkPlane ink) {
        Set<Integer> inked = dams.of(layer).inked();
        if (inked.isEmpty()) {
            return ink;
        }
        Openings openings = dams.openings(layer);
        return AddedInk.over(
                ink, inked.stream().sorted().map(openings.openings()::get).toList(), openings.strokePx());
    }

    private CellColours colours(UUID project, Layer layer) {
        return CellColours.of(sheets.fills(layer), palettes.of(project), layer.cellCount());
    }
}
