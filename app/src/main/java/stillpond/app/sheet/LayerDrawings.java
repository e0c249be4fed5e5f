package stillpond.app.sheet;

import java.util.List;
import java.util.Set;
import org.springframework.stereotype.Component;
import stillpond.app.sheet.SheetPictures.Coloured;
import stillpond.core.cell.CellGraph;
import stillpond.core.cell.CellPlane;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.format.PlaneCodec;
import stillpond.core.gap.Openings;
import stillpond.core.ink.InkPlane;
import stillpond.core.render.AddedInk;
import stillpond.core.render.CellColours;
import stillpond.core.render.InkColours;
import stillpond.core.render.Meeting;
import stillpond.core.shadow.LaidShadow;
import stillpond.core.shadow.Pieces;
import stillpond.core.shadow.ShadowedCells;
import stillpond.core.stroke.InkWidths;
import stillpond.core.stroke.StrokeMap;

/** Makes of a layer and its colours what is painted: its planes, cut by shadows, and its ink as wide as is said. */
@Component
class LayerDrawings {

    private final Planes planes;
    private final LayerDams dams;
    private final LayerShadows shadows;

    LayerDrawings(Planes planes, LayerDams dams, LayerShadows shadows) {
        this.planes = planes;
        this.dams = dams;
        this.shadows = shadows;
    }

    /** At full size. */
    DrawnLayer whole(Coloured coloured, Meeting meeting) {
        Layer layer = coloured.layer();
        CellPlane cells = cells(layer);
        Shaded shaded = shaded(coloured, cells);
        InkPlane ink = withAddedInk(layer, shown(coloured, PlaneCodec.decodeInk(planes.content(layer.ink()))));
        return new DrawnLayer(coloured, cells, shaded.cut(), shaded.colours(), ink, ink(coloured, meeting));
    }

    CellPlane cells(Layer layer) {
        return PlaneCodec.decodeCells(planes.content(layer.cells()));
    }

    /** Cells cut into pieces by shadows, and what they show. */
    record Shaded(ShadowedCells cut, CellColours colours) {
        CellPlane cells() {
            return cut.plane();
        }
    }

    /** @param cells those of the layer, perhaps made small */
    Shaded shaded(Coloured coloured, CellPlane cells) {
        Layer layer = coloured.layer();
        CellColours colours = coloured.colours().inPixelsOf(layer.widthPx() / (double) cells.widthPx());
        if (coloured.shadows().all().isEmpty()) {
            return new Shaded(new ShadowedCells(cells, new Pieces(layer.cellCount())), colours);
        }
        double scale = cells.widthPx() / (double) layer.widthPx();
        CellGraph graph = PlaneCodec.decodeGraph(planes.content(layer.cells()));
        List<LaidShadow> laid = shadows.laid(layer, coloured.shadows(), coloured.fills(), graph, scale);
        ShadowedCells cut = ShadowedCells.of(cells, laid, layer.cellCount());
        return new Shaded(cut, colours.under(cut.pieces(), coloured.shadowColours()));
    }

    /** Ink as it is shown: as wide as is said. */
    InkPlane shown(Coloured coloured, InkPlane ink) {
        Layer layer = coloured.layer();
        StrokePlanes strokes = layer.strokes();
        Fills widths = coloured.fills().ofWidths();
        if (strokes == null || widths.filled().isEmpty()) {
            return ink;
        }
        double scale = ink.widthPx() / (double) layer.widthPx();
        StrokeMap map =
                scale == 1 ? strokes.mapOf(layer, planes) : strokes.smallMap(ink.widthPx(), ink.heightPx(), planes);
        double[] radii = new double[strokes.count()];
        for (int stroke = 0; stroke < radii.length; stroke++) {
            radii[stroke] = widths.of(stroke) instanceof Fill.Width width
                    ? InkWidths.radius(width.tenths(), strokes.widthPx() * scale)
                    : 0;
        }
        byte[] density = InkWidths.shown(
                ink.widthPx(),
                ink.heightPx(),
                ink.density(),
                pixel -> map.strokeAt(pixel % ink.widthPx(), pixel / ink.widthPx()),
                radii);
        return new InkPlane(ink.widthPx(), ink.heightPx(), density, ink.threshold());
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
    InkColours smallInk(Coloured coloured, CellPlane size) {
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
