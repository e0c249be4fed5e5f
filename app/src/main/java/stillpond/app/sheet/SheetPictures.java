package stillpond.app.sheet;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.stream.Collectors;
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
import stillpond.core.render.LayeredPicture;
import stillpond.core.render.Meeting;
import stillpond.core.render.SheetPainter;
import stillpond.core.render.Shrunk;
import stillpond.core.render.SmallSheet;
import stillpond.core.shadow.LaidShadow;
import stillpond.core.shadow.ShadowColours;
import stillpond.core.shadow.ShadowedCells;
import stillpond.core.shadow.Shadows;
import stillpond.core.stack.Standing;
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

    /** The layers of a sheet that are shown, front to back, ready to be painted. */
    public record ColouredSheet(Sheet sheet, List<Coloured> layers) {

        public ColouredSheet {
            layers = List.copyOf(layers);
        }

        /** Changes whenever the small picture does. */
        public String smallVersion() {
            return Integer.toHexString(Objects.hash(
                            layers.stream().map(each -> each.layer().standing()).toList()))
                    + "-"
                    + Planes.nameOf(layers.stream()
                            .map(Coloured::smallVersion)
                            .collect(Collectors.joining(" "))
                            .getBytes(StandardCharsets.UTF_8));
        }

        /** Whether it is painted as one layer on paper: nothing has to be laid over anything. */
        private boolean isOne() {
            return layers.size() == 1 && isPlain(layers.get(0).layer().standing());
        }

        private static boolean isPlain(Standing standing) {
            return standing.opacityPercent() == 100 && standing.xPx() == 0 && standing.yPx() == 0;
        }
    }

    /** Cells cut into pieces by shadows, and what they show. */
    private record Shaded(CellPlane cells, CellColours colours) {}

    /** All layers that are shown. */
    public ColouredSheet colour(Sheet sheet, Showing showing) {
        return colour(sheet, showing, sheet.layers());
    }

    /** @param among those of the sheet that may be shown */
    private ColouredSheet colour(Sheet sheet, Showing showing, List<Layer> among) {
        List<Moments.Worn> worn = showing.at()
                .map(moment -> moments.at(sheet, moment))
                .orElseGet(() -> among.stream().map(this::present).toList());
        SwatchColours shown = colours.of(sheet, showing);
        return new ColouredSheet(
                sheet,
                worn.stream()
                        .filter(each -> !each.layer().standing().isHidden())
                        .map(each -> colour(sheet, each, shown))
                        .toList());
    }

    private Coloured colour(Sheet sheet, Moments.Worn worn, SwatchColours shown) {
        Layer layer = worn.layer();
        Fills fills = worn.fills();
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
    public Picture small(ColouredSheet coloured) {
        if (coloured.isOne()) {
            return small(coloured.layers().get(0), SmallSheet::paint);
        }
        Layer page = coloured.sheet().layer();
        double scale = Math.min(1, Sheets.SMALL_LONG_SIDE_PX / (double) Math.max(page.widthPx(), page.heightPx()));
        LayeredPicture picture = LayeredPicture.onPaper((int) Math.max(1, Math.round(page.widthPx() * scale)), (int)
                Math.max(1, Math.round(page.heightPx() * scale)));
        backToFront(coloured).forEach(each -> lay(picture, each, small(each, SmallSheet::paintOverOthers), scale));
        return picture.picture();
    }

    private interface SmallPainting {
        Picture paint(SmallSheet small, CellColours colours, InkColours ink);
    }

    private Picture small(Coloured coloured, SmallPainting painting) {
        Layer layer = coloured.layer();
        CellPlane cells = PlaneCodec.decodeCells(planes.content(layer.smallCells()));
        Shaded shaded = shaded(coloured, cells);
        InkPlane ink = shown(coloured, PlaneCodec.decodeInk(planes.content(layer.smallInk())));
        return painting.paint(new SmallSheet(shaded.cells(), ink), shaded.colours(), smallInk(coloured, cells));
    }

    private static List<Coloured> backToFront(ColouredSheet sheet) {
        List<Coloured> layers = new ArrayList<>(sheet.layers());
        Collections.reverse(layers);
        return layers;
    }

    private static void lay(LayeredPicture page, Coloured coloured, Picture picture, double scale) {
        Standing standing = coloured.layer().standing();
        page.lay(picture, standing.opacityPercent(), (int) Math.round(standing.xPx() * scale), (int)
                Math.round(standing.yPx() * scale));
    }

    /** That of the line art as it came. */
    public Optional<Resolution> resolution(Sheet sheet) {
        return Resolution.of(planes.content(sheet.layer().origin()));
    }

    /** The flats at full size, without ink, shadows and antialiasing. */
    public Picture flats(Sheet sheet, Showing showing) {
        return onClear(colour(sheet, showing), this::flats);
    }

    private Picture flats(Coloured coloured) {
        return SheetPainter.flats(
                PlaneCodec.decodeCells(planes.content(coloured.layer().cells())), coloured.colours());
    }

    /** Shadows and rims alone at full size, clear elsewhere: laid over the flats of a sheet of one layer it gives what {@link #composed} shows under the ink. */
    public Picture shadows(Sheet sheet, Showing showing) {
        return onClear(colour(sheet, showing), this::shadowsAlone);
    }

    private Picture shadowsAlone(Coloured coloured) {
        Layer layer = coloured.layer();
        Shaded shaded = shaded(coloured, PlaneCodec.decodeCells(planes.content(layer.cells())));
        return SheetPainter.layer(shaded.cells(), shaded.colours().ofPiecesAlone(layer.cellCount()));
    }

    /** The sheet at full size, ink over shadows over flats over paper; each layer over those behind it. */
    public Picture composed(Sheet sheet, Showing showing) {
        ColouredSheet coloured = colour(sheet, showing);
        Meeting meeting = sheet.lineMeeting();
        return coloured.isOne()
                ? painted(coloured.layers().get(0), meeting, SheetPainter::composed)
                : layered(coloured, each -> painted(each, meeting, SheetPainter::overOthers), LayeredPicture::onPaper);
    }

    /** Which of the layers beside the one that is worked on are meant. */
    public enum Side {
        BEHIND,
        IN_FRONT
    }

    /**
     * The layers on one side of the one that is worked on, for whoever works on that one; those behind it lie on paper.
     *
     * @param longSidePx that the picture has at the most
     */
    public Picture beside(Sheet sheet, Showing showing, Side side, int longSidePx) {
        int own = sheet.layers().indexOf(sheet.layer());
        List<Layer> layers = side == Side.BEHIND
                ? sheet.layers().subList(own + 1, sheet.layers().size())
                : sheet.layers().subList(0, own);
        Picture picture = layered(
                colour(sheet, showing, layers),
                each -> painted(each, sheet.lineMeeting(), SheetPainter::overOthers),
                side == Side.BEHIND ? LayeredPicture::onPaper : LayeredPicture::onClear);
        return Shrunk.to(picture, longSidePx);
    }

    /** One layer alone and small, on clear paper, wherever it lies on the page. */
    public Picture smallAlone(Sheet sheet, Showing showing) {
        Coloured coloured = colour(sheet, present(sheet.layer()), colours.of(sheet, showing));
        return small(coloured, SmallSheet::paintOverOthers);
    }

    private interface Painting {
        Picture paint(CellPlane cells, InkPlane ink, CellColours colours, InkColours inkColours);
    }

    private Picture painted(Coloured coloured, Meeting meeting, Painting painting) {
        Layer layer = coloured.layer();
        Shaded shaded = shaded(coloured, PlaneCodec.decodeCells(planes.content(layer.cells())));
        return painting.paint(
                shaded.cells(),
                withAddedInk(layer, shown(coloured, PlaneCodec.decodeInk(planes.content(layer.ink())))),
                shaded.colours(),
                ink(coloured, meeting));
    }

    private static Picture onClear(ColouredSheet coloured, Function<Coloured, Picture> painting) {
        return coloured.isOne()
                ? painting.apply(coloured.layers().get(0))
                : layered(coloured, painting, LayeredPicture::onClear);
    }

    private static Picture layered(
            ColouredSheet coloured,
            Function<Coloured, Picture> painting,
            BiFunction<Integer, Integer, LayeredPicture> page) {
        LayeredPicture picture =
                page.apply(coloured.sheet().widthPx(), coloured.sheet().heightPx());
        backToFront(coloured).forEach(each -> lay(picture, each, painting.apply(each), 1));
        return picture.picture();
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
