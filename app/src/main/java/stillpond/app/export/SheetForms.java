package stillpond.app.export;

import java.io.IOException;
import java.io.OutputStream;
import org.springframework.stereotype.Service;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.SheetPictures;
import stillpond.app.sheet.Showing;
import stillpond.core.format.MaskFiles;
import stillpond.core.format.PlateFiles;
import stillpond.core.handon.Arrangement;
import stillpond.core.handon.Framing;
import stillpond.core.ink.Picture;
import stillpond.core.plate.Inking;

/** Each form of a sheet as it is handed on together with others: whole, under its own light, by part. */
@Service
class SheetForms {

    private final SheetFiles files;
    private final SheetPictures pictures;
    private final SheetPlates plates;
    private final Proofs proofs;
    private final AskedLight lights;

    SheetForms(SheetFiles files, SheetPictures pictures, SheetPlates plates, Proofs proofs, AskedLight lights) {
        this.files = files;
        this.pictures = pictures;
        this.plates = plates;
        this.proofs = proofs;
        this.lights = lights;
    }

    void write(Sheet sheet, FileForm form, OutputStream out) throws IOException {
        switch (form) {
            case FLATS -> png(sheet, pictures.flats(sheet, Showing.OWN), out);
            case SHEET -> png(sheet, pictures.composed(sheet, Showing.OWN), out);
            case SHADOWS -> png(sheet, pictures.shadows(sheet, Showing.OWN), out);
            case SHAPES -> files.svg(sheet, Showing.OWN, Arrangement.PART, out);
            case LAYERS -> files.openRaster(sheet, Showing.OWN, Arrangement.PART, out);
            case MASKS -> files.masks(sheet, Arrangement.PART, MaskFiles.Depth.ONE_BIT, out);
            case PLATES -> plates.write(sheet, Showing.OWN, Inking.USUAL, PlateFiles.Form.TIFF, out);
            case PROOF -> ProofPdf.write(proofs.ofSheet(sheet), out);
        }
    }

    private void png(Sheet sheet, Picture picture, OutputStream out) throws IOException {
        files.png(sheet, picture, Framing.WHOLE, lights.name(sheet, AskedLight.OWN), out);
    }
}
