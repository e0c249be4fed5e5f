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
import stillpond.core.palette.SwatchColours;
import stillpond.core.render.AddedInk;
import stillpond.core.render.CellColours;
import stillpond.core.render.InkColours;
import stillpond.core.render.Meeting;
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

    /** A layer and the colours that its cells and its strokes show, ready to be painted. */
    public record Coloured(Layer layer, CellColours colours, InkColours.Worn ink) {

        /** Changes whenever the small picture does. */
        public String smallVersion() {
            return layer.smallInk() + layer.smallCells() + colours.version() + ink.version();
        }
    }

    public Coloured colour(Sheet sheet, Showing showing) {
        Moments.Worn worn = showing.at()
                .map(moment -> moments.at(sheet, moment))
                .orElseGet(() -> new Moments.Worn(sheet.frontLayer(), sheets.fills(sheet.frontLayer())));
        Layer layer = worn.layer();
        Fills fills = worn.fills();
        SwatchColours shown = colours.of(sheet, showing);
        int strokes = layer.strokes() == null ? 0 : layer.strokes().count();
        return new Coloured(
                layer,
                CellColours.of(fills, shown, motifs.of(sheet.project()), layer.cellCount()),
                InkColours.worn(fills.ofStrokes(), shown, strokes));
    }

    /** Small enough for a strip of sheets. */
    public Picture small(Coloured coloured) {
        Layer layer = coloured.layer();
        CellPlane cells = PlaneCodec.decodeCells(planes.content(layer.smallCells()));
        SmallSheet small = new SmallSheet(cells, PlaneCodec.decodeInk(planes.content(layer.smallInk())));
        return small.paint(
                coloured.colours().inPixelsOf(layer.widthPx() / (double) cells.widthPx()), smallInk(coloured, cells));
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
                coloured.colours(),
                ink(coloured, sheet.lineMeeting()));
    }

    private InkColours ink(Coloured coloured, Meeting meeting) {
        Layer layer = coloured.layer();
        StrokePlanes strokes = layer.strokes();
        if (strokes == null || coloured.ink().isBlack()) {
            return InkColours.BLACK;
        }
        return coloured.ink().on(strokes.mapOf(layer, planes), meeting, strokes.widthPx());
    }

    /** There, where a stroke is hardly as wide as a pixel, colours meet as they may. */
    private InkColours smallInk(Coloured coloured, CellPlane size) {
        StrokePlanes strokes = coloured.layer().strokes();
        if (strokes == null || coloured.ink().isBlack()) {
            return InkColours.BLACK;
        }
        return coloured.ink().on(strokes.smallMap(size.widthPx(), size.heightPx(), planes), Meeting.HARD, 1);
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
