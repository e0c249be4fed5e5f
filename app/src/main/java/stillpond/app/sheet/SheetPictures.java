package stillpond.app.sheet;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Service;
import stillpond.core.cell.CellGraph;
import stillpond.core.cell.CellPlane;
import stillpond.core.fill.Fill;
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
import stillpond.core.shadow.LaidShadow;
import stillpond.core.shadow.ShadowColours;
import stillpond.core.shadow.ShadowedCells;
import stillpond.core.shadow.Shadows;
import stillpond.core.stroke.InkWidths;
import stillpond.core.stroke.StrokeMap;

/** Paints sheets. */
@Service
public class SheetPictures {

    private final Sheets sheets;
    private final Planes planes;
    private final SheetColours colours;
    private final Moments moments;
    private final LayerDams dams;
    private final ProjectMotifs motifs;
    private final LayerShadows shadows;

    SheetPictures(
            Sheets sheets,
            Planes planes,
            SheetColours colours,
            Moments moments,
            LayerDams dams,
            ProjectMotifs motifs,
            LayerShadows shadows) {
        this.sheets = sheets;
        this.planes = planes;
        this.colours = colours;
        this.moments = moments;
        this.dams = dams;
        this.motifs = motifs;
        this.shadows = shadows;
    }

    /**
     * A layer and the colours that its cells, its strokes and its shadows show, ready to be painted.
     *
     * @param basesVersion another one if the bases of the shadows may be others
     */
    public record Coloured(
            Layer layer,
            Fills fills,
            CellColours colours,
            InkColours.Worn ink,
            Shadows shadows,
            ShadowColours shadowColours,
            String basesVersion) {

        private String widthsVersion() {
            Fills widths = fills.ofWidths();
            return widths.filled().isEmpty()
                    ? ""
                    : Integer.toHexString(widths.filled().stream()
                            .sorted()
                            .map(stroke -> stroke + widths.of(stroke).text())
                            .toList()
                            .hashCode());
        }

        /** Changes whenever the small picture does. */
        public String smallVersion() {
            return layer.smallInk()
                    + layer.smallCells()
                    + colours.version()
                    + ink.version()
                    + basesVersion
                    + shadowColours.version()
                    + widthsVersion();
        }
    }

    /** Ink as it is shown: as wide as is said. */
    private InkPlane shown(Coloured coloured, InkPlane ink) {
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

    /** Cells cut into pieces by shadows, and what they show. */
    private record Shaded(CellPlane cells, CellColours colours) {}

    public Coloured colour(Sheet sheet, Showing showing) {
        Moments.Worn worn =
                showing.at().map(moment -> moments.at(sheet, moment)).orElseGet(() -> present(sheet.frontLayer()));
        Layer layer = worn.layer();
        Fills fills = worn.fills();
        SwatchColours shown = colours.of(sheet, showing);
        int strokes = layer.strokes() == null ? 0 : layer.strokes().count();
        return new Coloured(
                layer,
                fills,
                CellColours.of(fills, shown, motifs.of(sheet.project()), layer.cellCount()),
                InkColours.worn(fills.ofStrokes(), shown, strokes),
                worn.shadows(),
                ShadowColours.of(worn.shadows(), fills.ofShadows(), shown),
                worn.shadows().all().isEmpty() ? "" : shadows.basesVersion(layer, fills));
    }

    private Moments.Worn present(Layer layer) {
        return new Moments.Worn(layer, sheets.fills(layer), shadows.of(layer.id()));
    }

    /** @param cells those of the layer, perhaps made small */
    private Shaded shaded(Coloured coloured, CellPlane cells) {
        Layer layer = coloured.layer();
        CellColours colours = coloured.colours().inPixelsOf(layer.widthPx() / (double) cells.widthPx());
        if (coloured.shadows().all().isEmpty()) {
            return new Shaded(cells, colours);
        }
        double scale = cells.widthPx() / (double) layer.widthPx();
        CellGraph graph = PlaneCodec.decodeGraph(planes.content(layer.cells()));
        List<LaidShadow> laid = shadows.laid(layer, coloured.shadows(), coloured.fills(), graph, scale);
        ShadowedCells cut = ShadowedCells.of(cells, laid, layer.cellCount());
        return new Shaded(cut.plane(), colours.under(cut.pieces(), coloured.shadowColours()));
    }

    /** Small enough for a strip of sheets. */
    public Picture small(Coloured coloured) {
        Layer layer = coloured.layer();
        CellPlane cells = PlaneCodec.decodeCells(planes.content(layer.smallCells()));
        Shaded shaded = shaded(coloured, cells);
        InkPlane ink = shown(coloured, PlaneCodec.decodeInk(planes.content(layer.smallInk())));
        SmallSheet small = new SmallSheet(shaded.cells(), ink);
        return small.paint(shaded.colours(), smallInk(coloured, cells));
    }

    /** That of the line art as it came. */
    public Optional<Resolution> resolution(Sheet sheet) {
        return Resolution.of(planes.content(sheet.frontLayer().source()));
    }

    /** The flats at full size, without ink, shadows and antialiasing. */
    public Picture flats(Sheet sheet, Showing showing) {
        Coloured coloured = colour(sheet, showing);
        return SheetPainter.flats(
                PlaneCodec.decodeCells(planes.content(coloured.layer().cells())), coloured.colours());
    }

    /** Shadows and rims alone at full size, clear elsewhere: laid over the flats it gives what {@link #composed} shows under the ink. */
    public Picture shadows(Sheet sheet, Showing showing) {
        Coloured coloured = colour(sheet, showing);
        Layer layer = coloured.layer();
        Shaded shaded = shaded(coloured, PlaneCodec.decodeCells(planes.content(layer.cells())));
        return SheetPainter.layer(shaded.cells(), shaded.colours().ofPiecesAlone(layer.cellCount()));
    }

    /** The sheet at full size, ink over shadows over flats over paper. */
    public Picture composed(Sheet sheet, Showing showing) {
        Coloured coloured = colour(sheet, showing);
        Layer layer = coloured.layer();
        Shaded shaded = shaded(coloured, PlaneCodec.decodeCells(planes.content(layer.cells())));
        return SheetPainter.composed(
                shaded.cells(),
                withAddedInk(layer, shown(coloured, PlaneCodec.decodeInk(planes.content(layer.ink())))),
                shaded.colours(),
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
