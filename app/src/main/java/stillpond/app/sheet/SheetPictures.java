package stillpond.app.sheet;

import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Service;
import stillpond.core.cell.CellPlane;
import stillpond.core.fill.Fills;
import stillpond.core.format.PlaneCodec;
import stillpond.core.format.Resolution;
import stillpond.core.gap.Openings;
import stillpond.core.ink.InkPlane;
import stillpond.core.ink.Picture;
import stillpond.core.render.AddedInk;
import stillpond.core.render.CellColours;
import stillpond.core.render.SheetPainter;
import stillpond.core.render.SmallSheet;

/** Paints sheets. */
@Service
public class SheetPictures {

    private final Sheets sheets;
    private final Planes planes;
    private final SheetColours colours;
    private final Moments moments;
    private final LayerDams dams;
    private final ProjectMotifs motifs;

    SheetPictures(
            Sheets sheets, Planes planes, SheetColours colours, Moments moments, LayerDams dams, ProjectMotifs motifs) {
        this.sheets = sheets;
        this.planes = planes;
        this.colours = colours;
        this.moments = moments;
        this.dams = dams;
        this.motifs = motifs;
    }

    /** A layer and the colours that its cells show, ready to be painted. */
    public record Coloured(Layer layer, CellColours colours) {

        /** Changes whenever the small picture does. */
        public String smallVersion() {
            return layer.smallInk() + layer.smallCells() + colours.version();
        }
    }

    public Coloured colour(Sheet sheet, Showing showing) {
        Moments.Worn worn = showing.at()
                .map(moment -> moments.at(sheet, moment))
                .orElseGet(() -> new Moments.Worn(sheet.frontLayer(), sheets.fills(sheet.frontLayer())));
        Layer layer = worn.layer();
        Fills fills = worn.fills();
        return new Coloured(
                layer,
                CellColours.of(fills, colours.of(sheet, showing), motifs.of(sheet.project()), layer.cellCount()));
    }

    /** Small enough for a strip of sheets. */
    public Picture small(Coloured coloured) {
        Layer layer = coloured.layer();
        CellPlane cells = PlaneCodec.decodeCells(planes.content(layer.smallCells()));
        SmallSheet small = new SmallSheet(cells, PlaneCodec.decodeInk(planes.content(layer.smallInk())));
        return small.paint(coloured.colours().inPixelsOf(layer.widthPx() / (double) cells.widthPx()));
    }

    /** That of the line art as it came. */
    public Optional<Resolution> resolution(Sheet sheet) {
        return Resolution.of(planes.content(sheet.frontLayer().source()));
    }

    /** The flats at full size, without ink and without antialiasing. */
    public Picture flats(Sheet sheet, Showing showing) {
        Coloured coloured = colour(sheet, showing);
        return SheetPainter.flats(
                PlaneCodec.decodeCells(planes.content(coloured.layer().cells())), coloured.colours());
    }

    /** The sheet at full size, ink over flats over paper. */
    public Picture composed(Sheet sheet, Showing showing) {
        Coloured coloured = colour(sheet, showing);
        Layer layer = coloured.layer();
        return SheetPainter.composed(
                PlaneCodec.decodeCells(planes.content(layer.cells())),
                withAddedInk(layer, PlaneCodec.decodeInk(planes.content(layer.ink()))),
                coloured.colours());
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
}
