package stillpond.app.adopt;

import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import stillpond.app.reading.PictureFiles;
import stillpond.app.sheet.Layer;
import stillpond.app.sheet.Planes;
import stillpond.app.sheet.Sheet;
import stillpond.core.adopt.AdoptedFlats;
import stillpond.core.cell.Cell;
import stillpond.core.cell.CellMap;
import stillpond.core.format.ImageLimits;
import stillpond.core.format.PlaneCodec;
import stillpond.core.ink.Picture;

/** Brings the flats of a page that was laid elsewhere onto its sheet: colours become swatches, and cells wear them. */
@Service
class FlatsAdoption {

    /** CIEDE2000 difference under which two colours are one. */
    private static final double HARD_TO_TELL = 2.3;

    private final AdoptedColours colours;
    private final Planes planes;
    private final PictureFiles pictureFiles;
    private final TransactionTemplate transaction;
    private final ImageLimits limits;

    FlatsAdoption(
            AdoptedColours colours,
            Planes planes,
            PictureFiles pictureFiles,
            TransactionTemplate transaction,
            ImageLimits limits) {
        this.colours = colours;
        this.planes = planes;
        this.pictureFiles = pictureFiles;
        this.transaction = transaction;
        this.limits = limits;
    }

    /**
     * What was done.
     *
     * @param added how many swatches are new
     * @param folded how many colours were too near to another to be one of their own
     * @param edges how many colours lay only at soft edges
     */
    record Adopted(int cells, int added, int folded, int edges, List<MixedPlace> mixed) {}

    /**
     * A place over which more than one colour lies.
     *
     * @param x share of the width of the sheet
     * @param y share of its height
     */
    record MixedPlace(UUID fill, double x, double y) {}

    /**
     * @param isStretched whether a picture of another size is stretched over the sheet
     * @throws OtherSize if it is of another size and is not to be stretched
     * @throws Refusal; then nothing is changed
     */
    Adopted adopt(Sheet sheet, UUID author, byte[] file, boolean isStretched) {
        return pictureFiles.with(file, limits, read -> {
            Picture picture = read.picture();
            Layer layer = sheet.layer();
            boolean isAsLarge = picture.widthPx() == layer.widthPx() && picture.heightPx() == layer.heightPx();
            if (!isAsLarge && !isStretched) {
                throw new OtherSize(picture.widthPx(), picture.heightPx(), layer.widthPx(), layer.heightPx());
            }
            return transaction.execute(status -> adopt(sheet, author, picture));
        });
    }

    private Adopted adopt(Sheet sheet, UUID author, Picture picture) {
        Layer layer = sheet.layer();
        CellMap map = PlaneCodec.decodeMap(planes.content(layer.cells()));
        FoundColours found = colours.known(sheet);
        AdoptedFlats flats = AdoptedFlats.of(
                map, PlaneCodec.decodeInk(planes.content(layer.ink())), picture, found.known(), HARD_TO_TELL);
        return new Adopted(
                flats.colourByCell().size(),
                colours.lay(sheet, author, flats.colourByCell(), found, "adopted flats", "Adopted flats"),
                flats.folded(),
                flats.edges(),
                mixed(flats, map, layer, found));
    }

    private static List<MixedPlace> mixed(AdoptedFlats flats, CellMap map, Layer layer, FoundColours found) {
        return flats.mixed().stream()
                .map(mixed -> {
                    Cell cell = map.cells().get(mixed.cell());
                    return new MixedPlace(
                            found.swatch(flats.colourByCell().get(mixed.cell())),
                            cell.deepestX() / (double) layer.widthPx(),
                            cell.deepestY() / (double) layer.heightPx());
                })
                .toList();
    }
}
