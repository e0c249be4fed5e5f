package stillpond.app.sheet;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import stillpond.core.cell.CellPlane;
import stillpond.core.fill.Fills;
import stillpond.core.format.PlaneCodec;
import stillpond.core.format.Resolution;
import stillpond.core.ink.InkPlane;
import stillpond.core.ink.Picture;
import stillpond.core.palette.SwatchColours;
import stillpond.core.render.CellColours;
import stillpond.core.render.InkColours;
import stillpond.core.render.LayeredPicture;
import stillpond.core.render.Meeting;
import stillpond.core.render.SheetPainter;
import stillpond.core.render.Shrunk;
import stillpond.core.render.SmallSheet;
import stillpond.core.shadow.ShadowColours;
import stillpond.core.shadow.Shadows;
import stillpond.core.stack.Standing;

/** Paints sheets. */
@Service
public class SheetPictures {

    private final Sheets sheets;
    private final Planes planes;
    private final SheetColours colours;
    private final Moments moments;
    private final ProjectMotifs motifs;
    private final LayerShadows shadows;
    private final LayerDrawings drawings;

    SheetPictures(
            Sheets sheets,
            Planes planes,
            SheetColours colours,
            Moments moments,
            ProjectMotifs motifs,
            LayerShadows shadows,
            LayerDrawings drawings) {
        this.sheets = sheets;
        this.planes = planes;
        this.colours = colours;
        this.moments = moments;
        this.motifs = motifs;
        this.shadows = shadows;
        this.drawings = drawings;
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
        LayerDrawings.Shaded shaded = drawings.shaded(coloured, cells);
        InkPlane ink = drawings.shown(coloured, PlaneCodec.decodeInk(planes.content(layer.smallInk())));
        return painting.paint(
                new SmallSheet(shaded.cells(), ink), shaded.colours(), drawings.smallInk(coloured, cells));
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
        return SheetPainter.flats(drawings.cells(coloured.layer()), coloured.colours());
    }

    /** Shadows and rims alone at full size, clear elsewhere: laid over the flats of a sheet of one layer it gives what {@link #composed} shows under the ink. */
    public Picture shadows(Sheet sheet, Showing showing) {
        return onClear(colour(sheet, showing), this::shadowsAlone);
    }

    private Picture shadowsAlone(Coloured coloured) {
        Layer layer = coloured.layer();
        LayerDrawings.Shaded shaded = drawings.shaded(coloured, drawings.cells(layer));
        return SheetPainter.layer(shaded.cells(), shaded.colours().ofPiecesAlone(layer.cellCount()));
    }

    /** A page in two: what lies under the ink, and the ink that is not hidden by what lies in front of it; both on clear paper. */
    public record Parted(Picture underInk, Picture ink) {}

    /** See {@link Parted}: together as {@link #composed} but for the paper. */
    public Parted parted(Sheet sheet, Showing showing) {
        ColouredSheet coloured = colour(sheet, showing);
        LayeredPicture under = LayeredPicture.onClear(sheet.widthPx(), sheet.heightPx());
        LayeredPicture ink = LayeredPicture.onClear(sheet.widthPx(), sheet.heightPx());
        backToFront(coloured).forEach(each -> {
            DrawnLayer drawn = drawings.whole(each, sheet.lineMeeting());
            Picture flats = SheetPainter.layer(drawn.cut().plane(), drawn.colours());
            Standing standing = each.layer().standing();
            ink.erase(flats, standing.opacityPercent(), standing.xPx(), standing.yPx());
            lay(under, each, flats, 1);
            lay(ink, each, SheetPainter.ink(drawn.ink(), drawn.inkColours()), 1);
        });
        return new Parted(under.picture(), ink.picture());
    }

    /** The sheet at full size, ink over shadows over flats over paper; each layer over those behind it. */
    public Picture composed(Sheet sheet, Showing showing) {
        ColouredSheet coloured = colour(sheet, showing);
        Meeting meeting = sheet.lineMeeting();
        return coloured.isOne()
                ? painted(coloured.layers().get(0), meeting, SheetPainter::composed)
                : layered(coloured, each -> painted(each, meeting, SheetPainter::overOthers), LayeredPicture::onPaper);
    }

    /** As above, smaller. @param longSidePx that the picture has at the most */
    public Picture composed(Sheet sheet, Showing showing, int longSidePx) {
        return Shrunk.to(composed(sheet, showing), longSidePx);
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
        DrawnLayer drawn = drawings.whole(coloured, meeting);
        return painting.paint(drawn.cut().plane(), drawn.ink(), drawn.colours(), drawn.inkColours());
    }

    /** The cells of a layer at full size, bare. */
    public CellPlane cells(Coloured coloured) {
        return drawings.cells(coloured.layer());
    }

    /** A layer of {@link #colour} with all its planes at full size, for those who hand it on in another form. */
    public DrawnLayer drawn(Coloured coloured, Meeting meeting) {
        return drawings.whole(coloured, meeting);
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
}
