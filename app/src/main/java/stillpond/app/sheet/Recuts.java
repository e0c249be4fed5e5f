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

    private final Sheets sheets;
    private final LayerCuts cuts;
    private final Planes planes;
    private final Analyses analyses;
    private final ImageLimits limits;

    Recuts(Sheets sheets, LayerCuts cuts, Planes planes, Analyses analyses, ImageLimits limits) {
        this.sheets = sheets;
        this.cuts = cuts;
        this.planes = planes;
        this.analyses = analyses;
        this.limits = limits;
    }

    /**
     * Where a fill was that found no place.
     *
     * @param x share of the old sheet's width
     * @param y share of its height
     */
    public record LostFill(String fill, double x, double y) {}

    /** Analyses the same file again. */
    public List<LostFill> reanalyse(UUID project, UUID sheetId, UUID author, InkSettings settings) {
        Sheet sheet = sheets.get(project, sheetId);
        Layer layer = sheet.frontLayer();
        byte[] source = planes.content(layer.source());
        return cuts.recut(sheet, author, analyse(source, layer, settings), source);
    }

    /**
     * Puts a corrected drawing of the same page in the place of the present one.
     *
     * @throws UnreadableFile with a message for the user; the sheet stays as it is
     */
    public List<LostFill> replace(UUID project, UUID sheetId, UUID author, byte[] file) {
        Sheet sheet = sheets.get(project, sheetId);
        Layer layer = sheet.frontLayer();
        LineArt fresh = analyse(file, layer, layer.settings());
        double ratio = fresh.widthPx() / (double) fresh.heightPx() * layer.heightPx() / layer.widthPx();
        if (ratio < 1 / MAX_RATIO || ratio > MAX_RATIO) {
            throw new UnreadableFile("This is another page: it is " + fresh.widthPx() + " x " + fresh.heightPx()
                    + " pixels, the sheet " + layer.widthPx() + " x " + layer.heightPx()
                    + ". The sheet stays as it was; bring the drawing in as a new sheet.");
        }
        return cuts.recut(sheet, author, fresh, file);
    }

    /** A vector drawing is drawn as large as before. */
    private LineArt analyse(byte[] file, Layer layer, InkSettings settings) {
        ImageLimits sized = limits.withVectorLongSide(Math.max(layer.widthPx(), layer.heightPx()));
        return analyses.whole(file, sized, settings, Analyses.Waiting.SOMEBODY);
    }
}
