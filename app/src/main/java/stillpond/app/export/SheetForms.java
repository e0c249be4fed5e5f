package stillpond.app.export;

import java.io.IOException;
import java.io.OutputStream;
import org.springframework.stereotype.Service;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.SheetPictures;
import stillpond.app.sheet.Showing;
import stillpond.core.format.MaskFiles;
import stillpond.core.format.PlateFiles;
import stillpond.core.handon.Framing;
import stillpond.core.ink.Picture;
import stillpond.core.plate.Inking;

/** Each form of a sheet as it is handed on together with others: whole, as large as it was drawn. */
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

    void write(Sheet sheet, FileForm form, HandingOn.Choices choices, OutputStream out) throws IOException {
        Showing showing = AskedLight.showing(choices.light());
        switch (form) {
            case FLATS -> png(sheet, pictures.flats(sheet, showing), choices, out);
            case SHEET -> png(sheet, pictures.composed(sheet, showing), choices, out);
            case SHADOWS -> png(sheet, pictures.shadows(sheet, showing), choices, out);
            case SHAPES -> files.svg(sheet, showing, choices.by(), out);
            case LAYERS -> files.openRaster(sheet, showing, choices.by(), out);
            case MASKS -> files.masks(sheet, choices.by(), MaskFiles.Depth.ONE_BIT, out);
            case PLATES -> plates.write(sheet, showing, Inking.USUAL, PlateFiles.Form.TIFF, out);
            case PROOF -> ProofPdf.write(proofs.ofSheet(sheet), out);
            case SCENE_PROOF -> ProofPdf.write(proofs.ofScene(sheet.project(), sheet.scene()), out);
        }
    }

    private void png(Sheet sheet, Picture picture, HandingOn.Choices choices, OutputStream out) throws IOException {
        files.png(sheet, picture, Framing.WHOLE, lights.name(sheet, choices.light()), out);
    }
}
