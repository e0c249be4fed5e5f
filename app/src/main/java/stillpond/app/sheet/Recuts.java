package stillpond.app.sheet;

import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import stillpond.core.format.ImageLimits;
import stillpond.core.format.UnreadableFile;
import stillpond.core.ink.InkSettings;

/**
 * Cuts the line art of a sheet into cells anew, with other settings or from a corrected drawing of the same page, and keeps its fills. Each is one
 * change of the sheet's log and can be undone like a fill.
 */
@Service
public class Recuts {

    /** Scans of one page are cut to slightly different shapes. */
    private static final double MAX_RATIO = 1.06;

    private final LayerCuts cuts;
    private final Planes planes;
    private final Analyses analyses;
    private final ImageLimits limits;
    private final VisibleInks inks;

    Recuts(LayerCuts cuts, Planes planes, Analyses analyses, ImageLimits limits, VisibleInks inks) {
        this.cuts = cuts;
        this.planes = planes;
        this.analyses = analyses;
        this.limits = limits;
        this.inks = inks;
    }

    /**
     * Where a fill was that found no place.
     *
     * @param x share of the old sheet's width
     * @param y share of its height
     */
    public record LostFill(String fill, double x, double y) {}

    /**
     * Analyses the file of a sheet's layer again.
     *
     * @param isThrough whether its cells are to be bounded by the ink of all layers that are shown
     */
    public List<LostFill> reanalyse(Sheet sheet, UUID author, InkSettings settings, boolean isThrough) {
        Layer layer = sheet.layer();
        layer.requireLineArt();
        byte[] source = planes.content(layer.source());
        List<Analyses.OtherInk> others = isThrough ? inks.all(sheet) : List.of();
        return cuts.recut(sheet, author, analyse(source, layer, settings, others), source);
    }

    /**
     * Puts a corrected drawing of the same page in the place of that of a sheet's layer.
     *
     * @throws UnreadableFile with a message for the user; the sheet stays as it is
     */
    public List<LostFill> replace(Sheet sheet, UUID author, byte[] file) {
        Layer layer = sheet.layer();
        layer.requireLineArt();
        LineArt fresh = analyse(file, layer, layer.settings(), inks.through(sheet));
        double ratio = fresh.widthPx() / (double) fresh.heightPx() * layer.heightPx() / layer.widthPx();
        if (ratio < 1 / MAX_RATIO || ratio > MAX_RATIO) {
            throw new UnreadableFile("This is another page: it is " + fresh.widthPx() + " x " + fresh.heightPx()
                    + " pixels, the sheet " + layer.widthPx() + " x " + layer.heightPx()
                    + ". The sheet stays as it was; bring the drawing in as a new sheet.");
        }
        boolean isOfAnotherSize = fresh.widthPx() != layer.widthPx() || fresh.heightPx() != layer.heightPx();
        if (isOfAnotherSize && sheet.layers().size() > 1) {
            throw new UnreadableFile("The drawing is " + fresh.widthPx() + " x " + fresh.heightPx()
                    + " pixels; all layers of this sheet are " + layer.widthPx() + " x " + layer.heightPx()
                    + ". Bring it in that size. The sheet stays as it was.");
        }
        return cuts.recut(sheet, author, fresh, file);
    }

    /** A vector drawing is drawn as large as before. */
    private LineArt analyse(byte[] file, Layer layer, InkSettings settings, List<Analyses.OtherInk> others) {
        ImageLimits sized = limits.withVectorLongSide(Math.max(layer.widthPx(), layer.heightPx()));
        return analyses.whole(file, sized, settings, others, Analyses.Waiting.SOMEBODY);
    }
}
