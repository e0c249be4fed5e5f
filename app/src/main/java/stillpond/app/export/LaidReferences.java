package stillpond.app.export;

import org.springframework.stereotype.Component;
import stillpond.app.card.ReferencePictures;
import stillpond.app.sheet.Sheet;
import stillpond.app.sheet.SheetReferences;
import stillpond.core.ink.Picture;
import stillpond.core.refusal.Refusal;
import stillpond.core.render.ReferenceOver;

/** The reference pictures that lie on sheets, in files of those who ask for them. */
@Component
class LaidReferences {

    private final SheetReferences references;
    private final ReferencePictures pictures;

    LaidReferences(SheetReferences references, ReferencePictures pictures) {
        this.references = references;
        this.pictures = pictures;
    }

    /** @throws Refusal if none lies on the sheet */
    Picture over(Sheet sheet, Picture painted) {
        return references
                .of(sheet.id())
                .map(laid -> ReferenceOver.painted(painted, pictures.picture(sheet.project(), laid.picture()), laid))
                .orElseThrow(() -> new Refusal("No reference picture lies on this sheet."));
    }

    boolean liesOn(Sheet sheet) {
        return references.of(sheet.id()).isPresent();
    }
}
