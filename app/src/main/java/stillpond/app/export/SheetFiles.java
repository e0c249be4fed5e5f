package stillpond.app.export;

import java.io.IOException;
import java.io.OutputStream;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Service;
import stillpond.app.palette.Palettes;
import stillpond.app.sheet.DrawnLayer;
import stillpond.app.sheet.PageFrames;
import stillpond.app.sheet.ProjectMotifs;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.SheetColours;
import stillpond.app.sheet.SheetPictures;
import stillpond.app.sheet.SheetPictures.Coloured;
import stillpond.app.sheet.Showing;
import stillpond.core.cell.Box;
import stillpond.core.colour.BlendMode;
import stillpond.core.fill.Fill;
import stillpond.core.fill.Fills;
import stillpond.core.format.MaskFiles;
import stillpond.core.format.OpenRasterWriter;
import stillpond.core.format.PngWriter;
import stillpond.core.format.Resolution;
import stillpond.core.format.SvgSheet;
import stillpond.core.handon.Arrangement;
import stillpond.core.handon.Faces;
import stillpond.core.handon.Framing;
import stillpond.core.ink.Picture;
import stillpond.core.palette.Palette;
import stillpond.core.palette.SwatchColours;
import stillpond.core.render.InkShapes;
import stillpond.core.render.Meeting;
import stillpond.core.render.ShadowLayers;
import stillpond.core.render.ShadowLayers.Laying;
import stillpond.core.render.SheetPainter;
import stillpond.core.stack.Standing;

/** Writes a sheet in each form that it is handed on in. */
@Service
class SheetFiles {

    private static final Laying OVER = new Laying.Blended(BlendMode.NORMAL);
    private static final int WHITE = 0xffffffff;

    private final SheetPictures pictures;
    private final SheetShapes shapes;
    private final SheetColours colours;
    private final Palettes palettes;
    private final ProjectMotifs motifs;
    private final PageFrames frames;

    SheetFiles(
            SheetPictures pictures,
            SheetShapes shapes,
            SheetColours colours,
            Palettes palettes,
            ProjectMotifs motifs,
            PageFrames frames) {
        this.pictures = pictures;
        this.shapes = shapes;
        this.colours = colours;
        this.palettes = palettes;
        this.motifs = motifs;
        this.frames = frames;
    }

    /** @param light its name; empty if it is as drawn */
    void png(Sheet sheet, Picture whole, Framing framing, Optional<String> light, OutputStream out) throws IOException {
        Optional<Box> frame = frames.of(sheet.id());
        Picture framed = framing.of(whole, frame);
        double denser = framing.scale(whole, framed, frame);
        Optional<Resolution> resolution = pictures.resolution(sheet).map(known -> known.times(denser));
        Map<String, String> texts = new HashMap<>(Map.of("Title", sheet.title()));
        light.ifPresent(name -> texts.put("Description", "Under the light " + name));
        PngWriter.writeSmallest(framed, new PngWriter.About(resolution, texts), out);
    }

    void svg(Sheet sheet, Showing showing, Arrangement arrangement, OutputStream out) throws IOException {
        Palette palette = palettes.of(sheet.project());
        SwatchColours shown = colours.of(sheet, showing);
        List<SvgSheet.Layer> layers = new ArrayList<>();
        for (Coloured coloured : pictures.colour(sheet, showing).layers()) {
            DrawnLayer drawn = pictures.drawn(coloured, Meeting.HARD);
            layers.add(new SvgSheet.Layer(
                    coloured.layer().standing(),
                    drawn.cells(),
                    shapes.of(coloured, arrangement, palette),
                    InkShapes.of(drawn.ink(), drawn.inkColours()),
                    inkFills(coloured.fills().ofStrokes(), shown)));
        }
        SvgSheet.Page page = new SvgSheet.Page(
                sheet.title(), sheet.widthPx(), sheet.heightPx(), palette, shown, motifs.of(sheet.project()));
        SvgSheet.write(page, layers, out);
    }

    private static Map<Integer, Fill> inkFills(Fills strokes, SwatchColours shown) {
        Set<Fill> worn = new HashSet<>();
        strokes.filled().forEach(stroke -> worn.add(strokes.of(stroke)));
        Map<Integer, Fill> byColour = new HashMap<>();
        worn.forEach(fill ->
                shown.colourOf(fill.swatches().get(0)).ifPresent(colour -> byColour.put(colour.opaqueArgb(), fill)));
        return byColour;
    }

    void masks(Sheet sheet, Arrangement arrangement, MaskFiles.Depth depth, OutputStream out) throws IOException {
        Palette palette = palettes.of(sheet.project());
        List<MaskFiles.Layer> layers = pictures.colour(sheet, Showing.OWN).layers().stream()
                .map(coloured -> new MaskFiles.Layer(
                        coloured.layer().standing(),
                        pictures.cells(coloured),
                        shapes.of(coloured, arrangement, palette)))
                .toList();
        MaskFiles.Page page = new MaskFiles.Page(
                sheet.widthPx(), sheet.heightPx(), depth, pictures.resolution(sheet), colours.of(sheet, Showing.OWN));
        MaskFiles.write(page, layers, out);
    }

    /** The layers of the sheet as groups; in each, from the front, ink, shadows, flats, and rims that lie under those. */
    void openRaster(Sheet sheet, Showing showing, Arrangement arrangement, OutputStream out) throws IOException {
        Palette palette = palettes.of(sheet.project());
        try (OpenRasterWriter writer =
                new OpenRasterWriter(out, sheet.widthPx(), sheet.heightPx(), pictures.resolution(sheet))) {
            for (Coloured coloured : pictures.colour(sheet, showing).layers()) {
                Standing standing = coloured.layer().standing();
                writer.begin(standing.name(), 0, 0, standing.opacityPercent());
                layer(writer, pictures.drawn(coloured, sheet.lineMeeting()), shapes.of(coloured, arrangement, palette));
                writer.end();
            }
            writer.layer("Paper", paper(sheet), OVER, 0, 0);
            writer.finish(pictures.composed(sheet, showing));
        }
    }

    private static Picture paper(Sheet sheet) {
        int[] white = new int[sheet.widthPx() * sheet.heightPx()];
        Arrays.fill(white, WHITE);
        return new Picture(sheet.widthPx(), sheet.heightPx(), white);
    }

    private static void layer(OpenRasterWriter writer, DrawnLayer drawn, Faces faces) throws IOException {
        Standing standing = drawn.coloured().layer().standing();
        int x = standing.xPx();
        int y = standing.yPx();
        ShadowLayers shadows = new ShadowLayers(
                drawn.cut(),
                drawn.colours(),
                drawn.coloured().shadows(),
                drawn.coloured().shadowColours());
        writer.layer("Ink", SheetPainter.ink(drawn.ink(), drawn.inkColours()), OVER, x, y);
        for (ShadowLayers.One each : shadows.over()) {
            writer.layer(each.name(), each.picture(), each.laying(), x, y);
        }
        for (String group : faces.groups()) {
            Set<Integer> in = new HashSet<>(faces.in(group));
            Picture flats = SheetPainter.layer(
                    drawn.cells(), drawn.coloured().colours().ofCells(cell -> in.contains(faces.of(cell))));
            writer.layer(group, flats, OVER, x, y);
        }
        for (ShadowLayers.One each : shadows.under()) {
            writer.layer(each.name(), each.picture(), each.laying(), x, y);
        }
    }
}
