package stillpond.app.adopt;

import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import stillpond.app.reading.PictureFiles;
import stillpond.app.sheet.Layer;
import stillpond.app.sheet.Planes;
import stillpond.app.sheet.Sheet;
import stillpond.core.adopt.AdoptedInk;
import stillpond.core.colour.Srgb;
import stillpond.core.fill.Places;
import stillpond.core.format.ImageLimits;
import stillpond.core.format.PlaneCodec;
import stillpond.core.ink.Picture;
import stillpond.core.refusal.Refusal;

/** Lets the strokes of line art that was drawn in colours wear those colours: they become swatches. */
@Service
class InkAdoption {

    private final AdoptedColours colours;
    private final Planes planes;
    private final PictureFiles pictureFiles;
    private final TransactionTemplate transaction;
    private final ImageLimits limits;

    InkAdoption(
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

    /** What was done. @param added how many swatches are new */
    record TakenOver(int strokes, int added) {}

    /** @throws Refusal if the ink is black all over, or not cut into strokes yet; then nothing is changed */
    TakenOver adopt(Sheet sheet, UUID author) {
        Layer layer = sheet.layer();
        layer.requireLineArt();
        if (layer.strokes() == null) {
            throw new Refusal("The ink can be coloured as soon as the gaps of this sheet have been found.");
        }
        ImageLimits sized = limits.withVectorLongSide(Math.max(layer.widthPx(), layer.heightPx()));
        return pictureFiles.with(
                planes.content(layer.source()),
                sized,
                read -> transaction.execute(status -> adopt(sheet, layer, author, read.picture())));
    }

    private TakenOver adopt(Sheet sheet, Layer layer, UUID author, Picture drawn) {
        FoundColours found = colours.known(sheet);
        AdoptedInk adopted = AdoptedInk.of(
                PlaneCodec.decodeStrokes(planes.content(layer.strokes().plane()), layer.widthPx(), layer.heightPx()),
                PlaneCodec.decodeInk(planes.content(layer.ink())),
                drawn,
                found.known());
        if (adopted.colourByStroke().isEmpty()) {
            throw new Refusal("This line art was drawn in black alone, so there are no ink colours to take over.");
        }
        Map<Integer, Srgb> colourByPlace = new HashMap<>();
        adopted.colourByStroke().forEach((stroke, colour) -> colourByPlace.put(Places.ofStroke(stroke), colour));
        int added =
                colours.lay(sheet, author, colourByPlace, found, "ink as drawn", "Took over the colours of the ink");
        return new TakenOver(colourByPlace.size(), added);
    }
}
