package stillpond.app.sheet;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Collection;
import java.util.List;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import stillpond.core.format.ImageLimits;
import stillpond.core.format.PlaneCodec;
import stillpond.core.format.PngWriter;
import stillpond.core.ink.InkPlane;
import stillpond.core.ink.InkSettings;
import stillpond.core.ink.Pencil;
import stillpond.core.ink.Picture;
import stillpond.core.refusal.Refusal;
import stillpond.core.stack.SplitInk;
import stillpond.core.stroke.StrokeMap;

/** Splits part of a layer off as a layer of its own. */
@Service
public class LayerSplits {

    private final Sheets sheets;
    private final LayerCuts cuts;
    private final Planes planes;
    private final Analyses analyses;
    private final VisibleInks inks;
    private final ImageLimits limits;

    LayerSplits(Sheets sheets, LayerCuts cuts, Planes planes, Analyses analyses, VisibleInks inks, ImageLimits limits) {
        this.sheets = sheets;
        this.cuts = cuts;
        this.planes = planes;
        this.analyses = analyses;
        this.inks = inks;
        this.limits = limits;
    }

    /**
     * Splits cells of a sheet's layer off, with the ink inside and around them, in front of the rest; as one change.
     *
     * @return the sheet with the new layer to work on
     * @throws Refusal if the layer has no such cells, or no ink would go or stay; then nothing is changed
     */
    public Sheet splitOff(Sheet sheet, UUID author, String name, Collection<Integer> cells) {
        Layer layer = sheet.layer();
        layer.requireLineArt();
        if (cells.isEmpty() || !layer.hasCells(cells)) {
            throw new Refusal("Gather the regions that are to be a layer of their own. Nothing was changed.");
        }
        InkPlane ink = PlaneCodec.decodeInk(planes.content(layer.ink()));
        StrokePlanes strokes = layer.strokes();
        StrokeMap map = strokes == null ? null : strokes.mapOf(layer, planes);
        SplitInk split = SplitInk.of(
                ink,
                PlaneCodec.decodeCells(planes.content(layer.cells())),
                cells,
                map,
                map == null ? List.of() : sheets.strokes(layer));
        InkSettings settings = new InkSettings(OptionalInt.of(ink.threshold()), OptionalInt.of(0), Pencil.NONE);
        byte[] going = png(split.going());
        byte[] staying = png(split.staying());
        LineArt front = analyses.whole(going, limits, settings, List.of(), Analyses.Waiting.SOMEBODY);
        LineArt back = analyses.whole(staying, limits, settings, inks.through(sheet), Analyses.Waiting.SOMEBODY);
        return cuts.splitOff(sheet, author, new LayerCuts.Split(name, Set.copyOf(cells), front, going, back, staying));
    }

    private static byte[] png(Picture picture) {
        ByteArrayOutputStream file = new ByteArrayOutputStream();
        try {
            PngWriter.write(picture, file);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return file.toByteArray();
    }
}
